/** One line of a guide, as it would be typed; at which depth it is reached; and the other rule of it, where there is one. */
export interface GuideLine {
  readonly line: string;
  /** Reached only by the deep strip. */
  readonly deep?: boolean;
  readonly or?: string;
}

const CASE: readonly GuideLine[] = [{ line: '4 ph1 underside' }, { line: 'lid' }];
const TRAY_FRONT: readonly GuideLine[] = [
  { line: 'front panel, two claws, push up', or: 'front panel stays on, tray out first' },
];

/** Generic strips by kind of loader, from outside in. Common practice, no source: every machine differs. */
export const GUIDES: Readonly<Record<string, readonly GuideLine[]>> = {
  tray: [
    ...CASE,
    ...TRAY_FRONT,
    { line: 'belt off, with a blunt hook', or: 'belt off through the gap, tray half out' },
    { line: '2 ph0 clamp bridge', deep: true },
    { line: 'laser pads bridged', deep: true },
    { line: 'flat cable pickup, slide the latch', deep: true },
    { line: 'stop pin out', deep: true },
    { line: 'tray out, clear of the switch', deep: true },
    { line: 'gear train, marks noted from above', deep: true },
  ],
  twinTray: [
    ...CASE,
    ...TRAY_FRONT,
    { line: 'belt deck 1 off' },
    { line: 'belt deck 2 off, mirrored' },
    { line: 'stop pin out', deep: true },
    { line: 'tray deck 1 out', deep: true },
    { line: 'tray deck 2 out', deep: true },
  ],
  carousel: [
    ...CASE,
    ...TRAY_FRONT,
    { line: '1 ph1 table centre' },
    { line: 'table plate off, note its place' },
    { line: 'table belt off' },
    { line: 'drawer belt off' },
    { line: '2 ph0 clamp bridge', deep: true },
    { line: 'clamp belt off', deep: true },
    { line: 'mode gear parked at its mark', deep: true },
  ],
  slot: [
    ...CASE,
    { line: '4 ph0 drive corners' },
    { line: 'flat cable drive, slide the latch' },
    { line: 'mechanism lifted out' },
    { line: '2 ph00 top shield' },
    { line: 'shield folded back' },
    { line: 'belt off' },
    { line: 'roller link noted, then roller out', deep: true },
  ],
  lift: [
    ...CASE,
    { line: 'transport lock taken off' },
    ...TRAY_FRONT,
    { line: 'belt loading off' },
    { line: 'carriage wound aside', deep: true },
    { line: 'belt lift off', deep: true },
    { line: 'stylus out', deep: true },
  ],
  diskDrive: [
    { line: '2 ph1 sides' },
    { line: 'cover' },
    { line: 'drive board, no wires pulled', or: 'drive board stays, belt from below' },
    { line: 'belt spindle off' },
  ],
  wire: [
    ...CASE,
    { line: 'tray wire off, turns on each drum noted' },
    { line: 'belt outer off, it leaves before the inner' },
    { line: 'belt inner off', deep: true },
    { line: 'tray out', deep: true },
  ],
};
