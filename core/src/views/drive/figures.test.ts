import { describe, expect, test } from 'vitest';
import type { Situation } from '../../belts/sizing';
import { BOOTH } from '../../../fixtures/booth';
import { figuresOf, USUAL_MOTOR_RPM } from './figures';

const at = (innerLengthMm: number, of: Situation = BOOTH, rpm = USUAL_MOTOR_RPM) =>
  figuresOf(of, { shape: 'square', thicknessMm: 1.2, innerLengthMm }, rpm);
const number = (length: number, name: string, of?: Situation, rpm?: number): number =>
  parseFloat(
    at(length, of, rpm)
      .figures.find((one) => one.name === name)
      ?.value.replace('−', '-') ?? '',
  );

describe('what a length would do, sold or not', () => {
  test('all of it in words, for any length between two belts', () => {
    const { judgement, figures } = at(114.3);
    expect(judgement?.zone).toBe('snug');
    expect(figures.map(({ name }) => name)).toEqual([
      'Stretch',
      'Pull of a strand, fresh',
      'Belt slips at',
      'Tray held back with',
      'Grip over need',
      'Load on the motor shaft',
      'Motor torque left, over need',
      'Smallest pulley',
      'Driven pulley',
      '140 mm of travel takes',
    ]);
    for (const { value } of figures) expect(value).not.toMatch(/NaN|undefined|Infinity/);
  });
  test('shorter: more stretch, more pull, a harder hold, less motor torque left', () => {
    for (const name of ['Stretch', 'Pull of a strand, fresh', 'Tray held back with', 'Grip over need'])
      expect(number(110, name), name).toBeGreaterThan(number(118, name));
    expect(number(110, 'Motor torque left, over need')).toBeLessThan(number(118, 'Motor torque left, over need'));
  });
  test('the driven pulley follows the motor, and nearly by the ratio of the pitch diameters', () => {
    expect(number(116, 'Driven pulley', BOOTH, 6000)).toBeGreaterThan(1.9 * number(116, 'Driven pulley'));
    const ratio = (6 + 1.15) / (24.8 + 1.15);
    expect(number(116, 'Driven pulley') / (USUAL_MOTOR_RPM * ratio)).toBeCloseTo(1, 1);
  });
  test('a belt that slips does not open the tray', () => {
    const { figures } = at(126.9);
    expect(figures.find(({ name }) => name.startsWith('140 mm'))?.value).toBe('it does not open');
  });
  test('with the path alone only the stretch answers', () => {
    const { drive: _, ...pathOnly } = BOOTH;
    expect(at(116, pathOnly).figures.map(({ name }) => name)).toEqual(['Stretch']);
  });
});
