import { CATALOGUE, sameSection, type CatalogueBelt } from '../catalogue';
import { driveFacts } from '../measuring';
import {
  drawSamples,
  evenly,
  probabilitiesOf,
  playOutcomes,
  rankByProbability,
  type SuccessProbability,
  type Samples,
} from '../probability';
import { DEFAULT_REQUIREMENTS, rank, rulesOfThumb, situationOf, type Priors, type Situation } from '../sizing';
import { seeded } from '../statistics';
import { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
import { sampleDrive, worksIn, type DriveClass, type TrueDrive } from './drive';
import { ceilingSamples, drawPool, oracleSamples } from './knowing';

/** How one way of choosing did. */
export interface Score {
  /** `rule:…`, `single:string`, `single:pulleys`, `ours:…`, `ceiling`, `oracle`, `hindsight`. */
  readonly player: string;
  /** Share of the drives in which the first belt bought works. */
  readonly right: number;
  /** Standard error of that share. */
  readonly std: number;
}

/** Stated chances against what came of them, for one band of stated chances. */
export interface Calibration {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly stated: number;
  readonly worked: number;
}

/** A share of a gap closed, with its standard error over the drives played. */
export interface Closed {
  readonly share: number;
  readonly std: number;
}

export interface Population {
  readonly kind: DriveClass;
  readonly drives: number;
  readonly scores: readonly Score[];
  readonly calibration: readonly Calibration[];
  /**
   * Of the gap from the best single stretch to the oracle, who knows the drive but not the rubber that will come, the
   * share that each of these closes: our ranking with ever more measured, and the ceiling.
   */
  readonly closed: Readonly<Partial<Record<Effort | 'ceiling', Closed>>>;
  /** The same of the gap to hindsight, which knows the rubber too: the oracle itself closes only a part of that. */
  readonly closedOfHindsight: Readonly<Partial<Record<Effort | 'ceiling' | 'oracle', Closed>>>;
  /** The single stretch that does best, by what the path was measured with: it was chosen knowing the outcome. */
  readonly singleStretch: Readonly<Record<'string' | 'pulleys', number>>;
}

const DRAWS = 800;
const SINGLE_STRETCHES = Array.from({ length: 29 }, (_, i) => 0.02 + i * 0.005);
const BANDS = [0, 0.5, 0.6, 0.7, 0.8, 0.87, 0.93, 0.97, 1.0001];
const FLAT_SETTING = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;

/** What can be bought for a class: one assortment, or everything. */
const stockOf = (kind: DriveClass): readonly CatalogueBelt[] =>
  kind === 'squareOnly'
    ? CATALOGUE.filter(({ shape }) => shape === 'square')
    : kind === 'oringOnly'
      ? CATALOGUE.filter(({ series }) => series === 'as568-070')
      : CATALOGUE;

function situationFor(one: TrueDrive, view: BenchView, effort: Effort, priors: Priors) {
  const facts = driveFacts(upTo(view, effort), FLAT_SETTING);
  const situation = situationOf(facts, {
    motorSurface: view.motorSurface,
    drivenSurface: view.drivenSurface,
    oldShape: one.section.shape,
    priors,
  });
  return { facts, situation };
}

/** Belts that are worth judging at all: those whose length is anywhere near the path. */
const near = (stock: readonly CatalogueBelt[], pathMm: number): readonly CatalogueBelt[] =>
  stock.filter(({ innerLengthMm }) => innerLengthMm > 0.78 * pathMm && innerLengthMm < 1.02 * pathMm);

/** Of the old section's belts the one whose centre line would be stretched most nearly by so much. */
function byStretch(stock: readonly CatalogueBelt[], situation: Situation, stretch: number): CatalogueBelt | undefined {
  const t = situation.oldSection?.thicknessMm ?? 1.2;
  const aimMm = (situation.path.value + Math.PI * t * 0.96) / (1 + stretch) - Math.PI * t;
  return stock.reduce<CatalogueBelt | undefined>(
    (best, belt) =>
      !best || Math.abs(belt.innerLengthMm - aimMm) < Math.abs(best.innerLengthMm - aimMm) ? belt : best,
    undefined,
  );
}

/** The section on sale that is nearest the old one. */
function oldSectionOf(stock: readonly CatalogueBelt[], one: TrueDrive): readonly CatalogueBelt[] {
  const like = stock.filter(({ shape }) => shape === one.section.shape);
  const nearest = like.reduce<CatalogueBelt | undefined>(
    (best, belt) =>
      !best ||
      Math.abs(belt.thicknessMm - one.section.thicknessMm) < Math.abs(best.thicknessMm - one.section.thicknessMm)
        ? belt
        : best,
    undefined,
  );
  return nearest ? like.filter((belt) => sameSection(belt, nearest)) : [];
}

/** What came of each player's choice, drive by drive: 1 where the first belt worked. */
class Outcomes {
  private readonly lists = new Map<string, number[]>();
  add(player: string, right: boolean): void {
    const list = this.lists.get(player) ?? [];
    list.push(right ? 1 : 0);
    this.lists.set(player, list);
  }
  of(player: string): readonly number[] {
    return this.lists.get(player) ?? [];
  }
  players(): readonly string[] {
    return [...this.lists.keys()];
  }
}

const meanOf = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);

