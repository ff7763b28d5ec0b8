import { stockFor, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { driveFacts } from '@loose-pulley/core/belts/measuring';
import {
  believe,
  chosenAfter,
  evenly,
  inRoom,
  playOutcomes,
  probabilitiesOf,
  rankByProbability,
  type Samples,
  type SuccessProbability,
  type TriedBelt,
} from '@loose-pulley/core/belts/probability';
import {
  DEFAULT_REQUIREMENTS,
  rank,
  rulesOfThumb,
  situationOf,
  type Priors,
  type Sister,
  type Situation,
} from '@loose-pulley/core/belts/sizing';
import { seeded, type Random } from '@loose-pulley/core/base/statistics';
import { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
import { inTheCold, sampleDrive, sisterOf, verdictOn, worksIn, type DriveClass, type TrueDrive } from './drive';
import { drawPool, oracleSamples } from './knowing';
import { calibrationOf, gapClosed, meanOf, Outcomes, type Calibration, type Closed } from './outcomes';
import { oldSectionOf, Stretches, STRETCHED_FROM, stretchedFrom, type BestStretches } from './stretches';

/** How one way of choosing did. */
export interface Score {
  /** `rule:…`, `single:…`, `ours:…`, `second:…`, `sisters:…`, `oracle`, `hindsight`. */
  readonly player: string;
  /** Share of the drives in which the belt bought works. */
  readonly right: number;
  /** Standard error of that share. */
  readonly std: number;
  readonly drives: number;
}

export interface Population {
  readonly kind: DriveClass;
  readonly drives: number;
  readonly scores: readonly Score[];
  readonly calibration: readonly Calibration[];
  /** The same of second belts alone, chosen after a first that was wrong. */
  readonly seconds: Pick<Calibration, 'count' | 'stated' | 'worked'>;
  /** Of the gap from the best fixed percentage to the oracle, the share that the ranking closes with ever more measured. */
  readonly closed: Readonly<Partial<Record<Effort, Closed>>>;
  /** Of a complaint of the cold: stated → worked there, as it is chosen for the cold and as it is for the bench. */
  readonly cold: Readonly<Record<'forCold' | 'forBench', Pick<Calibration, 'count' | 'stated' | 'worked'>>>;
  /** The percentages that were held against it. */
  readonly stretches: BestStretches;
}

/** The room of a complaint of the cold, and the night before it. */
const COLD = { roomC: 8, idleHours: 12 };
const DRAWS = 1000;
const FLAT_SETTING = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;
/** What a bench cannot see it cannot choose a percentage by: there the best of the usual drives is played. */
const UNSEEN: readonly DriveClass[] = ['weakMotor', 'motorOff', 'hardnessOff', 'frictionOff'];
/** The effort at which a second belt is chosen, and at which sisters are counted. */
const SECOND_AT: readonly Effort[] = ['string', 'held'];

function knownOf(one: TrueDrive, view: BenchView, effort: Effort, priors: Priors, sisters?: readonly Sister[]) {
  const facts = driveFacts(upTo(view, effort), FLAT_SETTING);
  const situation = situationOf(facts, {
    motorSurface: view.motorSurface,
    drivenSurface: view.drivenSurface,
    oldShape: one.section.shape,
    priors,
    ...(sisters && { sisters }),
  });
  // A careless reading may make the drive impossible: whoever chooses by it buys nothing.
  return { facts, situation: situation.ok ? situation.value : undefined };
}

/** Belts that are worth judging at all: those whose length is anywhere near the path. */
const near = (one: TrueDrive, pathMm: number): readonly CatalogueBelt[] =>
  stockFor(one.section.shape).filter(
    ({ innerLengthMm }) => innerLengthMm > 0.78 * pathMm && innerLengthMm < 1.05 * pathMm,
  );

/** Of the belts the one that works in most of the samples. */
function likeliest(samples: Samples, situation: Situation, belts: readonly CatalogueBelt[]): CatalogueBelt | undefined {
  const chances = probabilitiesOf(playOutcomes(samples, situation, belts), evenly(samples.count));
  return belts[chances.reduce((most, { works }, at) => (works > (chances[most]?.works ?? 0) ? at : most), 0)];
}

/** Our ranking of the belts in one situation: what it recommends and the chance it states. */
function ours(
  situation: Situation,
  tries: readonly TriedBelt[],
  belts: readonly CatalogueBelt[],
  seed: number,
  draws: number,
) {
  const { value: bench, weights } = believe(situation, tries, draws, seed);
  const samples = inRoom(bench, situation, seed);
  const chances = probabilitiesOf(playOutcomes(samples, situation, belts), weights);
  const byId = Object.fromEntries(belts.map(({ id }, index) => [id, chances[index] as SuccessProbability]));
  const ranking = rankByProbability(rank(situation, belts), byId, {
    belts,
    oldSection: situation.oldSection,
    after: chosenAfter(tries),
  });
  const belt = ranking.best?.catalogueBelt;
  return { belt, stated: (belt && byId[belt.id]?.works) ?? 0 };
}

/** Looks up once whether a belt works in a drive, for all the players who choose it. */
function truth(one: TrueDrive): (belt: CatalogueBelt | undefined) => boolean {
  const known = new Map<string, boolean>();
  return (belt) => {
    if (!belt) return false;
    const works = known.get(belt.id) ?? worksIn(one, belt);
    known.set(belt.id, works);
    return works;
  };
}

/** Two machines with the same mechanism on which one and the same belt was right; undefined where none is. */
function sistersOf(
  one: TrueDrive,
  random: Random,
): { readonly belt: CatalogueBelt; readonly told: readonly Sister[] } | undefined {
  const drives = [sisterOf(one, random), sisterOf(one, random)];
  const right = oldSectionOf(one).filter((belt) => drives.every((drive) => worksIn(drive, belt)));
  const belt = right[Math.floor(right.length / 2)];
  if (!belt) return undefined;
  const told = drives.map((drive, index): Sister => {
    const view = measured(drive, random);
    const { path } = driveFacts(upTo(view, 'string'), FLAT_SETTING);
    return {
      number: String(index + 1),
      path,
      motorSurface: view.motorSurface,
      drivenSurface: view.drivenSurface,
      tries: [{ belt, verdict: 'right' }],
    };
  });
  return { belt, told };
}

export interface PlayOptions {
  /** Samples for each of our rankings. */
  readonly draws?: number;
  /** The fixed percentages to hold it against; else the best of the drives played, knowing how it went. */
  readonly usual?: BestStretches;
  readonly onDrive?: (done: number) => void;
}

/**
 * Plays every way of choosing on drawn drives of a class: the trade's rules of thumb by their own arithmetic, the fixed
 * percentage that would have been best, the ranking with more and more measured, the second belt where the first was
 * wrong, a third machine after two of its kind, an oracle that knows the drive, and hindsight, which knows the rubber.
 *
 * Cost: some tens of milliseconds a drive.
 *
 * @example playPopulation('all', 500, 20261125, DEFAULT_PRIORS).closed.held?.share // 0.7 or so
 */
export function playPopulation(
  kind: DriveClass,
  drives: number,
  seed: number,
  priors: Priors,
  { draws = DRAWS, usual, onDrive }: PlayOptions = {},
): Population {
  const random = seeded(seed);
  // Apart from the drives' own, so that playing a knowing player changes nobody's drives.
  const knowing = seeded(seed + 2);
  const cold = seeded(seed + 3);
  const pool = drawPool(seed + 1, kind);
  const outcomes = new Outcomes();
  const fixed = new Stretches();
  const stated: Array<readonly [number, boolean]> = [];
  const seconds: Array<readonly [number, boolean]> = [];
  const coldStated = {
    forCold: [] as Array<readonly [number, boolean]>,
    forBench: [] as Array<readonly [number, boolean]>,
  };
  for (let done = 0; done < drives; done++) {
    const one = sampleDrive(random, kind);
    const view = measured(one, random);
    const works = truth(one);
    const worksCold = truth(inTheCold(one, cold));
    const real = near(one, one.pathMm);
    const onSale = real.some(works);
    const knowingSamples = oracleSamples(pool, one, knowing);
    const oracleChoice = likeliest(knowingSamples, trueSituation(one, priors), real);
    const kin = sistersOf(one, knowing);
    for (const effort of EFFORTS) {
      const { facts, situation } = knownOf(one, view, effort, priors);
      if (effort === 'string')
        for (const rule of rulesOfThumb(facts, situation, oldSectionOf(one)))
          if (rule.pick) outcomes.add(`rule:${rule.id}`, works(rule.pick));
      const from = STRETCHED_FROM.find((name) => name === effort);
      if (from) fixed.add(one, from, (from === 'oldBelt' ? facts.oldBelt : facts.path)?.value, works);
      const belts = situation ? near(one, situation.path.value) : [];
      const first = situation && ours(situation, [], belts, seed + done, draws);
      outcomes.add(`ours:${effort}`, works(first?.belt));
      if (first) stated.push([first.stated, works(first.belt)]);
      if (!SECOND_AT.includes(effort) || !situation) continue;
      // The same complaint from a cold room: chosen as for the bench, and for where it fails.
      const forCold = ours({ ...situation, room: COLD }, [], belts, seed + done, draws);
      outcomes.add(`cold bench:${effort}`, worksCold(first?.belt));
      outcomes.add(`cold:${effort}`, worksCold(forCold.belt));
      outcomes.add(`cold oracle:${effort}`, near(one, one.pathMm).some(worksCold));
      coldStated.forBench.push([first?.stated ?? 0, worksCold(first?.belt)]);
      coldStated.forCold.push([forCold.stated, worksCold(forCold.belt)]);
      if (first?.belt && !works(first.belt) && onSale) {
        const tried = [{ belt: first.belt, verdict: verdictOn(one, first.belt) }];
        const second = ours(situation, tried, belts, seed + done, draws);
        outcomes.add(`second:${effort}`, works(second.belt));
        outcomes.add(`second oracle:${effort}`, works(oracleChoice));
        stated.push([second.stated, works(second.belt)]);
        seconds.push([second.stated, works(second.belt)]);
      }
      if (kin) {
        const { situation: told } = knownOf(one, view, effort, priors, kin.told);
        const third = told && ours(told, [], belts, seed + done, draws);
        outcomes.add(`sisters:${effort}`, works(third?.belt));
        outcomes.add(`sisters oracle:${effort}`, works(oracleChoice));
        outcomes.add(`sisters copied:${effort}`, works(kin.belt));
        if (third) stated.push([third.stated, works(third.belt)]);
      }
    }
    outcomes.add('oracle', works(oracleChoice));
    outcomes.add('hindsight', onSale);
    onDrive?.(done + 1);
  }
  const stretches = usual && UNSEEN.includes(kind) ? usual : fixed.best();
  const single = (effort: Effort) => fixed.outcomes(stretchedFrom(effort), stretches);
  return {
    kind,
    drives,
    scores: [
      ...STRETCHED_FROM.map((from) => score(`single:${from}`, fixed.outcomes(from, stretches))),
      ...outcomes.players().map((player) => score(player, outcomes.of(player))),
    ],
    calibration: calibrationOf(stated),
    seconds: meansOf(seconds),
    cold: { forCold: meansOf(coldStated.forCold), forBench: meansOf(coldStated.forBench) },
    closed: Object.fromEntries(
      EFFORTS.map((effort) => [
        effort,
        gapClosed(outcomes.of(`ours:${effort}`), single(effort), outcomes.of('oracle')),
      ]),
    ),
    stretches,
  };
}

const meansOf = (
  list: ReadonlyArray<readonly [number, boolean]>,
): Pick<Calibration, 'count' | 'stated' | 'worked'> => ({
  count: list.length,
  stated: meanOf(list.map(([chance]) => chance)),
  worked: meanOf(list.map(([, worked]) => (worked ? 1 : 0))),
});

function score(player: string, list: readonly number[]): Score {
  const right = meanOf(list);
  return { player, right, std: Math.sqrt((right * (1 - right)) / Math.max(1, list.length)), drives: list.length };
}

/** What the oracle judges a belt by: the drive as it is. */
const trueSituation = (one: TrueDrive, priors: Priors): Situation => ({
  path: { value: one.pathMm, std: 0 },
  drive: one.drive,
  motorSurface: one.motorSurface,
  drivenSurface: one.drivenSurface,
  oldSection: one.section,
  driven: 'tray',
  priors,
  demands: { requirements: DEFAULT_REQUIREMENTS },
});
