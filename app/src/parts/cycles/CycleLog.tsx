import { useMemo, useState } from 'react';
import {
  ACTION_NAMES,
  chanceWords,
  cycleTable,
  isTrial,
  ownersDiscTooEarly,
  tally,
  tallyWords,
  TEST_DISC_NAMES,
  type CycleResult,
  type Tally,
  type TestDisc,
} from '@loose-pulley/core/work/proving';
import { forLoader } from '@loose-pulley/core/base/loaders';
import { usePageKey } from '../keys/useKeys';
import { isUnfolded, keepUnfolded } from '../../state/persistence/unfolded';
import { sayMoment } from '../../state/persistence/moments';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button, CommitButton } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { Caution } from '../ui/Caution';
import { Segments } from '../ui/Segments';
import { CONDITIONS } from './conditions';
import { VerdictMark } from './marks';
import { StripPlot } from './StripPlot';
import { useCounting } from './useCounting';
import { Input } from '../ui/Input';
import { useLead } from '../ui/useLead';
import { useUnsaved } from '../ui/useUnsaved';

const DISCS = ['none', 'junk', 'own', 'owners'] as const satisfies readonly TestDisc[];
const figures = ({ n, failures, slow }: Tally): string =>
  n === 0 ? '–' : `${failures} of ${n}${slow > 0 ? `, ${slow} slow` : ''}`;

/**
 * Counting cycles by two big keys, slow and helped beside them, blind and one-handed if need be. Take in counts before
 * anything is done (no clean run), Prove counts for the clean run that runs.
 */
