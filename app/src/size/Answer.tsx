import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import { beltLabel } from '@loose-pulley/core/units';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { inHundred, type SuccessProbability } from '@loose-pulley/core/probability';
import { formatNeed, reasons, ZONE_NAMES, type Candidate } from '@loose-pulley/core/sizing';
import {
  formatGramForce,
  formatLength,
  formatNewton,
  formatPercent,
  type LengthUnit,
  formatSpread,
} from '@loose-pulley/core/units';
import { recordEvent } from '../keeping/actions';
import { usePageKey } from '../keys/useKeys';
import { useAppDispatch, useAppSelector } from '../store/store';
import { useDrive, useTicket } from '../ticket/useTicket';
import { Button, CommitButton } from '../ui/Button';
import { Caution } from '../ui/Caution';
import { SectionSign } from '../ui/SectionSign';
import { ChanceLine } from './ChanceLine';
import { Sisters } from './Sisters';
import type { Sizing } from './useSizing';
import type { DriveRecord, Try } from '@loose-pulley/core/stations';
import { DRIVEN_WORDS } from '@loose-pulley/core/loaders';

interface Props {
  readonly sizing: Sizing;
  readonly facts: DriveFacts;
  readonly drive: DriveRecord;
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
  odds,
  unit,
  onPick,
}: {
  readonly word: string;
  readonly candidate: Candidate | undefined;
  readonly odds: SuccessProbability | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  if (!candidate) return null;
  const { catalogueBelt, judgement } = candidate;
  return (
    <Button look="quiet" onClick={() => onPick(catalogueBelt.id)}>
      {word} {beltLabel(catalogueBelt, unit).size}: {ZONE_NAMES[judgement.zone]}, {formatPercent(judgement.strain)}
      {odds && `, ${inHundred(odds.works)}`}
    </Button>
  );
}

