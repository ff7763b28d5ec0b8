import { CATALOGUE, sameSection, type CatalogueBelt } from '../catalogue';
import { driveFacts } from '../measuring';
import { drawWorlds, evenly, oddsOf, playBelts, rankByOdds, type Odds } from '../odds';
import { rank, schools, situationOf, type Limits, type Situation } from '../sizing';
import { seeded } from '../statistics';
import { EFFORTS, measured, upTo, type BenchView, type Effort } from './bench';
import { ceilingWorlds, drawPool } from './ceiling';
import { drawDrive, worksIn, type DriveClass, type TrueDrive } from './drive';

/** How one way of choosing did. */
export interface Score {
  /** `school:…`, `single:string`, `single:pulleys`, `ours:…`, `ceiling`, `oracle`. */
  readonly player: string;
  /** Share of the drives in which the first belt bought works. */
  readonly right: number;
  /** Standard error of that share. */
  readonly std: number;
}

/** Stated odds against what came of them, for one band of stated odds. */
export interface Calibration {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly stated: number;
  readonly worked: number;
}

export interface Population {
  readonly kind: DriveClass;
  readonly drives: number;
  readonly scores: readonly Score[];
  readonly calibration: readonly Calibration[];
  /** Of the gap from the best single stretch to the oracle, the share that the ranking closes, by effort. */
  readonly closed: Readonly<Record<Effort, number>>;
  /** The share of that gap that anybody could close who measured as much and knew how such drives are spread. */
  readonly closable: number | null;
  /** The single stretch that does best, by what the path was measured with: it was chosen knowing the outcome. */
  readonly singleStretch: Readonly<Record<'string' | 'pulleys', number>>;
}

const DRAWS = 800;
const SINGLE_STRETCHES = Array.from({ length: 29 }, (_, i) => 0.02 + i * 0.005);
const BANDS = [0, 0.5, 0.6, 0.7, 0.8, 0.87, 0.93, 0.97, 1.0001];
const FLAT_SETTING = { crossed: false, motorGroove: { form: 'flat' }, driveGroove: { form: 'flat' } } as const;

/** What can be bought for a class: one assortment, or everything. */
const stockOf = (kind: DriveClass): readonly CatalogueBelt[] =>
  kind === 'squareOnly'
    ? CATALOGUE.filter(({ shape }) => shape === 'square')
    : kind === 'oringOnly'
      ? CATALOGUE.filter(({ series }) => series === 'as568-070')
      : CATALOGUE;

