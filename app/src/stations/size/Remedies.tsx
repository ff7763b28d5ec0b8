import { Folded } from '../../parts/ui/Folded';
import { today } from '../../state/written';
import { nanoid } from 'nanoid';
import {
  remedyBeltWords,
  remedyTry,
  withProvisional,
  type DriveView,
  type Recommendation,
} from '@loose-pulley/core/views/drive';
import { inHundred, REMEDIES, REMEDY_IDS, type RemedyId } from '@loose-pulley/core/belts/probability';
import { OWNER_WISHES } from '@loose-pulley/core/record/stations';
import { monthsLater } from '@loose-pulley/core/base/timers';
import { counted, formatLength } from '@loose-pulley/core/base/units';
import { useDueMonths } from '../../parts/ticket/useDueMonths';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { fittingOf } from '@loose-pulley/core/views/machine';
import { recordEvent } from '../../state/persistence/recording';
import { bandsSwitched } from '../../state/store/settings';
import { fitBelt } from '../../state/persistence/fitting';
import { useAppDispatch, useAppSelector, useUnit } from '../../state/store/hooks';
import { Check } from '../../parts/ui/Check';

const WISH_NAMES = { unknown: 'unknown', renew: 'renew it', keep: 'keep it' } as const;
const months = (count: number): string =>
  count < 1
    ? counted(Math.round(count * 4), 'week')
    : count < 12
      ? counted(count, 'month')
      : counted(count / 12, 'year');

/** What else may be done instead of a new belt, each with its chance, its life, how little is known, and when it is due again. */
export function Remedies({
  recommendation,
  view,
  canWrite,
}: {
  readonly recommendation: Recommendation;
  readonly view: DriveView;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const { drive } = view;
  const unit = useUnit();
  const dueMonths = useDueMonths();
  const bands = useAppSelector(({ settings }) => settings.bands);
  const warmedMm = recommendation.answer?.warmedMm;
  const commit = (id: RemedyId): void => {
    const tried = remedyTry(view, recommendation, id);
    if (tried)
      dispatch(
        fitBelt(ticket, drive.id, fittingOf(ticket, drive.id, { id: nanoid(10), ...tried }, new Date().toISOString())),
      );
    dispatch(
      recordEvent({
        type: 'handBackWritten',
        changes: {
          provisional: withProvisional(ticket.handBack.provisional, drive, id),
          dueOn: monthsLater(today(), dueMonths(id)?.months ?? REMEDIES[id].dueMonths),
        },
      }),
    );
  };
  return (
    <Folded
      name="remedies"
      title="Instead of a new belt"
      open={recommendation.nothingFits || ticket.handBack.provisional !== ''}
      className="!gap-0 !pt-0"
    >
      <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair py-2">
        <span>The owner’s wish</span>
        <Segments
          label="The owner’s wish"
          value={drive.ownerWish}
          disabled={!canWrite}
          options={OWNER_WISHES.map((wish) => [wish, WISH_NAMES[wish]] as const)}
          onChoose={(ownerWish) =>
            dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { ownerWish } }))
          }
        />
      </div>
      <Check checked={!bands} className="border-b border-hair" onCheck={(checked) => dispatch(bandsSwitched(!checked))}>
        No household bands on this bench
      </Check>
      <ul>
        {REMEDY_IDS.filter((id) => bands || id !== 'band').map((id) => {
          const remedy = REMEDIES[id];
          const chance = recommendation.answer?.remedies[id];
          const which = remedyBeltWords(view, recommendation, id, unit);
          const refused = id === 'band' && drive.speed !== null;
          const learned = dueMonths(id);
          const dueIn = learned?.months ?? remedy.dueMonths;
          const due = months(dueIn);
          return (
            <li
              key={id}
              className="grid gap-x-4 gap-y-1 border-b border-hair py-2 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center"
            >
              <div>
                <p>
                  <strong className="first-letter:uppercase">{remedy.name}</strong>
                  {which !== '' && `, ${which}`}
                  {chance && <>: chance it works {inHundred(chance.works)}</>}
                  {refused && ': refused where speed matters'}
                </p>
                <p className="text-sm text-soft">
                  {remedy.how}
                  {id === 'warm' && warmedMm !== undefined && (
                    <>
                      {' '}
                      About <strong>{formatLength(warmedMm, unit)}</strong> {unit} inner length may be hoped for:
                      measure it cold, as a reading of the old belt, and it is judged by that.
                    </>
                  )}
                </p>
                <p className="text-sm text-soft">
                  May last {months(remedy.monthsMin)} to {months(remedy.monthsMax)}. {remedy.known}
                  {learned &&
                    ` On this bench one in five was back after ${months(learned.months)}, of ${learned.seen} seen.`}
                </p>
              </div>
              <Button
                disabled={!canWrite || refused || (id !== 'band' && !remedyTry(view, recommendation, id))}
                onClick={() => commit(id)}
                aria-label={`Log as provisional, due in ${due}: ${remedy.name}`}
              >
                Log as provisional, due in {due}
              </Button>
            </li>
          );
        })}
      </ul>
    </Folded>
  );
}