/**
 * The share of a gap that a player closes, (p − floor)/(top − floor), all three having met the same drives.
 *
 * Standard error by linearisation of a ratio of means: the residuals (p − floor) − share·(top − floor), drive by drive.
 *
 * @example gapClosed([1, 1, 0, 1], [0, 1, 0, 1], [1, 1, 1, 1]).share // 0.5
 */
export function gapClosed(player: readonly number[], floor: readonly number[], top: readonly number[]): Closed {
  const gap = meanOf(top) - meanOf(floor);
  if (gap <= 0) return { share: 1, std: 0 };
  const share = (meanOf(player) - meanOf(floor)) / gap;
  const residuals = player.map((one, i) => one - (floor[i] ?? 0) - share * ((top[i] ?? 0) - (floor[i] ?? 0)));
  const variance = meanOf(residuals.map((one) => one * one));
  return { share, std: Math.sqrt(variance / player.length) / gap };
}

/** Of the belts the one that works in most of the samples. */
function likeliest(
  samples: Samples,
  weights: Float64Array,
  situation: Situation,
  belts: readonly CatalogueBelt[],
): CatalogueBelt | undefined {
  const chances = probabilitiesOf(playOutcomes(samples, situation, belts), weights);
  return belts[chances.reduce((most, { works }, at) => (works > (chances[most]?.works ?? 0) ? at : most), 0)];
}

