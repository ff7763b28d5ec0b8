import { Folded } from '../../parts/ui/Folded';
import { DRIVEN } from '@loose-pulley/core/base/loaders';
import { CHECK_STATES, CHECKS, checksFor, figureWords, newCheck, type Check } from '@loose-pulley/core/work/proving';
import { judgedFitted, type DriveView } from '@loose-pulley/core/views/drive';
import { torqueWords } from '@loose-pulley/core/belts/sizing';
import { parseForce, parseNumber } from '@loose-pulley/core/base/units';
import { CONDITIONS } from '../../parts/cycles/conditions';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useDriveViews } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';
import { CHECK_STATE_NAMES } from '@loose-pulley/core/record/stations';

/** The pull at which the belt that is in should slip, of the first drive that says it: for a hand or a scale to be held against. */
function pullWords(views: readonly DriveView[]): string {
  for (const view of views) {
    const { drive, driven, fitted } = view;
    const running = fitted?.verdict === 'right' ? judgedFitted(view)?.running : undefined;
    if (!running) continue;
    const pull = torqueWords(running.grip.slipTorqueNmm, running.gearing, true);
    return `By calculation the belt of drive ${drive.name} slips at ${pull} at the ${DRIVEN[driven].word}${running.travelAssumed ? ', its travel assumed' : ''}.`;
  }
  return '';
}

/** What there is to show for this kind of loader: shown, failed, or not shown and why. */
export function Checks() {
  const { ticket, canWrite } = useTicket();
  const views = useDriveViews();
  return (
    <Folded
      name="checks"
      title="Shown, failed, or not shown and why"
      open={ticket.checks.length > 0}
      className="!gap-0 !pt-0"
    >
      <ol>
        {checksFor(ticket.loader).map((kind) => (
          <CheckLine
            key={kind}
            check={ticket.checks.find((one) => one.kind === kind) ?? newCheck(kind)}
            beside={kind === 'trayHeld' ? pullWords(views) : ''}
            canWrite={canWrite}
          />
        ))}
      </ol>
    </Folded>
  );
}

function CheckLine({
  check,
  beside,
  canWrite,
}: {
  readonly check: Check;
  readonly beside: string;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const put = (changes: Partial<Check>, gesture?: string) =>
    dispatch(recordEvent({ type: 'checkPut', check: { ...check, ...changes } }, gesture));
  const { name, how, figure } = CHECKS[check.kind];
  const parse = figure?.unit === 'N' ? parseForce : parseNumber;
  const words = figureWords(check.kind, check);
  return (
    <li className="grid gap-2 border-b border-hair py-3">
      <p>
        <strong>{name}.</strong> <span className="text-soft">{how}</span> {beside}
      </p>
      <Segments
        label={name}
        value={check.state}
        disabled={!canWrite}
        className="justify-self-start"
        options={CHECK_STATES.map((state) => [state, CHECK_STATE_NAMES[state]] as const)}
        onChoose={(state) => put({ state })}
      />
      {check.state !== 'notDone' && (
        <>
          {figure && check.state !== 'notShown' && check.state !== 'doesNotApply' && (
            <div className="flex flex-wrap items-end gap-3">
              <NumberLine
                label={figure.label}
                unit={figure.unit}
                max={figure.max}
                value={check.figure}
                parse={parse}
                disabled={!canWrite}
                onNumber={(value, gesture) => put({ figure: value }, `${gesture}-figure`)}
              />
              {figure.wantedLabel && (
                <NumberLine
                  label={figure.wantedLabel}
                  unit={figure.unit}
                  max={figure.max}
                  value={check.wanted}
                  parse={parse}
                  disabled={!canWrite}
                  onNumber={(value, gesture) => put({ wanted: value }, `${gesture}-wanted`)}
                />
              )}
              {words && <p className="pb-2 text-lg">{words}</p>}
            </div>
          )}
          {check.state !== 'notShown' && check.state !== 'doesNotApply' && (
            <div role="group" aria-label={`Bench conditions of: ${name}`} className="flex flex-wrap gap-2">
              {[...new Set([...CONDITIONS, ...check.conditions])].map((condition) => {
                const set = check.conditions.includes(condition);
                return (
                  <Button
                    key={condition}
                    look={set ? 'strong' : 'plain'}
                    aria-pressed={set}
                    disabled={!canWrite}
                    onClick={() =>
                      put({
                        conditions: set
                          ? check.conditions.filter((one) => one !== condition)
                          : [...check.conditions, condition],
                      })
                    }
                  >
                    {condition}
                  </Button>
                );
              })}
            </div>
          )}
          <TextLine
            label={
              check.state === 'notShown'
                ? 'Why not'
                : check.state === 'doesNotApply'
                  ? 'It does not apply, because'
                  : 'What was felt or read'
            }
            value={check.note}
            maxLength={2000}
            disabled={!canWrite}
            onText={(note, gesture) => put({ note }, gesture)}
          />
        </>
      )}
    </li>
  );
}
