import { LOADERS, type Loader, loaderOf } from '@loose-pulley/core/base/loaders';
import { REMEDY_KIND_NAMES, REMEDY_KINDS, type RemedyKind } from '@loose-pulley/core/record/ticket';
import { Button } from '../../parts/ui/Button';
import { NO_FILTER, type LogFilter } from './logColumns';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';

const STATES = [
  ['', 'any state'],
  ['open', 'open'],
  ['handedBack', 'handed back'],
  ['returned', 'came again within a year'],
] as const;

/** What the log is narrowed to. */
export function Narrow({
  filter,
  onFilter,
}: {
  readonly filter: LogFilter;
  readonly onFilter: (filter: LogFilter) => void;
}) {
  const set = (of: Partial<LogFilter>): void => onFilter({ ...filter, ...of });
  const narrowed = JSON.stringify(filter) !== JSON.stringify(NO_FILTER);
  return (
    <div
      role="group"
      aria-label="Narrow the log"
      className="grid grid-cols-2 items-end gap-3 py-2 md:grid-cols-[repeat(5,minmax(0,1fr))]"
    >
      <Select
        aria-label="State"
        value={filter.state}
        onChoose={(chosen) => set({ state: chosen as LogFilter['state'] })}
        options={STATES.map(([value, name]) => [value, name] as const)}
      />
      <Select
        aria-label="Kind of loader"
        value={filter.loader}
        onChoose={(chosen) => set({ loader: chosen as '' | Loader })}
        options={[['', 'any loader'] as const, ...LOADERS.map((one) => [one, loaderOf(one).name] as const)]}
      />
      <Select
        aria-label="Put right by"
        value={filter.remedy}
        onChoose={(chosen) => set({ remedy: chosen as '' | RemedyKind })}
        options={[
          ['', 'put right by anything'] as const,
          ...REMEDY_KINDS.map((one) => [one, REMEDY_KIND_NAMES[one]] as const),
        ]}
      />
      <label className="grid gap-1 text-sm text-soft">
        opened from
        <Input
          type="date"
          className="text-ink"
          value={filter.from}
          onChange={(event) => set({ from: event.target.value })}
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        to
        <Input
          type="date"
          className="text-ink"
          value={filter.to}
          onChange={(event) => set({ to: event.target.value })}
        />
      </label>
      {narrowed && (
        <Button look="quiet" onClick={() => onFilter(NO_FILTER)}>
          All of it
        </Button>
      )}
    </div>
  );
}