function situationFor(one: TrueDrive, view: BenchView, effort: Effort, limits: Limits) {
  const facts = driveFacts(upTo(view, effort), FLAT_SETTING);
  const situation = situationOf(facts, {
    motorSurface: view.motorSurface,
    driveSurface: view.driveSurface,
    oldShape: one.section.shape,
    limits,
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

/** Tallies of right and of all, by name. */
class Tally {
  private readonly counts = new Map<string, { right: number; all: number }>();
  add(player: string, right: boolean): void {
    const one = this.counts.get(player) ?? { right: 0, all: 0 };
    this.counts.set(player, { right: one.right + (right ? 1 : 0), all: one.all + 1 });
  }
  share(player: string): number {
    const one = this.counts.get(player);
    return one ? one.right / one.all : 0;
  }
  scores(): Score[] {
    return [...this.counts].map(([player, { right, all }]) => {
      const share = right / all;
      return { player, right: share, std: Math.sqrt((share * (1 - share)) / all) };
    });
  }
}

/**
 * Plays every way of choosing on drawn drives of a class: the trade's schools by their own arithmetic, the single
 * stretch that would have been best, the ranking with more and more measured, and an oracle that knows the drive. A
 * school that buys nothing (a reading it wants is there always, so this is rare) counts as wrong.
 *
 * Cost: about 8 ms a drive.
 *
 * @param options `ceiling` plays that too, which doubles the time; `onDrive` is told after each drive
 * @example playPopulation('all', 500, 20261125, DEFAULT_LIMITS).closed.pull // 0.8 or so
 */
export function playPopulation(
  kind: DriveClass,
  drives: number,
  seed: number,
  limits: Limits,
  options: { readonly ceiling?: boolean; readonly onDrive?: (done: number) => void } = {},
): Population {
  const random = seeded(seed);
  const stock = stockOf(kind);
  const pool = options.ceiling ? drawPool(seed + 1) : undefined;
  const tally = new Tally();
  const stated: Array<readonly [number, boolean]> = [];
  for (let done = 0; done < drives; done++) {
    const one = drawDrive(random, kind);
    const view = measured(one, random);
    const own = oldSectionOf(stock, one);
    const right = new Map<string, boolean>();
    const works = (belt: CatalogueBelt | undefined): boolean => {
      if (!belt) return false;
      const known = right.get(belt.id);
      if (known !== undefined) return known;
      const really = worksIn(one, belt);
      right.set(belt.id, really);
      return really;
    };
    for (const effort of EFFORTS) {
      const { facts, situation } = situationFor(one, view, effort, limits);
      // A careless reading may make the drive impossible: whoever chooses by it buys nothing.
      if (effort === 'string') {
        for (const school of schools(facts, situation.ok ? situation.value : undefined, own)) {
          if (school.pick) tally.add(`school:${school.id}`, works(school.pick));
        }
      }
      if (effort === 'string' || effort === 'pulleys') {
        for (const stretch of SINGLE_STRETCHES) {
          const belt = situation.ok ? byStretch(own, situation.value, stretch) : undefined;
          tally.add(`single:${effort}:${stretch.toFixed(3)}`, works(belt));
        }
      }
      if (!situation.ok) {
        tally.add(`ours:${effort}`, false);
        if (effort === 'pull' && pool) tally.add('ceiling', false);
        continue;
      }
      const belts = near(stock, situation.value.path.value);
      const worlds = drawWorlds(situation.value, DRAWS, seed + done);
      const odds = oddsOf(playBelts(worlds, situation.value, belts), evenly(DRAWS));
      const byId = Object.fromEntries(belts.map(({ id }, index) => [id, odds[index] as Odds]));
      const best = rankByOdds(rank(situation.value, belts), byId, belts).best?.catalogueBelt;
      const worked = works(best);
      tally.add(`ours:${effort}`, worked);
      if (effort === 'pull' && pool) {
        const known = ceilingWorlds(pool, situation.value, random);
        if (known) {
          const ceiling = oddsOf(playBelts(known.worlds, situation.value, belts), known.weights);
          const top = ceiling.reduce((most, each, at) => (each.works > (ceiling[most]?.works ?? 0) ? at : most), 0);
          tally.add('ceiling', works(belts[top]));
        } else tally.add('ceiling', worked);
      }
      stated.push([(best && byId[best.id]?.works) ?? 0, worked]);
    }
    tally.add('oracle', near(stock, one.pathMm).some(works));
    options.onDrive?.(done + 1);
  }
  const bestStretch = (by: 'string' | 'pulleys'): number =>
    SINGLE_STRETCHES.reduce((best, stretch) =>
      tally.share(`single:${by}:${stretch.toFixed(3)}`) > tally.share(`single:${by}:${best.toFixed(3)}`)
        ? stretch
        : best,
    );
  const singleStretch = { string: bestStretch('string'), pulleys: bestStretch('pulleys') };
  const single = (by: 'string' | 'pulleys'): number => tally.share(`single:${by}:${singleStretch[by].toFixed(3)}`);
  const oracle = tally.share('oracle');
  const floor = Math.max(single('string'), single('pulleys'));
  const closed = Object.fromEntries(
    EFFORTS.map((effort) => {
      const under = effort === 'string' ? single('string') : floor;
      return [effort, oracle > under ? (tally.share(`ours:${effort}`) - under) / (oracle - under) : 1];
    }),
  ) as Record<Effort, number>;
  const closable = !pool ? null : oracle > floor ? (tally.share('ceiling') - floor) / (oracle - floor) : 1;
  const kept = new Set([
    `single:string:${singleStretch.string.toFixed(3)}`,
    `single:pulleys:${singleStretch.pulleys.toFixed(3)}`,
  ]);
  const scores = tally
    .scores()
    .filter(({ player }) => !player.startsWith('single:') || kept.has(player))
    .map((score) => ({ ...score, player: score.player.replace(/^(single:\w+):.*/, '$1') }));
  return { kind, drives, scores, calibration: calibrationOf(stated), closed, closable, singleStretch };
}

function calibrationOf(stated: ReadonlyArray<readonly [number, boolean]>): Calibration[] {
  return BANDS.slice(0, -1).flatMap((from, index) => {
    const to = BANDS[index + 1] ?? 1;
    const inside = stated.filter(([odds]) => odds >= from && odds < to);
    if (inside.length === 0) return [];
    return [
      {
        from,
        to: Math.min(1, to),
        count: inside.length,
        stated: inside.reduce((sum, [odds]) => sum + odds, 0) / inside.length,
        worked: inside.filter(([, worked]) => worked).length / inside.length,
      },
    ];
  });
}