/** The belt to fit, with its figures and its reasons; or, where nothing fits, what to do about that. */
export function Answer({ sizing, facts, drive, unit, canWrite, onPick }: Props) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { ranking, picked } = sizing;
  const log = (belt: Omit<Try, 'id' | 'verdict' | 'note' | 'label' | 'because'>) =>
    dispatch(
      recordEvent({
        type: 'tryLogged',
        driveId: drive.id,
        try: { id: nanoid(10), ...belt, label: '', because: 'unknown', verdict: 'untried', note: '' },
      }),
    );
  const fit = () => {
    if (!picked || !canWrite) return;
    const { shape, thicknessMm, innerLengthMm, name } = picked.catalogueBelt;
    log({ shape, thicknessMm, widthMm: null, innerLengthMm, source: name });
  };
  const keep =
    facts.oldBelt && facts.section && canWrite
      ? () =>
          log({
            shape: drive.oldShape,
            thicknessMm: facts.section?.value ?? 1,
            widthMm: drive.oldShape === 'flat' ? (facts.width?.value ?? null) : null,
            innerLengthMm: facts.oldBelt?.value ?? 1,
            source: 'the old belt, cleaned',
          })
      : undefined;
  const { driven } = useDrive();
  usePageKey('fit', fit);
  usePageKey('keep', keep);
  if (!picked) return <p>No belt in the list can be judged on this drive.</p>;

  const { catalogueBelt, judgement } = picked;
  const { running } = judgement;
  const moved = DRIVEN_WORDS[driven];
  const probabilitiesOf = (one: Candidate | undefined) => one && sizing.odds.answer?.belts[one.catalogueBelt.id];
  const label = beltLabel(catalogueBelt, unit);
  const isBest = picked === ranking.best;
  const said = reasons(judgement, driven);
  const verdict = said[said.length - 1];
  const why = said.slice(0, -1);
  return (
    <div className="grid gap-3">
      <div>
        <h3 className="text-sm font-semibold text-soft">
          {!isBest ? 'Looked at' : ranking.nothingFits ? 'Nothing here fits; nearest is' : 'Fit this one'}
        </h3>
        <p className="text-[38px] leading-tight font-bold whitespace-nowrap">
          <SectionSign shape={catalogueBelt.shape} /> {label.size}
        </p>
        <p className="text-soft">
          {label.words} · {catalogueBelt.name}
        </p>
        {!isBest && (
          <Button look="quiet" onClick={() => onPick(null)}>
            Back to the one recommended
          </Button>
        )}
      </div>
      <ChanceLine odds={probabilitiesOf(picked)} view={sizing.odds} />
      <Sisters drive={drive} odds={sizing.odds.answer?.belts} unit={unit} onPick={onPick} />
      <p>
        <strong>
          {ZONE_NAMES[judgement.zone][0]?.toUpperCase()}
          {ZONE_NAMES[judgement.zone].slice(1)}.
        </strong>{' '}
        {(!probabilitiesOf(picked) || judgement.zone === 'tooTight' || judgement.zone === 'slips') && verdict}
      </p>
      <dl className="border-b border-hair text-[15px]">
        <Line
          name="Stretch, fitted"
          value={`${formatPercent(judgement.strain)} ± ${(200 * judgement.strainStd).toFixed(1)}`}
        />
        {running && (
          <>
            <Line
              name="Belt lets go at"
              note="relaxed"
              value={`${formatNewton(running.grip.beltPullN)} · ${formatGramForce(running.grip.beltPullN)}`}
            />
            <Line
              name={`At the ${moved}`}
              note={running.travelAssumed && driven !== 'spindle' ? 'travel assumed' : undefined}
              value={formatNeed(running.trayPullN, driven, true)}
            />
            <Line
              name={`Needed at the ${moved}`}
              note={running.needAssumed ? 'assumed' : 'measured'}
              value={formatNeed(running.needN, driven)}
            />
            <Line
              name="Load on motor shaft"
              note="fresh"
              value={`${formatNewton(running.motorLoadN)} · ${formatGramForce(running.motorLoadN)}`}
            />
          </>
        )}
      </dl>
      <div className="grid gap-2">
        <CommitButton look="strong" className="min-h-12 w-full" keyCap={keys?.fit} disabled={!canWrite} onClick={fit}>
          Fit and log this try
        </CommitButton>
        <CommitButton className="min-h-12 w-full" keyCap={keys?.keep} disabled={!keep} onClick={keep}>
          Keep the old belt, clean it
        </CommitButton>
      </div>
      <p className="flex flex-wrap gap-x-4">
        <Link className="inline-flex min-h-11 items-center underline" to={`/t/${ticket.id}/slip?drive=${drive.name}`}>
          Slip for the shop
        </Link>
        <Link
          className="inline-flex min-h-11 items-center underline"
          to={`/t/${ticket.id}/template?drive=${drive.name}&belt=${catalogueBelt.id}`}
        >
          At 1 to 1: print, SVG, DXF
        </Link>
      </p>
      <details open={ranking.nothingFits}>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">The reasons</summary>
        <ul className="grid list-disc gap-1 pl-5">
          {why.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      </details>
      <div className="flex flex-wrap gap-x-3">
        <Neighbour
          word="next down"
          candidate={isBest ? ranking.down : undefined}
          odds={probabilitiesOf(ranking.down)}
          unit={unit}
          onPick={onPick}
        />
        <Neighbour
          word="next up"
          candidate={isBest ? ranking.up : undefined}
          odds={probabilitiesOf(ranking.up)}
          unit={unit}
          onPick={onPick}
        />
      </div>
      {facts.oldBelt && facts.path && (
        <div>
          <h3 className="text-sm font-semibold text-soft">Why not the old belt’s size?</h3>
          <p>
            It reads {formatLength(facts.oldBelt.value, unit)} ± {formatSpread(2 * facts.oldBelt.std, unit)} now; the
            path is {formatLength(facts.path.value, unit)}.{' '}
            {facts.oldBelt.value >= facts.path.value
              ? 'Longer than its path, it hangs: that is the fault, not the size.'
              : 'It has taken a set; what it was when new was shorter.'}
          </p>
        </div>
      )}
      <Caution>Unplugged, residue off, pulleys dry; an over-tight belt wears a small motor out.</Caution>
    </div>
  );
}
