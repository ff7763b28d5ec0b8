import {
  conflictWords,
  figure,
  figureUnit,
  findMethod,
  type ConflictSaid,
  type DriveFacts,
} from '../../belts/measuring';
import { oldBeltFinding, type Sister } from '../../belts/sizing';
import { beltLabel } from '../../base/shapes';
import { formatLength, formatSpread, listed, type LengthUnit } from '../../base/units';
import { sameSection } from '../../belts/catalogue';
import { MEASURAND_NAMES, type DriveRecord } from '../../record/stations';

/**
 * Everything said of a drive that cannot all be true: readings of one thing, pulleys against string, an old belt against
 * how it was found, machines alike against one another. Every page and paper that shows the drive shows these.
 *
 * For instance saidAgainst(facts, drive, sisters, 'mm')[0].said: 'The pulleys and their distance come to a path of …'
 */
export function saidAgainst(
  facts: DriveFacts,
  drive: Pick<DriveRecord, 'oldState'>,
  sisters: readonly Sister[],
  unit: LengthUnit,
): readonly ConflictSaid[] {
  const path = conflictWords(facts, unit);
  return [
    ...(path ? [path] : []),
    ...apartSaid(facts, unit),
    ...oldStateSaid(facts, drive, unit),
    ...labelSaid(facts, unit),
    ...sistersSaid(sisters, unit),
  ];
}

/** Readings of one thing of which one must be a misreading, and nobody knows which. */
function apartSaid({ apart = [], results }: DriveFacts, unit: LengthUnit): readonly ConflictSaid[] {
  return apart.map((measurand) => {
    const values = results
      .filter(({ reading, odd }) => reading.measurand === measurand && odd && !findMethod(reading.method)?.nominal)
      .map(({ read }) => figure(measurand, read?.value ?? 0, unit));
    const name = MEASURAND_NAMES[measurand];
    return {
      said: `The readings of the ${name} do not fit one another: ${listed(values)} ${figureUnit(measurand, unit)}. One of them must be a misreading, and until it is known which, every chance here counts each.`,
      settle: `Read the ${name} once more and add it: that settles it.`,
    };
  });
}

/** An old belt that was found one way and measures another. */
function oldStateSaid(
  facts: DriveFacts,
  { oldState }: Pick<DriveRecord, 'oldState'>,
  unit: LengthUnit,
): readonly ConflictSaid[] {
  const finding = oldBeltFinding(facts);
  if (!finding?.sure || facts.pathConflict) return [];
  const by = `${formatSpread(Math.abs(finding.excessMm), unit)} ${unit}`;
  const settle = 'Lay it on the pulleys once more and look, or measure it again.';
  if (oldState === 'hanging' && finding.excessMm < 0)
    return [
      {
        said: `The old belt is said to hang, and measures ${by} shorter than its path: one that hangs is longer.`,
        settle,
      },
    ];
  if (oldState === 'taut' && finding.excessMm > 0)
    return [
      {
        said: `The old belt is said to be taut, and measures ${by} longer than its path: one that is taut is shorter.`,
        settle,
      },
    ];
  return [];
}

/* What a belt may be beside its label: a little shorter, and as much longer as it has taken a set, relative. No source. */
const SHORTER = 0.02;
const LONGER = 0.08;

/** A label that cannot be the belt’s. */
function labelSaid({ results, oldBelt }: DriveFacts, unit: LengthUnit): readonly ConflictSaid[] {
  const label = results.find(
    ({ reading, read }) => reading.measurand === 'oldBelt' && read && findMethod(reading.method)?.nominal,
  )?.read;
  const byHand = results.some(
    ({ reading, read }) => reading.measurand === 'oldBelt' && read && !findMethod(reading.method)?.nominal,
  );
  if (!label || !byHand || !oldBelt) return [];
  const over = oldBelt.value / label.value - 1;
  const unsure = (2 * Math.hypot(oldBelt.std, label.std)) / label.value;
  if (over > -SHORTER - unsure && over < LONGER + unsure) return [];
  const write = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  return [
    {
      said: `The old belt’s label says ${write(label.value)}, and in the hand it is ${write(oldBelt.value)}: it is another belt’s label, or one of the two was misread. What counts here is the hand.`,
      settle: 'Measure it once more, another way.',
    },
  ];
}

const clean = ({ motorSurface, drivenSurface, stiff }: Sister): boolean =>
  motorSurface === 'clean' && drivenSurface === 'clean' && !stiff;

/** Two machines alike, both clean, of which one calls right what the other rules out. */
function sistersSaid(sisters: readonly Sister[], unit: LengthUnit): readonly ConflictSaid[] {
  const tries = sisters.filter(clean).flatMap(({ number, tries: own }) => own.map((one) => ({ number, ...one })));
  for (const right of tries.filter(({ verdict }) => verdict === 'right')) {
    const against = tries.find(
      ({ number, belt, verdict }) =>
        number !== right.number &&
        sameSection(belt, right.belt) &&
        ((verdict === 'tooTight' && belt.innerLengthMm >= right.belt.innerLengthMm) ||
          (verdict === 'tooLoose' && belt.innerLengthMm <= right.belt.innerLengthMm)),
    );
    if (!against) continue;
    const size = (belt: Sister['tries'][number]['belt']) => beltLabel(belt, unit).size;
    return [
      {
        said:
          `Machines alike contradict one another: ${size(right.belt)} was right on ${right.number}, and ` +
          `${size(against.belt)} was ${against.verdict === 'tooTight' ? 'too tight' : 'too loose'} on ${against.number}. One of them is not as it was said to be, or not of this mechanism.`,
        settle: 'Measure this one by itself: then it matters less which.',
      },
    ];
  }
  return [];
}
