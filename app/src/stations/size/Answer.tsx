import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { DRIVEN, isTurned } from '@loose-pulley/core/base/loaders';
import { capital } from '@loose-pulley/core/base/units';
import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import {
  chanceOf,
  gripsNow,
  limitedWords,
  oldBeltTry,
  soldTry,
  wantedWords,
  type DriveView,
  type NewTry,
} from '@loose-pulley/core/views/drive';
import { inHundred, type SuccessProbability } from '@loose-pulley/core/belts/probability';
import { VERDICT_NAMES } from '@loose-pulley/core/record/stations';

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
import { usePageKey } from '../../parts/keys/useKeys';
import { useOwned } from '../../parts/ticket/useOwned';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import { Caution } from '../../parts/ui/Caution';
import { SectionSign } from '../../parts/ui/SectionSign';
import { fittingOf } from '@loose-pulley/core/views/machine';
import { fitBelt } from '../../state/persistence/fitting';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { toBeHadSet } from '../../state/store/settings';
import Conflicts from '../../parts/measuring/Conflicts';
import { ChanceLine } from './ChanceLine';
import { FromDrawer } from './FromDrawer';
import { Sisters } from './Sisters';
import { OtherSection, Surprises, Ties } from './Beside';
import type { Sizing } from './useSizing';
import { Fold } from '../../parts/ui/Fold';

interface Props {
  readonly sizing: Sizing;
  readonly view: DriveView;
  readonly situation: Situation;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
  readonly onPick: (id: string | null) => void;
}

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

