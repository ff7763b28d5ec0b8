import { expect, test } from 'vitest';
import { forLoader, forLoaders, isTurned, loaderNamed, loaderOf, LOADERS, ofLoaders } from '.';

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
  for (const loader of LOADERS) expect(loaderNamed(loaderOf(loader).name)).toBe(loader);
});

test('no tray is spoken of where there is none; one or several, at the start or within', () => {
  expect(forLoader('Trays out. Mind the tray.', 'diskDrive')).toBe('Spindles out. Mind the spindle.');
  expect(forLoader('the tray', 'slot')).toBe('the disc');
  expect(forLoader('the portray tray', 'tray')).toBe('the portray tray');
  expect(forLoader('portrayed', 'slot')).toBe('portrayed');
});

test('every record is written in the machine’s own words', () => {
  for (const loader of LOADERS) {
    const { has, guide, trayWord, remote } = loaderOf(loader);
    const said = [...guide.map(({ line }) => line), ...remote.own.map(([, text]) => text)].join(' ');
    if (!has.tray) expect(said, loader).not.toMatch(/\btray\b/);
    expect(forLoader('tray', loader)).toBe(trayWord);
    // Magnetic disks have heads, the others a lens or a stylus: never both.
    expect(has.disks, loader).toBe(!has.discs);
  }
});

test('one entry of every record, by name', () => {
  expect(ofLoaders('driven')).toEqual(forLoaders((loader) => loaderOf(loader).driven));
  expect(isTurned(ofLoaders('driven').diskDrive)).toBe(true);
});
