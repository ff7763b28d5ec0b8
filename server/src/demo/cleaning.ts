import { doneStations, driveId, readings, type DemoTicket, type Said } from './build';
import { answered, cleaned, cycles, fitted, mechanism, pulled, square12, stripped, timersSeen } from './bodies';

/* Tickets whose cure was at Clean: washed belts, dried grease, a warmed belt, a trapped disc, keys that soak. */

/** A length taken after warming, as the old one was. */
const warmedTo =
  (number: string, doubledMm: number): Said =>
  ({ ticket }) => {
    const [shrink] = ticket.cleaning.shrinks;
    const old = ticket.drives[0]?.readings.find(({ measurand }) => measurand === 'oldBelt');
    if (!shrink || !old) throw new Error(`Demo ticket ${number}: nothing was warmed.`);
    return [
      { type: 'shrinkPut', shrink: { ...shrink, afterMm: 2 * doubledMm - 4.8 } },
      {
        type: 'readingTaken',
        driveId: driveId(number, 'A'),
        reading: { ...old, id: `demo-${number}-warmed`, typed: String(doubledMm), amount: doubledMm, round: 1 },
      },
    ];
  };

export const CLEANED: readonly DemoTicket[] = [
  {
    openedAt: '2026-11-22T15:10:00Z',
    details: {
      number: '0148',
      machine: 'Tarnbeck K3 data drive',
      loader: 'diskDrive',
      serial: 'K3-17',
      owner: 'Reading room',
      complaint: 'front keys stick since the tea',
    },
    bodies: [
      ...stripped('0148', '4 ph1 underside', 'lid', 'front panel, two claws', 'plug 8 flat cable, stripe to the left'),
      ...cleaned('0148', ['keys sticky', 'keys soaked overnight in soapy water', 'heads alcohol swab clean'], {
        heads: 'glass',
      }),
    ],
  },
  {
    openedAt: '2026-11-17T09:20:00Z',
    details: {
      number: '0145',
      machine: 'Sallowfield S1 slot player',
      loader: 'slot',
      serial: 'S1-0069',
      owner: 'Listening booth 4',
      complaint: 'took a disc and keeps it',
    },
    bodies: [
      mechanism('0145', 'A', 'loading', 'S1 roller'),
      ...readings('0145', 'A', [['trayTravel', 'countedTravel', 22, { turns: 10 }]]),
      { type: 'mainsSaid', mains: { state: 'unplugged', since: '2026-11-17T09:40:00.000Z' } },
      {
        type: 'jamPut',
        jam: {
          what: 'a disc, half way in',
          travelLeftMm: 72,
          opens: 'anticlockwise',
          viewedFrom: 'pulleySide',
          tried: [
            { id: 'demo-0145-r1', at: '2026-11-17T09:41:00.000Z', rung: 'look', result: 'nothing', note: '' },
            { id: 'demo-0145-r2', at: '2026-11-17T09:50:00.000Z', rung: 'reset', result: 'nothing', note: '' },
            { id: 'demo-0145-r3', at: '2026-11-17T09:52:00.000Z', rung: 'ejectMotor', result: 'stopped', note: '' },
            { id: 'demo-0145-r4', at: '2026-11-17T10:05:00.000Z', rung: 'pulleyByHand', result: 'out', note: '' },
          ],
          lay: 'under the following roller, edge on its nick',
          cameBy: 'An 80 mm disc was fed without its ring.',
          out: true,
        },
      },
      {
        type: 'discPut',
        disc: {
          id: 'demo-0145-d1',
          whose: 'listener of booth 4',
          where: 'under the following roller',
          condition: 'one fine scratch, there before',
          out: 'pulley by hand',
          returned: false,
        },
      },
      ...cleaned('0145', ['rollers glazed', 'rollers alcohol tacky', 'following roller nicked']),
      timersSeen,
    ],
  },
  {
    openedAt: '2026-11-14T10:30:00Z',
    paceMinutes: 4,
    details: {
      number: '0143',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0405',
      owner: 'Listening booth 7',
      complaint: 'crawls out, stops half way',
    },
    bodies: [
      ...cycles('0143', 'before', 'bsbbsbbs', false, []),
      ...stripped('0143', '3 ph1 back edge', 'lid, slides back, then up', 'tray out', 'belt off'),
      { type: 'mainsSaid', mains: { state: 'unplugged', since: '2026-11-14T10:35:00.000Z' } },
      mechanism('0143', 'A', 'loading', 'T9 loader'),
      ...readings('0143', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 62.6],
        ['motorDiameter', 'motorJaws', 6.0],
        ['drivenDiameter', 'drivenJaws', 24.8],
        ['centreDistance', 'shaftToShaft', 38.3],
      ]),
      pulled('0143', 'A', 3.1),
      ...cleaned(
        '0143',
        [
          'guides hardened grease',
          'rods dried grease',
          'drive pulley sludge',
          'rods old grease off with petroleum spirit, lithium, a film, run end to end',
          'guides old grease off with a toothpick, lithium grease, a film',
          'drive pulley ipa, clean twice',
          'motor bushing one drop of fine oil, excess wiped',
          'hands washed',
        ],
        { 'drive pulley': 'acetal', guides: 'acetal' },
      ),
      timersSeen,
      pulled('0143', 'A', 1.2),
    ],
  },
  {
    openedAt: '2026-11-08T13:00:00Z',
    paceMinutes: 4,
    details: {
      number: '0141',
      machine: 'Oberquist C5 carousel',
      loader: 'carousel',
      serial: 'C5-1177',
      owner: 'Reading room',
      complaint: 'drawer opens, table does not turn',
    },
    bodies: [
      mechanism('0141', 'A', 'loading', 'C5 drawer'),
      { type: 'driveAdded', driveId: driveId('0141', 'B'), name: 'B' },
      mechanism('0141', 'B', 'table', 'C5 table'),
      { type: 'driveAdded', driveId: driveId('0141', 'C'), name: 'C' },
      mechanism('0141', 'C', 'clamp', 'C5 clamp'),
      ...stripped(
        '0141',
        '6 ph2 underside',
        'lid',
        'table off',
        'table belt off',
        'loading belt off',
        'clamp belt off',
      ),
      ...cleaned('0141', [
        'belts oily',
        'both pulleys oily',
        'table belt slips',
        'loading belt slips hard',
        'clamp belt slips',
        'belts washed in soapy water, clean',
        'pulleys ipa, clean twice',
        'motor bushing excess wiped',
        'table belt holds',
        'loading belt holds',
        'clamp belt holds',
        'hands washed',
      ]),
      timersSeen,
      ...doneStations('rebuild', 'prove'),
      {
        type: 'handBackWritten',
        changes: {
          provisional: 'The old belts went back washed; they are as old as the machine.',
          dueOn: '2027-11-08',
          minutes: 70,
        },
      },
      ...answered('0141', 'drawer opens, table does not turn', 'cured', 'All three belts were oily, and hold again.'),
      { type: 'ticketClosed', despite: 'steps were logged in the old book' },
    ],
  },
  {
    openedAt: '2026-10-20T09:30:00Z',
    paceMinutes: 4,
    details: {
      number: '0134',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0381',
      owner: 'Listening booth 8',
      complaint: 'opens loaded, not empty',
    },
    bodies: [
      mechanism('0134', 'A', 'loading', 'T9 loader'),
      ...readings('0134', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 66.4],
        ['motorDiameter', 'motorJaws', 6.0],
        ['drivenDiameter', 'drivenJaws', 24.8],
        ['centreDistance', 'shaftToShaft', 38.2],
      ]),
      ...cleaned('0134', ['belt slips', 'both pulleys ipa, clean twice', 'belt in hot water']),
      warmedTo('0134', 63.8),
      timersSeen,
      ...cleaned('0134', ['belt holds']),
      ...fitted(
        '0134',
        'A',
        { ...square12(122.8), source: 'the old belt, warmed to shrink' },
        'right',
        'holds, empty and loaded',
      ),
      {
        type: 'handBackWritten',
        changes: { provisional: 'Drive A: warm to shrink.', dueOn: '2027-01-20', minutes: 35 },
      },
      ...answered('0134', 'opens loaded, not empty', 'cured', 'For a while: the old belt was shrunk.'),
      { type: 'ticketClosed', despite: '' },
    ],
  },
];
