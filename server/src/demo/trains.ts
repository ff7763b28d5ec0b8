import { readTrain, type Member } from '@loose-pulley/core/physics/train';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { driveId, readings, type DemoTicket } from './build';
import { answered, cycles, mechanism, stripped } from './bodies';

/* Tickets of what moves behind the belt: a gear a tooth out, a link off its pin, a mode gear that believes a disc is in. */

/** A train as it is typed, with its ids and numbers. */
function trained(
  number: string,
  line: string,
  more: (member: Member, at: number) => Partial<Member> = () => ({}),
): EventBody {
  const read = readTrain(line);
  if (!read.ok) throw new Error(`Demo ticket ${number}: ${read.problem}`);
  return {
    type: 'trainPut',
    members: read.value.map((draft, at) => {
      const member: Member = {
        ...draft,
        id: `demo-${number}-m${at}`,
        number: at + 1,
        driveId: draft.kind === 'beltDrive' ? driveId(number, 'A') : null,
      };
      return { ...member, ...more(member, at) };
    }),
  };
}

/** The rollers of a slot player: one worn thinner, the link off. */
export const linkOff = (number: string): readonly EventBody[] => [
  trained(number, 'motor 10T, gear 36/12, gear 30, rollers 8'),
  {
    type: 'rollersPut',
    rollers: {
      list: [
        {
          id: `demo-${number}-ro1`,
          name: 'driven roller',
          diametersMm: [8.02, 8.05, 8.01],
          surface: 'tacky',
          driven: true,
        },
        {
          id: `demo-${number}-ro2`,
          name: 'following roller',
          diametersMm: [7.72, 7.81, 7.74],
          surface: 'glazed',
          driven: false,
        },
      ],
      spacingMm: 46,
      travelMm: 72,
      pullBackN: 1.2,
      link: 'off',
      rattles: 'rattles',
    },
  },
];

/** The mode gear of a slot player, home again. */
export const modeHome = (number: string): readonly EventBody[] => [
  {
    type: 'modePut',
    mode: {
      states: [
        { id: `demo-${number}-s1`, name: 'empty', switches: 'S1 on, S2 off', turnsToNext: 7 },
        { id: `demo-${number}-s2`, name: 'taking in', switches: 'S1 off, S2 off', turnsToNext: 22 },
        { id: `demo-${number}-s3`, name: 'loaded', switches: 'S1 off, S2 on', turnsToNext: 5 },
        { id: `demo-${number}-s4`, name: 'giving out', switches: 'S1 off, S2 off', turnsToNext: 24 },
      ],
      at: `demo-${number}-s1`,
      home: `demo-${number}-s1`,
      way: 'clockwise',
      viewedFrom: 'below, motor at the left',
    },
  },
];

export const TRAINED: readonly DemoTicket[] = [
  {
    openedAt: '2026-10-28T10:00:00Z',
    paceMinutes: 5,
    details: {
      number: '0137',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0398',
      owner: 'Listening booth 9',
      complaint: 'opens, then slow and in error',
    },
    bodies: [
      ...cycles('0137', 'before', 'sbsbsbss', false, []),
      mechanism('0137', 'A', 'loading', 'T9 loader'),
      ...stripped('0137', '3 ph1 back edge', 'lid', 'tray out', 'gear 28 off, mark up', 'double gear out'),
      ...readings('0137', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['motorDiameter', 'motorJaws', 6.0],
        ['drivenDiameter', 'drivenJaws', 24.8],
        ['centreDistance', 'shaftToShaft', 38.2],
      ]),
      trained('0137', 'motor, belt 10T, gear 32/11, gear 28, rack 0.8', (member, at) =>
        at === 3 ? { reference: 'mark to mark, tray fully out', stepId: 'demo-0137-st3-0', number: 4 } : {},
      ),
      { type: 'trainSaid', changes: { travelMm: 158, motorRpm: 2400 } },
      {
        type: 'toothTried',
        trial: {
          id: 'demo-0137-t1',
          at: '2026-10-28T11:00:00.000Z',
          memberId: 'demo-0137-m3',
          teeth: 1,
          earlyMm: 2.4,
          what: 'slow, lift late, error at the end',
          right: false,
        },
      },
      ...answered('0137', 'opens, then slow and in error', 'open', ''),
    ],
  },
];
