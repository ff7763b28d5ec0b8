import type { ComplaintState, Happening, Try } from '@loose-pulley/core/ticket';
import { doneStations, driveId, readings, type DemoTicket } from './build';

/*
 * The Wrackline Folk Archive, invented: a coastal archive of spoken memories with listening booths and a digitising
 * room, and its one technician. All machines are invented too. Newest first.
 */

const mechanism = (number: string, letter: string, role: string, name: string): Happening => ({
  type: 'driveChanged',
  driveId: driveId(number, letter),
  changes: { role, mechanism: name },
});
const note = (station: 'find' | 'strip' | 'clean' | 'rebuild' | 'prove', text: string): Happening => ({
  type: 'noteWritten',
  station,
  text,
});
const notNeeded = (station: 'find' | 'strip' | 'clean' | 'rebuild' | 'prove'): Happening => ({
  type: 'stationMarked',
  station,
  mark: 'notNeeded',
});
const fitted = (
  number: string,
  letter: string,
  size: Pick<Try, 'shape' | 'thicknessMm' | 'innerLengthMm' | 'source'> &
    Partial<Pick<Try, 'widthMm' | 'label' | 'because'>>,
  verdict: Try['verdict'],
  remark: string,
): Happening[] => {
  const id = `demo-${number}-${letter}-try-${size.innerLengthMm}`;
  return [
    {
      type: 'tryLogged',
      driveId: driveId(number, letter),
      try: { id, widthMm: null, label: '', because: 'notSaid', ...size, verdict: 'untried', note: '' },
    },
    ...(verdict === 'untried'
      ? []
      : [{ type: 'tryJudged', driveId: driveId(number, letter), tryId: id, verdict, note: remark } as const]),
  ];
};
/** Cycles counted one after another: `g` good, `b` bad, `s` slow, `h` helped; open and close in turn. */
const cycles = (
  number: string,
  run: string,
  verdicts: string,
  loaded: boolean,
  conditions: readonly string[],
  proofId: string | null = null,
): Happening[] =>
  [...verdicts].map((verdict, index) => ({
    type: 'cycleLogged',
    cycle: {
      id: `demo-${number}-${run}-${index}`,
      at: new Date(Date.parse('2026-11-18T09:00:00Z') + index * 20_000).toISOString(),
      action: index % 2 === 0 ? 'open' : 'close',
      result: verdict === 'b' ? 'bad' : verdict === 's' ? 'slow' : verdict === 'h' ? 'helped' : 'good',
      // Believable times: a tray takes about a second and a half, a slow one twice that, a failed one is given up on.
      seconds: Math.round((verdict === 'b' ? 4.6 : verdict === 's' ? 3.1 : 1.5 + ((index * 7) % 5) * 0.08) * 100) / 100,
      loaded,
      disc: loaded ? 'junk' : 'none',
      place: '',
      conditions,
      proofId,
    },
  }));
/** One timed test. */
const timed = (
  number: string,
  what: string,
  side: 'before' | 'after',
  seconds: number,
  retries: number,
): Happening[] => [
  {
    type: 'timingPut',
    timing: {
      id: `demo-${number}-${side}-${what}`.replaceAll(' ', '-'),
      at: '2026-11-18T09:00:00Z',
      what,
      side,
      seconds,
      retries,
    },
  },
];
/** The first complaint of a ticket, answered. */
const answered = (number: string, words: string, state: ComplaintState, after: string): Happening[] => [
  {
    type: 'complaintPut',
    complaint: { id: `demo-${number}-k1`, words, state, drivetrain: true, sounds: ['runsFree'], before: '', after },
  },
];
const square12 = (innerLengthMm: number) =>
  ({ shape: 'square', thicknessMm: 1.2, innerLengthMm, source: 'square assortment' }) as const;
const ring070 = (dash: string, innerDiameterIn: number) =>
  ({
    shape: 'round',
    thicknessMm: 1.778,
    innerLengthMm: Math.PI * innerDiameterIn * 25.4,
    source: `AS568 ${dash}`,
  }) as const;

