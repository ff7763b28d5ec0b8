import { expect, test } from 'vitest';
import { forLoader, LOADER_NAMES, loaderNamed, LOADERS } from '.';

test('a machine’s name says its kind of loader, and every kind knows its own name', () => {
  expect(
    [
      'slot player, will not take discs',
      'C5 carousel',
      'twin deck',
      'twin tray',
      'K3 disk drive',
      'lift player',
      'booth deck',
      '',
    ].map(loaderNamed),
  ).toEqual(['slot', 'carousel', 'twinTray', 'twinTray', 'diskDrive', 'lift', 'tray', 'tray']);
  for (const loader of LOADERS) expect(loaderNamed(LOADER_NAMES[loader])).toBe(loader);
});

test('no tray is spoken of where there is none; one or several, at the start or within', () => {
  expect(forLoader('Trays out. Mind the tray.', 'diskDrive')).toBe('Spindles out. Mind the spindle.');
  expect(forLoader('the tray', 'slot')).toBe('the disc');
  expect(forLoader('the portray tray', 'tray')).toBe('the portray tray');
  expect(forLoader('portrayed', 'slot')).toBe('portrayed');
});