export function CycleLog({
  cleanRunId,
  begins = false,
}: {
  readonly cleanRunId: string | null;
  /** The first verdict begins a clean run by itself: after a swap nobody begins one first. */
  readonly begins?: boolean;
}) {
  const { ticket, canWrite } = useTicket();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const cycles = useMemo(
    () => (begins && cleanRunId === null ? [] : ticket.cycles.filter((cycle) => cycle.cleanRunId === cleanRunId)),
    [ticket.cycles, cleanRunId, begins],
  );
  // After a swap the first cycle is the next thing, once a belt is on.
  const toCount = begins && canWrite && cycles.length === 0 && ticket.drives.some(({ tries }) => tries.length > 0);
  const lead = useLead(toCount);
  const counting = useCounting(ticket.loader, cleanRunId, cycles, begins);
  const { action, actions, setting, setSetting, running } = counting;
  const counted = useMemo(() => cycles.filter((cycle) => !isTrial(cycle)), [cycles]);
  const [own, setOwn] = useState('');
  useUnsaved('enter', own.trim() !== '');
  const on = canWrite ? counting.verdict : () => undefined;
  usePageKey('cycleStart', canWrite ? counting.start : undefined);
  usePageKey('cycleGood', () => on('good'));
  usePageKey('cycleBad', () => on('bad'));
  usePageKey('cycleSlow', () => on('slow'));
  usePageKey('cycleHelped', () => on('helped'));

  const key = (result: CycleResult, label: string, cap: string | undefined, big: boolean) => (
    <CommitButton
      look={big ? 'strong' : 'plain'}
      disabled={!canWrite}
      keyCap={cap}
      className={big ? 'min-h-20 text-2xl' : 'min-h-14'}
      onClick={() => counting.verdict(result)}
    >
      <VerdictMark result={result} />
      {label}
    </CommitButton>
  );
  const toggle = (condition: string): void =>
    setSetting({
      ...setting,
      conditions: setting.conditions.includes(condition)
        ? setting.conditions.filter((one) => one !== condition)
        : [...setting.conditions, condition].slice(0, 20),
    });
  const rows = useMemo(() => cycleTable(counted), [counted]);

  return (
    <section aria-labelledby={`cycles-${cleanRunId ?? 'before'}`} className="grid grid-cols-1 gap-4">
      <h3 id={`cycles-${cleanRunId ?? 'before'}`} className="border-b border-ink pb-1 text-lg">
        {cleanRunId === null && !begins
          ? 'Cycles counted before anything is done'
          : 'Cycles counted for this clean run'}
      </h3>
      <div className="flex flex-wrap items-end gap-3">
        {actions.length > 1 && (
          <Segments
            label="This cycle"
            value={action}
            options={actions.map((one) => [one, ACTION_NAMES[one]] as const)}
            onChoose={counting.setAction}
          />
        )}
        <Segments
          label="Disc"
          value={setting.disc}
          options={DISCS.map((disc) => [disc, TEST_DISC_NAMES[disc]] as const)}
          onChoose={(disc) => setSetting({ ...setting, disc })}
        />
        <label className="grid gap-1 text-sm text-soft">
          Deck or slot
          <Input
            value={setting.place}
            maxLength={40}
            onChange={(event) => setSetting({ ...setting, place: event.target.value })}
            className="w-28 text-base text-ink"
          />
        </label>
      </div>
      <Fold
        title={`Conditions, kept until changed: ${setting.conditions.length > 0 ? `${setting.conditions.length} set` : 'none'}`}
        open={
          counted.some(({ result }) => result !== 'good') || setting.conditions.length > 0 || isUnfolded('conditions')
        }
        onOpen={(open) => keepUnfolded('conditions', open)}
        titleClass=""
      >
        <div role="group" aria-label="Conditions, kept until changed" className="flex flex-wrap gap-2">
          {[...new Set([...CONDITIONS, ...setting.conditions])].map((condition) => {
            const set = setting.conditions.includes(condition);
            return (
              <Button
                key={condition}
                look={set ? 'strong' : 'plain'}
                aria-pressed={set}
                onClick={() => toggle(condition)}
              >
                {condition}
              </Button>
            );
          })}
          <Input
            aria-label="Another condition, Enter adds it"
            placeholder="Other…"
            value={own}
            maxLength={40}
            className="w-32"
            onChange={(event) => setOwn(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || own.trim() === '') return;
              event.preventDefault();
              toggle(own.trim());
              setOwn('');
            }}
          />
        </div>
      </Fold>
      {setting.disc === 'owners' &&
        ownersDiscTooEarly(ticket.cycles, ticket.treatments[ticket.treatments.length - 1]?.at ?? '') && (
          <p role="alert" className="border-l-4 border-live pl-3">
            No worthless disc has run clean since the last treatment. Junk first, the bench’s own next, the owner’s
            last.
          </p>
        )}
      <Caution>
        {forLoader('Fingers out of the moving tray.', ticket.loader)} Counting needs power: nothing open that can be
        touched live.
      </Caution>
      <MayNotCount counting={counting} />
      <div className="grid grid-cols-2 gap-2 md:grid-cols-4">
        {key('good', 'Good', keys?.cycleGood, true)}
        {key('bad', 'Bad', keys?.cycleBad, true)}
        {key('slow', 'Slow', keys?.cycleSlow, false)}
        {key('helped', 'Needed a push', keys?.cycleHelped, false)}
      </div>
      <Button
        ref={lead}
        data-lead={toCount || undefined}
        className="justify-self-start"
        disabled={!canWrite}
        keyCap={keys?.cycleStart}
        onClick={counting.start}
        aria-pressed={running}
      >
        {running ? 'The watch runs: press a verdict' : 'Start timing'}
      </Button>
      <p aria-live="polite" className="text-lg">
        {tallyWords(tally(counted))}
        {cycles.length > counted.length && (
          <span className="text-soft"> {cycles.length - counted.length} more as a trial: they count for nothing.</span>
        )}
      </p>
      <StripPlot cycles={counted} />
      {rows.length > 0 && (
        <table className="w-full border-collapse text-[15px]">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-semibold">where</th>
              <th className="font-semibold">empty failed</th>
              <th className="font-semibold">loaded failed</th>
              <th className="hidden font-semibold sm:table-cell">empty against loaded</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.place + row.action} className="border-b border-hair align-top">
                <td className="py-1.5">
                  {row.place && `${row.place}, `}
                  {ACTION_NAMES[row.action]}
                </td>
                <td className="py-1.5">{figures(row.empty)}</td>
                <td className="py-1.5">{figures(row.loaded)}</td>
                <td className="hidden py-1.5 text-soft sm:table-cell">{chanceWords(row)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** A verdict that cannot count as the machine stands: why, and the one key that settles it. */
function MayNotCount({ counting }: { readonly counting: ReturnType<typeof useCounting> }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { may, held, keepAsTrial, dropHeld } = counting;
  const asks = held !== null && may.may !== 'yes';
  usePageKey('keep', asks && may.may === 'trial' && canWrite ? keepAsTrial : undefined);
  if (may.may === 'yes' || held === null) return null;
  return (
    <div role="alert" className="grid gap-2 border-y-2 border-live py-2">
      <p>
        <strong>Not counted:</strong> {may.because}.
      </p>
      <div className="flex flex-wrap gap-2">
        {may.may === 'no' ? (
          <Button
            look="strong"
            keyCap={keys?.power}
            onClick={() => {
              dropHeld();
              dispatch(sayMoment('power'));
            }}
          >
            It is plugged in
          </Button>
        ) : (
          <Button look="strong" keyCap={keys?.keep} onClick={keepAsTrial}>
            Keep it as a trial
          </Button>
        )}
        <Button onClick={dropHeld}>Leave it out</Button>
      </div>
    </div>
  );
}
