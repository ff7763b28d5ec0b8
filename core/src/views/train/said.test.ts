import { expect, test } from 'vitest';
import { opening, recordOf } from '../../../fixtures/sample';
import type { EventBody } from '../../record/ticket';
import { trainSaid } from '.';

const said = (...bodies: readonly EventBody[]): readonly string[] => trainSaid(recordOf([opening, ...bodies]).ticket);

test('what was measured of the rollers and the tray stands on the sheet, and nothing where nothing was', () => {
  expect(said()).toEqual([]);
  const rollers: EventBody = {
    type: 'rollersPut',
    rollers: {
      list: [{ id: 'ro1', name: 'driven', diametersMm: [8, 8.1], surface: 'glazed', driven: true }],
      spacingMm: 60,
      travelMm: 72,
      pullBackN: 2.1,
      link: 'off',
      rattles: 'unknown',
    },
  };
  expect(said(rollers)).toEqual([
    'Roller driven: Ø 8, 8.1 mm, glazed.',
    'A disc pulled back against the running rollers: 2.1 N.',
    'Link between the rollers: off its pin.',
  ]);
  const square: EventBody = { type: 'squarePut', square: { leftMm: 1.2, rightMm: 0.4, spacingMm: 130, steps: [] } };
  expect(said(square)[0]).toMatch(/^Tray clearances: left 1\.2 mm, right 0\.4 mm\. The left side stands 0\.8 mm/);
});