export const WRACKLINE: readonly DemoTicket[] = [
  {
    openedAt: '2026-11-24T09:05:00Z',
    details: {
      number: '0151',
      machine: 'Sallowfield S1 slot player',
      loader: 'slot',
      serial: 'S1-0077',
      owner: 'Digitising room',
      complaint: 'takes a disc half way and gives it back',
    },
    happenings: [
      ...doneStations('takeIn'),
      note('find', 'Roller turns, the link looks home. A faint rattle when tipped; not found yet.'),
    ],
  },
  {
    openedAt: '2026-11-23T14:20:00Z',
    details: {
      number: '0150',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0388',
      owner: 'Listening booth 5',
      complaint: 'dead drawer',
    },
    happenings: [],
  },
  {
    openedAt: '2026-11-20T10:00:00Z',
    details: {
      number: '0149',
      machine: 'Tarnbeck K3 data drive',
      loader: 'diskDrive',
      serial: 'K3-21',
      owner: 'Digitising room',
      complaint: 'spins, reads nothing',
    },
    happenings: [
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0149', 'A', 'spindle', 'K3 spindle'),
      { type: 'driveChanged', driveId: driveId('0149', 'A'), changes: { oldShape: 'flat' } },
      ...readings('0149', 'A', [
        ['section', 'sectionJaws', 0.6],
        ['width', 'widthJaws', 4.1],
        ['motorDiameter', 'motorJaws', 11.2],
        ['oldBelt', 'doubledOuter', 158.5],
      ]),
    ],
  },
  {
    openedAt: '2026-11-18T08:40:00Z',
    details: {
      number: '0147',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0412',
      owner: 'Listening booth 2',
      complaint: 'shy on cold mornings',
    },
    happenings: [
      { type: 'storyTold', story: 'Stood unused over the summer; the booth is unheated.' },
      {
        type: 'evidencePut',
        evidence: { id: 'demo-0147-v1', kind: 'screwsMissing', words: 'one of four under the case', age: '' },
      },
      {
        type: 'evidencePut',
        evidence: {
          id: 'demo-0147-v2',
          kind: 'earlierRepair',
          words: 'a drop of oil on the tray guides',
          age: 'years',
        },
      },
      { type: 'triedAgain', afterUnplugging: { result: 'same', at: '2026-11-18T08:55:00Z' } },
      ...timed('0147', 'time to load', 'before', 6.4, 0),
      ...timed('0147', 'time to read the contents', 'before', 9.1, 1),
      ...cycles('0147', 'empty', 'bgggbgsgbgbg', false, ['cold']),
      ...cycles('0147', 'loaded', 'gggggsgggggg', true, ['cold']),
      ...doneStations('takeIn'),
      note('find', 'Motor heard, pulley turns, tray stays. Opens when tapped. Belt shiny, not oily.'),
      ...doneStations('find'),
      mechanism('0147', 'A', 'loading', 'T9 loader'),
      ...readings('0147', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 66.4],
        ['motorDiameter', 'motorJaws', 6.0],
        ['driveDiameter', 'driveJaws', 24.8],
        ['centreDistance', 'shaftToShaft', 38.2],
        ['oldBelt', 'overCap', 40.8],
        ['stringPath', 'stringRound', 129.8, { stringDiameterMm: 0.8 }],
      ]),
      ...doneStations('strip', 'measure'),
    ],
  },
  {
    openedAt: '2026-11-16T11:15:00Z',
    details: {
      number: '0146',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0390',
      owner: 'Listening booth 1',
      complaint: 'sticks some mornings',
    },
    happenings: [
      ...cycles('0146', 'before', 'gbgggbgsgggb', false, ['cold']),
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0146', 'A', 'loading', 'T9 loader'),
      ...readings('0146', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 65.9],
        ['motorDiameter', 'motorJaws', 6.1],
        ['driveDiameter', 'driveJaws', 24.8],
        ['centreDistance', 'outsideToOutside', 55.4, { motorOutsideMm: 8.1, driveOutsideMm: 26.4 }],
      ]),
      ...doneStations('measure'),
      ...fitted('0146', 'A', square12(120), 'tooLoose', 'opens loaded, stalls empty'),
      ...fitted('0146', 'A', square12(116), 'right', 'twelve of twelve, empty and loaded'),
      ...doneStations('size', 'clean', 'rebuild'),
      {
        type: 'treatmentRecorded',
        treatment: { id: 'demo-0146-h1', at: '2026-11-17T10:00:00Z', what: 'belt renewed, both pulleys cleaned' },
      },
      { type: 'proofBegun', proof: { id: 'demo-0146-p1', startedAt: '2026-11-17T11:00:00Z' } },
      ...timed('0146', 'time to read the contents', 'before', 11.2, 2),
      ...timed('0146', 'time to read the contents', 'after', 5.3, 0),
      { type: 'lidSaid', lid: { state: 'on', since: '2026-11-17T10:30:00Z' } },
      ...cycles('0146', 'after', 'ggggggsgggggggg', false, ['cold', 'lid on'], 'demo-0146-p1'),
    ],
  },
  {
    openedAt: '2026-11-12T13:30:00Z',
    details: {
      number: '0144',
      machine: 'Oberquist C5 carousel',
      loader: 'carousel',
      serial: 'C5-1190',
      owner: 'Reading room',
      complaint: 'growls, stays shut',
    },
    happenings: [
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0144', 'A', 'loading', 'C5 drawer'),
      { type: 'driveAdded', driveId: driveId('0144', 'B'), name: 'B' },
      mechanism('0144', 'B', 'table', 'C5 table'),
      { type: 'driveAdded', driveId: driveId('0144', 'C'), name: 'C' },
      mechanism('0144', 'C', 'clamp', 'C5 clamp'),
      ...readings('0144', 'A', [
        ['section', 'sectionJaws', 1.5],
        ['motorDiameter', 'motorJaws', 7.4],
        ['driveDiameter', 'driveJaws', 31.0],
        ['centreDistance', 'shaftToShaft', 52.5],
        ['oldBelt', 'laidStraight', 172.5],
      ]),
      ...fitted(
        '0144',
        'A',
        { shape: 'square', thicknessMm: 1.5, innerLengthMm: 152, source: 'square assortment' },
        'right',
        '',
      ),
      ...readings('0144', 'B', [
        ['section', 'sectionJaws', 1.2],
        ['motorDiameter', 'motorJaws', 5.5],
        ['driveDiameter', 'driveJaws', 40],
        ['centreDistance', 'shaftToShaft', 61],
      ]),
    ],
  },
  {
    openedAt: '2026-11-03T09:50:00Z',
    details: {
      number: '0139',
      machine: 'Orrismere L12 lift player',
      loader: 'lift',
      serial: 'L12-03',
      owner: 'Lecture hall',
      complaint: 'carriage stays down',
    },
    happenings: [
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0139', 'A', 'carriage', 'L12 lift'),
      { type: 'driveChanged', driveId: driveId('0139', 'A'), changes: { oldShape: 'round' } },
      ...readings('0139', 'A', [
        ['section', 'sectionJaws', 1.8],
        ['motorDiameter', 'motorOverPins', 13.6, { pinDiameterMm: 2 }],
        ['driveDiameter', 'driveLessGroove', 42.4, { grooveDepthMm: 1.6 }],
        ['centreDistance', 'gapBetween', 6.2, { motorOutsideMm: 12.4, driveOutsideMm: 42.4 }],
        ['oldBelt', 'inPieces', 160],
      ]),
      ...doneStations('measure', 'size'),
      {
        type: 'waitingChanged',
        waiting: { for: 'post', what: 'O-ring for the carriage, due Friday. No belt fitted: do not power.' },
      },
    ],
  },
  {
    openedAt: '2026-10-06T10:10:00Z',
    details: {
      number: '0131',
      machine: 'Sallowfield S1 slot player',
      loader: 'slot',
      serial: 'S1-0061',
      owner: 'Listening booth 4',
      complaint: 'silent, will not take a disc',
    },
    happenings: [
      ...doneStations('takeIn'),
      note(
        'find',
        'Mode gear stood at “disc in”. Turned home by hand, unplugged. Owner asked whether to renew the rollers as well.',
      ),
      ...doneStations('find', 'strip'),
      { type: 'waitingChanged', waiting: { for: 'owner', what: 'whether to renew the rollers' } },
    ],
  },
  {
    openedAt: '2026-06-15T09:00:00Z',
    details: {
      number: '0118',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0401',
      owner: 'Listening booth 3',
      complaint: 'whirrs, does not open',
    },
    happenings: [
      ...doneStations('takeIn'),
      notNeeded('find'),
      mechanism('0118', 'A', 'loading', 'T9 loader'),
      ...readings('0118', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 67.1],
        ['motorDiameter', 'motorJaws', 6.0],
        ['driveDiameter', 'driveJaws', 24.7],
        ['centreDistance', 'shaftToShaft', 38.4],
      ]),
      ...fitted('0118', 'A', ring070('-029', 1.489), 'tooTight', 'motor labours, tray creeps'),
      ...fitted('0118', 'A', square12(116), 'right', 'every time'),
      {
        type: 'tryLabelled',
        driveId: driveId('0118', 'A'),
        tryId: 'demo-0118-A-try-116',
        changes: { because: 'failed', label: 'drawer 3, square 1.2, 116' },
      },
      {
        type: 'driveChanged',
        driveId: driveId('0118', 'A'),
        changes: {
          normal: 'Says “no disc” when empty. Pauses a second before it closes.',
          codes: [{ code: 'E3', meaning: 'the tray did not reach its end in time' }],
        },
      },
      {
        type: 'offerPut',
        offer: {
          id: 'demo-0118-o1',
          what: 'the same belt in the other booth decks, before they fail',
          answer: 'declined',
          by: 'the archive: one by one, as they fail',
        },
      },
      ...doneStations('strip', 'measure', 'size', 'clean', 'rebuild', 'prove'),
      {
        type: 'handBackWritten',
        changes: {
          found: 'Loading belt slack and glazed.',
          done: 'Belt renewed, both pulleys cleaned with isopropyl alcohol.',
          left: 'Front left foot is missing.',
          notTested: 'Not run on its side.',
          minutes: 50,
        },
      },
      ...doneStations('handBack'),
      ...answered('0118', 'whirrs, does not open', 'cured', 'Opens and closes every time.'),
      { type: 'ticketClosed', despite: '' },
    ],
  },
  {
    openedAt: '2025-12-02T10:30:00Z',
    details: {
      number: '0097',
      machine: 'Pennerley T9 booth deck',
      loader: 'tray',
      serial: 'T9-0377',
      owner: 'Listening booth 6',
      complaint: 'opens by itself, then not at all',
    },
    happenings: [
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0097', 'A', 'loading', 'T9 loader'),
      ...readings('0097', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'overCap', 41.4],
      ]),
      ...fitted(
        '0097',
        'A',
        { shape: 'flat', thicknessMm: 1.0, widthMm: 4, innerLengthMm: 100, source: 'office band, as a stopgap' },
        'right',
        'for now',
      ),
      ...doneStations('measure', 'size', 'clean', 'rebuild', 'prove'),
      {
        type: 'handBackWritten',
        changes: {
          found: 'Belt dissolved.',
          done: 'Residue cleaned off. A band is in as a stopgap.',
          left: '',
          provisional: 'A band went in as a stopgap; it will not last.',
          dueOn: '2026-05-01',
          notTested: '',
        },
      },
      ...doneStations('handBack'),
      ...answered('0097', 'opens by itself, then not at all', 'cured', 'For a while: a stopgap is in.'),
      { type: 'ticketClosed', despite: '' },
    ],
  },
];