/** Our ranking of the belts in one situation: what it recommends and the chances it states. */
function ours(situation: Situation, belts: readonly CatalogueBelt[], seed: number, draws: number) {
  const chances = probabilitiesOf(playOutcomes(drawSamples(situation, draws, seed), situation, belts), evenly(draws));
  const byId = Object.fromEntries(belts.map(({ id }, index) => [id, chances[index] as SuccessProbability]));
  const belt = rankByProbability(rank(situation, belts), byId, belts).best?.catalogueBelt;
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

/** The effort at which the ceiling plays: pulleys measured, and the tray's pull both ways. */
const CEILING_AT: Effort = 'held';

/**
 * Plays every way of choosing on drawn drives of a class: the trade's rulesOfThumb by their own arithmetic, the single
 * stretch that would have been best, the ranking with more and more measured, an oracle that knows the drive, and
 * hindsight, which knows the rubber as well. A rule that buys nothing (a reading it wants is there always, so this is
 * rare) counts as wrong.
 *
 * Cost: about 30 ms a drive, and as much again for the ceiling.
 *
 * @param options `ceiling` plays that too; `draws` for each of our rankings; `onDrive` is told after each drive
 * @example playPopulation('all', 500, 20261125, DEFAULT_PRIORS).closed.held?.share // 0.8 or so
 */
export function playPopulation(
  kind: DriveClass,
  drives: number,
  seed: number,
  priors: Priors,
  options: { readonly ceiling?: boolean; readonly draws?: number; readonly onDrive?: (done: number) => void } = {},
): Population {
  const { draws = DRAWS } = options;
  const random = seeded(seed);
  // Apart from the drives' own, so that playing a knowing player changes nobody's drives.
  const knowing = seeded(seed + 2);
  const stock = stockOf(kind);
  const pool = drawPool(seed + 1);
  const outcomes = new Outcomes();
  const stated: Array<readonly [number, boolean]> = [];
  for (let done = 0; done < drives; done++) {
    const one = sampleDrive(random, kind);
    const view = measured(one, random);
    const own = oldSectionOf(stock, one);
    const works = truth(one);
    for (const effort of EFFORTS) {
      const { facts, situation } = situationFor(one, view, effort, priors);
      // A careless reading may make the drive impossible: whoever chooses by it buys nothing.
      const known = situation.ok ? situation.value : undefined;
      if (effort === 'string') {
        for (const rule of rulesOfThumb(facts, known, own)) {
          if (rule.pick) outcomes.add(`rule:${rule.id}`, works(rule.pick));
        }
      }
      if (effort === 'string' || effort === 'pulleys') {
        for (const stretch of SINGLE_STRETCHES) {
          outcomes.add(singleName(effort, stretch), works(known && byStretch(own, known, stretch)));
        }
      }
      const belts = known ? near(stock, known.path.value) : [];
      const chosen = known && ours(known, belts, seed + done, draws);
      outcomes.add(`ours:${effort}`, works(chosen?.belt));
      if (chosen) stated.push([chosen.stated, works(chosen.belt)]);
      if (options.ceiling && effort === CEILING_AT) {
        const fromPool = known && ceilingSamples(pool, known, knowing);
        // Where nothing of the pool is like it, whoever knows the pool chooses as we do.
        const belt = fromPool ? likeliest(fromPool.samples, fromPool.weights, known, belts) : chosen?.belt;
        outcomes.add('ceiling', works(belt));
      }
    }
    const real = near(stock, one.pathMm);
    const samples = oracleSamples(pool, one, knowing);
    outcomes.add('oracle', works(likeliest(samples, evenly(samples.count), trueSituation(one, priors), real)));
    outcomes.add('hindsight', real.some(works));
    options.onDrive?.(done + 1);
  }
  return summed(kind, drives, outcomes, stated);
}

const singleName = (by: 'string' | 'pulleys', stretch: number): string => `single:${by}:${stretch.toFixed(3)}`;

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

/** Shares, gaps and calibration from what came of every choice. */
function summed(
  kind: DriveClass,
  drives: number,
  outcomes: Outcomes,
  stated: ReadonlyArray<readonly [number, boolean]>,
): Population {
  const right = (player: string): number => meanOf(outcomes.of(player));
  const bestStretch = (by: 'string' | 'pulleys'): number =>
    SINGLE_STRETCHES.reduce((best, stretch) =>
      right(singleName(by, stretch)) > right(singleName(by, best)) ? stretch : best,
    );
  const singleStretch = { string: bestStretch('string'), pulleys: bestStretch('pulleys') };
  const kept = {
    [singleName('string', singleStretch.string)]: 'single:string',
    [singleName('pulleys', singleStretch.pulleys)]: 'single:pulleys',
  };
  const [byString = '', byPulleys = ''] = Object.keys(kept);
  const better = right(byString) > right(byPulleys) ? byString : byPulleys;
  const closedOf = <P extends Effort | 'ceiling' | 'oracle'>(top: string, players: readonly P[]) =>
    Object.fromEntries(
      players.flatMap((player) => {
        const list = outcomes.of(player === 'ceiling' || player === 'oracle' ? player : `ours:${player}`);
        const floor = outcomes.of(player === 'string' ? byString : better);
        return list.length > 0 ? [[player, gapClosed(list, floor, outcomes.of(top))]] : [];
      }),
    ) as Partial<Record<P, Closed>>;
  return {
    kind,
    drives,
    scores: outcomes.players().flatMap((player) => {
      if (player.startsWith('single:') && !kept[player]) return [];
      const share = right(player);
      const std = Math.sqrt((share * (1 - share)) / outcomes.of(player).length);
      return [{ player: kept[player] ?? player, right: share, std }];
    }),
    calibration: calibrationOf(stated),
    closed: closedOf('oracle', [...EFFORTS, 'ceiling']),
    closedOfHindsight: closedOf('hindsight', [...EFFORTS, 'ceiling', 'oracle']),
    singleStretch,
  };
}

function calibrationOf(stated: ReadonlyArray<readonly [number, boolean]>): Calibration[] {
  return BANDS.slice(0, -1).flatMap((from, index) => {
    const to = BANDS[index + 1] ?? 1;
    const inside = stated.filter(([chances]) => chances >= from && chances < to);
    if (inside.length === 0) return [];
    return [
      {
        from,
        to: Math.min(1, to),
        count: inside.length,
        stated: inside.reduce((sum, [chances]) => sum + chances, 0) / inside.length,
        worked: inside.filter(([, worked]) => worked).length / inside.length,
      },
    ];
  });
}
