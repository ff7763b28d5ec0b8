import { expect, test } from 'vitest';
import { jStat } from 'jstat';
import { CATALOGUE } from '@loose-pulley/core/belts/catalogue';
import { driveFacts } from '@loose-pulley/core/belts/measuring';
import { DEFAULT_PRIORS } from '@loose-pulley/core/belts/sizing';
import { seeded } from '@loose-pulley/core/base/statistics';
import { sampleDrive, DRIVE_CLASSES, EFFORTS, gapClosed, measured, playPopulation, upTo, worksIn } from '.';

const played = playPopulation('all', 80, 7, DEFAULT_PRIORS);
const right = (player: string) => played.scores.find((score) => score.player === player)?.right ?? NaN;

test('the same seed plays the same drives; another plays others', () => {
  expect(playPopulation('all', 10, 7, DEFAULT_PRIORS)).toEqual(playPopulation('all', 10, 7, DEFAULT_PRIORS));
  expect(playPopulation('all', 10, 8, DEFAULT_PRIORS).scores).not.toEqual(
    playPopulation('all', 10, 7, DEFAULT_PRIORS).scores,
  );
});

test('nobody does better than hindsight, and chances do better than every rule of the trade', () => {
  for (const { player, right: share, drives } of played.scores) {
    // Sisters and second belts were played on some of the drives only.
    if (drives === 80) expect(share, player).toBeLessThanOrEqual(right('hindsight'));
    if (player.startsWith('rule:')) expect(share, player).toBeLessThan(right('ours:pulleys'));
  }
  // The single stretch was picked knowing the outcome: on so few drives that alone is worth a standard error.
  const { std } = played.scores.find(({ player }) => player === 'single:string') ?? { std: NaN };
  expect(right('ours:string')).toBeGreaterThan(right('single:string') - std);
});

test('the oracle, who knows the drive and not its belt, is worth more than all that a bench measures', () => {
  expect(right('oracle')).toBeGreaterThanOrEqual(right('ours:held'));
  expect(played.closed.held?.share).toBeGreaterThan(0.3);
});

test('more draws for each ranking are still the same drives', () => {
  const [few, many] = [200, 600].map((draws) => playPopulation('all', 8, 5, DEFAULT_PRIORS, { draws }));
  const singles = (scores = few?.scores ?? []) => scores.filter(({ player }) => player.startsWith('single'));
  expect(singles()).toEqual(singles(many?.scores));
});

test('a gap’s share: half of it is half; its standard error falls with the root of the drives', () => {
  const [player, floor, top] = [
    [1, 1, 0, 1],
    [0, 1, 0, 1],
    [1, 1, 1, 1],
  ];
  const four = gapClosed(player, floor, top);
  expect(four.share).toBeCloseTo(0.5, 12);
  const twice = gapClosed([...player, ...player], [...floor, ...floor], [...top, ...top]);
  expect(twice.std).toBeCloseTo(four.std / Math.SQRT2, 12);
  expect(gapClosed(top, floor, top)).toEqual({ share: 1, std: 0 });
});

test('the tray held while the motor stands tells a strong motor from a weak one', () => {
  const random = seeded(11);
  const pairs = Array.from({ length: 200 }, () => {
    const one = sampleDrive(random, 'all');
    const held = upTo(measured(one, random), 'held').find(({ measurand }) => measurand === 'stallPull');
    return [(one.stallTorqueNmm * one.efficiency) / one.travelPerTurnMm, held?.amount ?? NaN] as const;
  });
  const of = (index: 0 | 1) => pairs.map((pair) => pair[index]);
  expect(jStat.corrcoeff(of(0), of(1))).toBeGreaterThan(0.9);
});

test('every choice is in one band of stated chances', () => {
  const counted = played.calibration.reduce((sum, { count }) => sum + count, 0);
  // First belts at every effort, second ones, and those after two sisters at two efforts.
  expect(counted).toBeGreaterThan(0.97 * 80 * EFFORTS.length);
  expect(counted).toBeLessThanOrEqual(80 * (EFFORTS.length + 4));
});

test.each(DRIVE_CLASSES)(
  'a drive of class %s is of that class, can be measured, and no belt works that would hang',
  (kind) => {
    const random = seeded(3);
    for (let i = 0; i < 20; i++) {
      const one = sampleDrive(random, kind);
      if (kind === 'smallMotor') expect(one.drive.motorPulley.bottomDiameterMm).toBeLessThan(4.2);
      if (kind === 'ring') expect(one.section.shape).toBe('round');
      if (kind === 'square') expect(one.section.shape).toBe('square');
      if (kind === 'weakMotor') expect(one.stallFactor).toBeLessThan(2);
      const view = measured(one, random);
      const facts = driveFacts(upTo(view, 'travel'), {
        crossed: false,
        motorGroove: { form: 'flat' },
        drivenGroove: { form: 'flat' },
      });
      // Within six of its own standard uncertainties: careless readings are three times as wide.
      expect(Math.abs((facts.path?.value ?? 0) - one.pathMm)).toBeLessThan(12 * (facts.path?.std ?? 0));
      expect(upTo(view, 'string').some(({ measurand }) => measurand === 'trayPull')).toBe(false);
      if (kind === 'flat') expect(one.section.widthMm).toBeGreaterThan(0);
      const hanging = CATALOGUE.filter(({ innerLengthMm }) => innerLengthMm > 1.05 * one.pathMm);
      expect(hanging.some((belt) => worksIn(one, belt))).toBe(false);
    }
  },
);
