import { LOADERS, type Loader, loaderOf } from '@loose-pulley/core/base/loaders';
import { REMEDY_KIND_NAMES, REMEDY_KINDS, type RemedyKind } from '@loose-pulley/core/record/ticket';
import { Button } from '../../parts/ui/Button';
import { NO_FILTER, type LogFilter } from './logColumns';

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
      <select
        aria-label="State"
        className="field"
        value={filter.state}
        onChange={(event) => set({ state: event.target.value as LogFilter['state'] })}
      >
        {STATES.map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
      <select
        aria-label="Kind of loader"
        className="field"
        value={filter.loader}
        onChange={(event) => set({ loader: event.target.value as '' | Loader })}
      >
        <option value="">any loader</option>
        {LOADERS.map((one) => (
          <option key={one} value={one}>
            {loaderOf(one).name}
          </option>
        ))}
      </select>
      <select
        aria-label="Put right by"
        className="field"
        value={filter.remedy}
        onChange={(event) => set({ remedy: event.target.value as '' | RemedyKind })}
      >
        <option value="">put right by anything</option>
        {REMEDY_KINDS.map((one) => (
          <option key={one} value={one}>
            {REMEDY_KIND_NAMES[one]}
          </option>
        ))}
      </select>
      <label className="grid gap-1 text-sm text-soft">
        opened from
        <input
          type="date"
          className="field text-ink"
          value={filter.from}
          onChange={(event) => set({ from: event.target.value })}
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        to
        <input
          type="date"
          className="field text-ink"
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
