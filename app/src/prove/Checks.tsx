import { CHECK_STATES, CHECKS, checksFor, type Check } from '@loose-pulley/core/proving';
import { CHECK_STATE_NAMES, factsOf } from '@loose-pulley/core/ticket';
import { judge, situationOf } from '@loose-pulley/core/sizing';
import { formatForce } from '@loose-pulley/core/units';
import { happen } from '../keeping/actions';
import { useAppDispatch } from '../store/store';
import { useTicket } from '../ticket/useTicket';
import { Choice } from '../ui/Choice';
import { TextLine } from '../ui/TextLine';

/** The pull at which the belt fitted last should let go, by calculation, for the hand to be held against. */
function usePredictedPull(): string | null {
  const { ticket } = useTicket();
  for (const drive of ticket.drives) {
    const last = drive.tries.findLast(({ verdict }) => verdict === 'right');
    const situation = last && situationOf(factsOf(drive), drive);
    const running =
      last && situation?.ok
        ? judge(situation.value, { ...last, widthMm: last.widthMm ?? undefined })?.running
        : undefined;
    if (running)
      return `By calculation drive ${drive.name} lets go at ${formatForce(running.trayPullN)} at the tray${running.travelAssumed ? ', its travel assumed' : ''}.`;
  }
  return null;
}

/** What there is to show for this kind of loader: shown, failed, or not shown and why. */
export function Checks() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const predicted = usePredictedPull();
  return (
    <section aria-labelledby="checks">
      <h3 id="checks" className="border-b border-ink pb-1 text-lg">
        Shown, failed, or not shown and why
      </h3>
      <ol>
        {checksFor(ticket.loader).map((kind) => {
          const check: Check = ticket.checks.find((one) => one.kind === kind) ?? { kind, state: 'blank', note: '' };
          const put = (changes: Partial<Check>, gesture?: string) =>
            dispatch(happen({ type: 'checkPut', check: { ...check, ...changes } }, gesture));
          const { name, how } = CHECKS[kind];
          return (
            <li key={kind} className="grid gap-2 border-b border-hair py-3">
              <p>
                <strong>{name}.</strong> <span className="text-soft">{how}</span> {kind === 'trayHeld' && predicted}
              </p>
              <Choice
                label={name}
                value={check.state}
                disabled={!canWrite}
                className="justify-self-start"
                options={CHECK_STATES.map((state) => [state, CHECK_STATE_NAMES[state]] as const)}
                onChoose={(state) => put({ state })}
              />
              {check.state !== 'blank' && (
                <TextLine
                  label={check.state === 'notShown' ? 'Why not' : 'Under which conditions, and what was felt or read'}
                  value={check.note}
                  maxLength={2000}
                  disabled={!canWrite}
                  onText={(note, gesture) => put({ note }, gesture)}
                />
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
