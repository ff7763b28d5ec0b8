import type { DriveValues } from '@loose-pulley/core/physics/evaluation';
import { samplesOf, type Samples } from '@loose-pulley/core/belts/probability';
import { seeded, type Random } from '@loose-pulley/core/base/statistics';
import { SECTION_SHAPES } from '@loose-pulley/core/base/shapes';
import { sampleDrive, truthOf, type DriveClass, type TrueDrive } from './drive';

/** Drives from which the oracle takes what it cannot know. */
const POOL = 4000;
/** Belts that might come in the post, for the oracle. */
const BELTS = 600;

export const drawPool = (seed: number, kind: DriveClass): readonly TrueDrive[] => {
  const random = seeded(seed);
  return Array.from({ length: POOL }, () => sampleDrive(random, kind));
};

/**
 * The samples of the oracle, who knows the drive to the last figure and cannot know the rubber that will come in the
 * post: hardness, how much of its pull a belt gives back, how far it may be stretched, and where it lies within its
 * maker's limits are those of any drive of the pool.
 */
export function oracleSamples(pool: readonly TrueDrive[], one: TrueDrive, random: Random): Samples {
  const come = Array.from({ length: BELTS }, () => pool[Math.floor(random() * pool.length)] as TrueDrive);
  const values = come.map(({ relaxedShare, strainMax }): DriveValues => ({
    ...truthOf(one),
    relaxedShare,
    strainMax,
  }));
  return samplesOf(
    values,
    come.map(({ lengthWithin }) => lengthWithin),
    Object.fromEntries(SECTION_SHAPES.map((shape) => [shape, come.map(({ modulusMpa }) => modulusMpa[shape])])),
  );
}