/** The belt to fit, with its figures and its reasons; or, where nothing fits, what to do about that. */
export function Answer({ sizing, view, situation, unit, canWrite, onPick }: Props) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { recommendation, picked } = sizing;
  const { ranking, best, nothingFits } = recommendation;
  const { drive, facts } = view;
  const log = (belt: NewTry) =>
    dispatch(
      fitBelt(ticket, drive.id, fittingOf(ticket, drive.id, { id: nanoid(10), ...belt }, new Date().toISOString())),
    );
  const owned = useOwned(view);
  /** Out of the drawer where it lies there; the drawer follows the ticket. */
  const fitOne = ({ catalogueBelt }: Candidate) => log(soldTry(catalogueBelt, owned.get(catalogueBelt.id)));
  const fit = () => {
    if (!picked || !canWrite) return;
    fitOne(picked);
  };
  const { decided } = recommendation;
  const old = canWrite ? oldBeltTry(view, 'the old belt, cleaned') : undefined;
  const keep = old && (() => log(old));
  const grips = gripsNow(ticket, drive.id);
  usePageKey('fit', fit);
  usePageKey('keep', keep);
  if (!picked) {
    if (recommendation.status !== 'waiting') return <p>No belt in the list can be judged on this drive.</p>;
    return (
      <div className="grid gap-3">
        <h3 className="text-sm font-semibold text-soft">Recommended belt</h3>
        <p className="text-[38px] leading-tight font-bold text-soft">one moment…</p>
        <ChanceLine chance={undefined} recommendation={recommendation} />
      </div>
    );
  }

  const { catalogueBelt, judgement } = picked;
  const chance = chanceOf(recommendation, catalogueBelt);
  const label = beltLabel(catalogueBelt, unit);
  const isBest = picked === best;
  const why = reasons(judgement, situation);
  const headings = { settled: 'Recommended belt', provisional: 'Recommended belt, provisional', waiting: '' };
  const heading = !isBest
    ? 'Looked at'
    : decided
      ? 'Right on this machine'
      : nothingFits
        ? facts.pathConflict
          ? 'Open until the readings fit; nearest is'
          : 'Nothing in stock fits; nearest is'
        : recommendation.after.any
          ? 'Next to try'
          : headings[recommendation.status];
  const limited = limitedWords(view);
  const ruledOut = recommendation.after.forbidden(catalogueBelt);
  return (
    <div className="grid gap-3">
      {grips !== undefined && !decided && (
        <section aria-label="Keep it" className="grid gap-2 border-y-2 border-ink py-2">
          <p className="text-[26px] leading-tight font-bold">Keep the old belt</p>
          <p>
            Fingers could not make it slip ({grips}): that counts more than its length. Put it on and prove it; renew it
            where it slips again.
          </p>
          <CommitButton look="strong" className="min-h-12 w-full" keyCap={keys?.keep} disabled={!keep} onClick={keep}>
            Keep the old belt, clean it
          </CommitButton>
        </section>
      )}
      <div>
        <h3 className="text-sm font-semibold text-soft">{heading}</h3>
        <p className="text-[38px] leading-tight font-bold whitespace-nowrap">
          <SectionSign shape={catalogueBelt.shape} /> {label.size}
        </p>
        <p className="text-soft">
          {label.words} · {catalogueBelt.name}
        </p>
        {limited && !(decided && isBest) && (
          <p className="text-live">
            {limited}{' '}
            <Button look="quiet" onClick={() => dispatch(toBeHadSet('both'))}>
              Choose among both
            </Button>
          </p>
        )}
        {!isBest && (
          <Button look="quiet" onClick={() => onPick(null)}>
            Back to the recommended belt
          </Button>
        )}
      </div>
      {!(decided && isBest) && <Conflicts view={view} />}
      {nothingFits && isBest && !facts.pathConflict && <p>{wantedWords(recommendation.answer?.wanted, unit)}</p>}
      {decided && isBest ? (
        <p className="border-y-2 border-ink py-2">
          <strong>Judged right here, on the bench.</strong> That stands, whatever a calculation says, until a later
          verdict on it says otherwise.
        </p>
      ) : (
        <ChanceLine chance={chance} recommendation={recommendation} />
      )}
      <FromDrawer recommendation={recommendation} owned={owned} unit={unit} canWrite={canWrite} onFit={fitOne} />
      {ruledOut && (
        <p className="text-live">
          Ruled out here: {beltLabel(ruledOut.belt, unit).size} was {VERDICT_NAMES[ruledOut.verdict]}.
        </p>
      )}
      {isBest && !decided && <OtherSection recommendation={recommendation} situation={situation} unit={unit} />}
      {isBest && !decided && <Ties recommendation={recommendation} unit={unit} onPick={onPick} />}
      <Surprises recommendation={recommendation} driven={situation.driven} unit={unit} />
      <Sisters drive={drive} recommendation={recommendation} unit={unit} onPick={onPick} />
      <p>
        <strong>{capital(ZONE_NAMES[judgement.zone])}</strong>
        {decided && isBest ? ' by calculation.' : '.'} {fromWhat(view, situation)}
      </p>
      <Figures picked={picked} situation={situation} />
      <div className="grid gap-2">
        <CommitButton
          look={grips === undefined || decided ? 'strong' : 'plain'}
          className="min-h-12 w-full"
          keyCap={keys?.fit}
          disabled={!canWrite}
          onClick={fit}
        >
          Fit and log this try
          {chance && chance.works < THRESHOLDS.recommend && !(decided && isBest)
            ? `, though it works in ${inHundred(chance.works)}`
            : ''}
        </CommitButton>
        {(grips === undefined || decided) && (
          <CommitButton className="min-h-12 w-full" keyCap={keys?.keep} disabled={!keep} onClick={keep}>
            Keep the old belt, clean it
          </CommitButton>
        )}
      </div>
      <p className="flex flex-wrap gap-x-4">
        {(
          [
            ['slip', 'Slip for the shop'],
            ['template', 'At 1 to 1: print, SVG, DXF'],
          ] as const
        ).map(([page, words]) => (
          <Link
            key={page}
            className="inline-flex min-h-11 items-center underline"
            to={`/t/${ticket.id}/${page}?drive=${drive.name}${isBest ? '' : `&belt=${catalogueBelt.id}`}`}
          >
            {words}
          </Link>
        ))}
      </p>
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
      <Caution>Unplugged, residue off, pulleys dry; an over-tight belt wears a small motor out.</Caution>
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
