import type { LoaderRecord } from './record';

export const twinTray = {
  name: 'twin tray',
  named: /\btwin\b|\btwo trays\b|\bdouble deck\b/i,
  driven: 'tray',
  trayWord: 'tray',
  words: { tray: 'tray', open: 'open', close: 'close' },
  opensBy: 'out',
  has: {
    tray: true,
    discs: true,
    disks: false,
    rollers: false,
    severalBelts: true,
    mirroredDecks: true,
    homing: false,
  },
  actions: ['open', 'close'],
  checks: ['motorPulleyHeld', 'trayHeld', 'contentsRead', 'firstAndLast', 'eachDeck', 'beforeTheLid', 'afterTheLid'],
  timed: ['time to load', 'time to spin up', 'time to read the contents'],
  map: [
    ['bushing'],
    ['gear'],
    ['rack'],
    ['guide', 'guides, upper deck'],
    ['guide', 'guides, lower deck'],
    ['switch'],
    ['lens'],
    ['floor'],
  ],
  ladder: {
    without: [],
    other: {
      pulleyByHand: {
        how: 'Of the deck that is jammed: the other one mirrors it, so its way opens the other way round. Count the turns worked out below.',
      },
    },
  },
  causeWeights: { beltSlack: 22, otherBelt: 5 },
  causeNames: {},
  remote: { moves: 'trays, each by itself', listenAt: 'front', own: [] },
  underTheCover: '',
  guide: [
    { line: '4 ph1 underside' },
    { line: 'lid' },
    { line: 'front panel, two claws, push up', or: 'front panel stays on, tray out first' },
    { line: 'belt deck 1 off' },
    { line: 'belt deck 2 off, mirrored' },
    { line: 'stop pin out', deep: true },
    { line: 'tray deck 1 out', deep: true },
    { line: 'tray deck 2 out', deep: true },
  ],
} as const satisfies LoaderRecord;
