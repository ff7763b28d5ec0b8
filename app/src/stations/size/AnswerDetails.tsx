import { DRIVEN, isTurned } from '@loose-pulley/core/base/loaders';
import { capital } from '@loose-pulley/core/base/units';
import { chanceOf, type DriveView } from '@loose-pulley/core/views/drive';
import { inHundred, type SuccessProbability } from '@loose-pulley/core/belts/probability';

import { reasons, torqueWords, ZONE_NAMES, type Candidate, type Situation } from '@loose-pulley/core/belts/sizing';
import {
  formatGramForce,
  formatLength,
  formatNewton,
  formatPercent,
  formatSpread,
  signedPercent,
  type LengthUnit,
} from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button } from '../../parts/ui/Button';
import type { AnswerProps } from './Answer';
import { Sisters } from './Sisters';
import { OtherSection, Surprises, Ties } from './Beside';
import { Fold } from '../../parts/ui/Fold';

/** A line of the answer: what, and how much. */
function Line({
  name,
  value,
  note,
}: {
  readonly name: string;
  readonly value: string;
  readonly note?: string | undefined;
}) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-t border-hair py-2">
      <dt>
        {name} {note && <span className="text-sm text-soft">{note}</span>}
      </dt>
      <dd className="text-right font-semibold whitespace-nowrap">{value}</dd>
    </div>
  );
}

/** A neighbour in size, and how it would do. */
function Neighbour({
  word,
  candidate,
  chance,
  unit,
  onPick,
}: {
  readonly word: string;
  readonly candidate: Candidate | undefined;
  readonly chance: SuccessProbability | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  if (!candidate) return null;
  const { catalogueBelt, judgement } = candidate;
  return (
    <Button look="quiet" onClick={() => onPick(catalogueBelt.id)}>
      {word} {beltLabel(catalogueBelt, unit).size}: {ZONE_NAMES[judgement.zone]}, {formatPercent(judgement.strain)}
      {chance && `, ${inHundred(chance.works)}`}
    </Button>
  );
}

/** What the pulleys make of the belt looked at, in figures. */
function Figures({ picked, situation }: { readonly picked: Candidate; readonly situation: Situation }) {
  const { judgement } = picked;
  const { running } = judgement;
  const moved = DRIVEN[situation.driven].word;
  return (
    <dl className="border-b border-hair text-[15px]">
      <Line
        name="Stretch, fitted"
        value={`${formatPercent(judgement.strain)} ± ${(200 * judgement.strainStd).toFixed(1)}`}
      />
      {running && (
        <>
          <Line
            name="Belt slips at"
            note="relaxed"
            value={`${formatNewton(running.grip.beltPullN)} · ${formatGramForce(running.grip.beltPullN)}`}
          />
          {isTurned(situation.driven) &&
            (
              [
                ['Torque at the motor shaft', 1],
                ['Torque at the spindle', running.drivenRadiusMm / running.motorRadiusMm],
              ] as const
            ).map(([name, times]) => (
              <Line
                key={name}
                name={`${name}: the belt carries`}
                value={`${(times * running.grip.slipTorqueNmm).toFixed(2)} N·mm of ${(times * running.needNmm).toFixed(2)}`}
                note="needed, assumed"
              />
            ))}
          {!isTurned(situation.driven) && (
            <Line
              name={`Pull at the ${moved}: available`}
              note={running.travelAssumed ? 'travel assumed' : undefined}
              value={torqueWords(running.grip.slipTorqueNmm, running.gearing, true)}
            />
          )}
          {!isTurned(situation.driven) && (
            <Line
              name={`Pull at the ${moved}: needed`}
              note={running.needAssumed ? (situation.stiff ? 'assumed, stiff as Find said' : 'assumed') : 'measured'}
              value={torqueWords(running.needNmm, running.gearing)}
            />
          )}
          {running.speedOff !== undefined && (
            <Line
              name="Speed"
              note={situation.demands.speed?.motorRpm ? 'beside the one wanted' : 'beside the belt it was made with'}
              value={signedPercent(running.speedOff)}
            />
          )}
          <Line
            name="Load on motor shaft"
            note="fresh"
            value={`${formatNewton(running.motorLoadN)} · ${formatGramForce(running.motorLoadN)}`}
          />
        </>
      )}
    </dl>
  );
}

/** Why it is this belt: what stands beside it, what the pulleys make of it, and the reasons. */
export function AnswerDetails({ sizing, view, situation, unit, onPick }: Omit<AnswerProps, 'canWrite'>) {
  const { recommendation, picked } = sizing;
  const { ranking, best, nothingFits, decided } = recommendation;
  const { drive, facts } = view;
  if (!picked) return null;
  const { judgement } = picked;
  const isBest = picked === best;
  const why = reasons(judgement, situation);
  return (
    <div className="grid gap-3">
      {isBest && !decided && <OtherSection recommendation={recommendation} situation={situation} unit={unit} />}
      {isBest && !decided && <Ties recommendation={recommendation} unit={unit} onPick={onPick} />}
      <Surprises recommendation={recommendation} driven={situation.driven} unit={unit} />
      <Sisters drive={drive} recommendation={recommendation} unit={unit} onPick={onPick} />
      <p>
        <strong>{capital(ZONE_NAMES[judgement.zone])}</strong>
        {decided && isBest ? ' by calculation.' : '.'} {fromWhat(view, situation)}
      </p>
      <Figures picked={picked} situation={situation} />
      <Fold title="The reasons" titleClass="font-semibold" open={nothingFits && !decided}>
        <ul className="grid list-disc gap-1 pl-5">
          {why.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      </Fold>
      {isBest && (
        <div className="flex flex-wrap gap-x-3">
          {(
            [
              ['next down', ranking.down],
              ['next up', ranking.up],
            ] as const
          ).map(([word, candidate]) => (
            <Neighbour
              key={word}
              word={word}
              candidate={candidate}
              chance={chanceOf(recommendation, candidate?.catalogueBelt)}
              unit={unit}
              onPick={onPick}
            />
          ))}
        </div>
      )}
      {facts.oldBelt && facts.path && (
        <div>
          <h3 className="text-sm font-semibold text-soft">Why not the old belt’s size?</h3>
          <p>
            It reads {formatLength(facts.oldBelt.value, unit)} ± {formatSpread(2 * facts.oldBelt.std, unit)} {unit}{' '}
            inner length now; the path is {formatLength(facts.path.value, unit)} {unit}. {oldBeltWords(view)}
          </p>
        </div>
      )}
    </div>
  );
}

/** What the answer rests on, where that is not a measured path. */
function fromWhat({ sisters }: DriveView, situation: Situation): string {
  if (situation.oldAtLeastMm)
    return 'From the pieces of the old belt alone: it was at least so long, and what crumbled off is guessed.';
  if (situation.pathFromOldBelt)
    return 'From the old belt alone: its path is not measured, and is estimated from the old belt.';
  if (situation.pathFromSisters)
    return `From ${sisters.length} machines with this mechanism: nothing of this one is measured yet.`;
  return '';
}

/** What the old belt's length means beside the path, no surer than the readings are. */
function oldBeltWords({ finding }: DriveView): string {
  if (!finding) return '';
  if (!finding.sure) return 'The two lie too near together to say which is longer: measure again to know.';
  return finding.excessMm > 0
    ? 'Longer than its path, it hangs.'
    : 'It has taken a set; what it was when new was shorter.';
}
