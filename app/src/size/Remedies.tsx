import { nanoid } from 'nanoid';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { inHundred, REMEDIES, REMEDY_IDS, type ProbabilityAnswer, type RemedyId } from '@loose-pulley/core/probability';
import { monthsLater } from '@loose-pulley/core/timers';
import { recordEvent } from '../keeping/actions';
import { useAppDispatch } from '../store/store';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { OWNER_WISHES, type DriveRecord } from '@loose-pulley/core/stations';

const WISH_NAMES = { unknown: 'not said', renew: 'renew it', keep: 'keep it' } as const;
function months(count: number): string {
  if (count < 1) return `${Math.round(count * 4)} weeks`;
  if (count === 1) return 'a month';
  if (count === 12) return 'a year';
  return count < 24 ? `${count} months` : `${count / 12} years`;
}

/** Not only new belts: what else may be done, each with its odds, its life, how little is known, and when it is due again. */
export function Remedies({
  answer,
  facts,
  drive,
  canWrite,
}: {
  readonly answer: ProbabilityAnswer | null;
  readonly facts: DriveFacts;
  readonly drive: DriveRecord;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const commit = (id: RemedyId): void => {
    const remedy = REMEDIES[id];
    const gesture = nanoid(10);
    if (id !== 'band' && facts.oldBelt && facts.section) {
      dispatch(
        recordEvent({
          type: 'tryLogged',
          driveId: drive.id,
          try: {
            id: nanoid(10),
            shape: drive.oldShape,
            thicknessMm: facts.section.value,
            widthMm: drive.oldShape === 'flat' ? (facts.width?.value ?? null) : null,
            innerLengthMm: facts.oldBelt.value,
            source: remedy.name,
            label: '',
            because: drive.ownerWish === 'keep' ? 'ownersWish' : 'unknown',
            verdict: 'untried',
            note: '',
          },
        }),
      );
    }
    dispatch(
      recordEvent(
        {
          type: 'handBackWritten',
          changes: {
            provisional: `Drive ${drive.name}: ${remedy.name}.`,
            dueOn: monthsLater(new Date().toISOString().slice(0, 10), remedy.dueMonths),
          },
        },
        gesture,
      ),
    );
  };
  return (
    <section aria-labelledby="remedies">
      <h3 id="remedies" className="border-b border-ink pb-1 text-lg">
        Not only a new belt
      </h3>
      <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair py-2">
        <span>The owner’s wish, whatever the odds</span>
        <Choice
          label="The owner’s wish"
          value={drive.ownerWish}
          disabled={!canWrite}
          options={OWNER_WISHES.map((wish) => [wish, WISH_NAMES[wish]] as const)}
          onChoose={(ownerWish) =>
            dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { ownerWish } }))
          }
        />
      </div>
      <ul>
        {REMEDY_IDS.map((id) => {
          const remedy = REMEDIES[id];
          const odds = answer?.remedies[id];
          const refused = id === 'band' && drive.speed !== null;
          return (
            <li
              key={id}
              className="grid gap-x-4 gap-y-1 border-b border-hair py-2 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center"
            >
              <div>
                <p>
                  <strong className="first-letter:uppercase">{remedy.name}</strong>
                  {odds && <>: works in {inHundred(odds.works)}</>}
                  {refused && ': refused where speed matters'}
                </p>
                <p className="text-sm text-soft">{remedy.how}</p>
                <p className="text-sm text-soft">
                  May last {months(remedy.monthsLeast)} to {months(remedy.monthsMost)}. {remedy.known}
                </p>
              </div>
              <Button
                disabled={!canWrite || refused || ((id === 'keep' || id === 'warm') && !odds)}
                onClick={() => commit(id)}
                aria-label={`Do it for now: ${remedy.name}, due again in ${months(remedy.dueMonths)}`}
              >
                For now, due in {months(remedy.dueMonths)}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
