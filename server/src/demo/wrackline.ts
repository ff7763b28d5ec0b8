import { doneStations, driveId, readings, type DemoTicket } from './build';
import { CLEANED } from './cleaning';
import { HANDED_BACK } from './handedBack';
import { TODAY } from './today';
import { yearsBefore } from './years';
import { linkOff, modeHome, TRAINED } from './trains';
import { cycles, fitted, mechanism, note, observed, stripped, square12, timed } from './bodies';

/*
 * The Wrackline Folk Archive, invented: a coastal archive of spoken memories with listening booths and a digitising
 * room, and its one technician. All machines are invented too. Newest first.
 */

const AT_EVERY_STATION: readonly DemoTicket[] = [
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
    bodies: [
      ...doneStations('takeIn'),
      ...observed('0151', ['behaviour', 'part'], ['rattle', 'rattles'], ['sound', 'usual']),
      note('find', 'Roller turns, the link looked home. A faint rattle when tipped.'),
      ...linkOff('0151'),
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
    bodies: [],
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
    bodies: [
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
    bodies: [
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
      { type: 'promised', promise: { to: 'Listening booth 2', at: `${TODAY(0)}T16:00:00Z` } },
      ...doneStations('takeIn'),
      ...observed('0147', ['sound', 'runsFree'], ['tapped', 'helps'], ['behaviour', 'part'], ['reads', 'well']),
      note('find', 'Motor heard, pulley turns, tray stays. Opens when tapped. Belt shiny, not oily.'),
      ...doneStations('find'),
      ...stripped(
        '0147',
        '3 ph1 back edge',
        '2 hex8 pinned sides, one short',
        'lid, slides back, then up',
        'front panel, push up, two claws',
        'laser pads bridged',
        '2 ph0 6mm clamp bridge',
        'plug 8 flat cable, stripe to the left',
        'stop pin out',
        'tray out, clear the switch on the left',
        'belt off, two turns on the motor',
      ),
      { type: 'mainsSaid', mains: { state: 'unplugged', since: '2026-11-18T09:12:00.000Z' } },
      mechanism('0147', 'A', 'loading', 'T9 loader'),
      ...readings('0147', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 66.4],
        ['motorDiameter', 'motorJaws', 6.0],
        ['drivenDiameter', 'drivenJaws', 24.8],
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
    bodies: [
      ...cycles('0146', 'before', 'gbgggbgsgggb', false, ['cold']),
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0146', 'A', 'loading', 'T9 loader'),
      ...readings('0146', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 65.9],
        ['motorDiameter', 'motorJaws', 6.1],
        ['drivenDiameter', 'drivenJaws', 24.8],
        ['centreDistance', 'outsideToOutside', 55.4, { motorOutsideMm: 8.1, drivenOutsideMm: 26.4 }],
      ]),
      ...doneStations('measure'),
      ...fitted('0146', 'A', square12(120), 'tooLoose', 'opens loaded, stalls empty'),
      ...fitted('0146', 'A', square12(116), 'right', 'twelve of twelve, empty and loaded'),
      ...doneStations('size', 'clean', 'rebuild'),
      {
        type: 'treatmentRecorded',
        treatment: { id: 'demo-0146-h1', at: '2026-11-17T10:00:00Z', what: 'belt renewed, both pulleys cleaned' },
      },
      { type: 'cleanRunBegun', cleanRun: { id: 'demo-0146-p1', startedAt: '2026-11-17T11:00:00Z' } },
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
    bodies: [
      { type: 'promised', promise: { to: 'Listening booth 4', at: `${TODAY(1)}T12:00:00Z` } },
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0144', 'A', 'loading', 'C5 drawer'),
      { type: 'driveAdded', driveId: driveId('0144', 'B'), name: 'B' },
      mechanism('0144', 'B', 'table', 'C5 table'),
      { type: 'driveAdded', driveId: driveId('0144', 'C'), name: 'C' },
      mechanism('0144', 'C', 'clamp', 'C5 clamp'),
      ...readings('0144', 'A', [
        ['section', 'sectionJaws', 1.5],
        ['motorDiameter', 'motorJaws', 7.4],
        ['drivenDiameter', 'drivenJaws', 31.0],
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
        ['drivenDiameter', 'drivenJaws', 40],
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
    bodies: [
      ...doneStations('takeIn', 'find', 'strip'),
      mechanism('0139', 'A', 'carriage', 'L12 lift'),
      {
        type: 'driveChanged',
        driveId: driveId('0139', 'A'),
        changes: {
          oldShape: 'round',
          idlers: [
            {
              id: 'demo-0139-cam',
              name: 'lift cam',
              xMm: 15,
              yMm: 24,
              diameterMm: 8,
              groove: { form: 'flat', veeAngleDeg: null },
              back: false,
              driven: true,
              after: 'driven',
              surface: null,
            },
          ],
        },
      },
      ...readings('0139', 'A', [
        ['section', 'sectionJaws', 1.8],
        ['motorDiameter', 'motorOverPins', 13.6, { pinDiameterMm: 2 }],
        ['drivenDiameter', 'drivenLessGroove', 42.4, { grooveDepthMm: 1.6 }],
        ['centreDistance', 'gapBetween', 6.2, { motorOutsideMm: 12.4, drivenOutsideMm: 42.4 }],
        ['oldBelt', 'inPieces', 160],
      ]),
      ...doneStations('measure', 'size'),
      {
        type: 'waitingChanged',
        waiting: { for: 'parts', what: 'O-ring for the carriage, due Friday. No belt fitted: do not power.' },
      },
      {
        type: 'wantPut',
        want: {
          id: 'demo-0139-w1',
          driveId: driveId('0139', 'A'),
          belt: { shape: 'round', thicknessMm: 1.778, widthMm: null, innerLengthMm: Math.PI * 47.35, chance: 0.83 },
          count: 1,
          alternates: [
            { shape: 'round', thicknessMm: 1.778, widthMm: null, innerLengthMm: Math.PI * 44.17, chance: 0.79 },
          ],
        },
      },
      { type: 'promised', promise: { to: 'Lecture hall', at: `${TODAY(4)}T12:00:00Z` } },
      ...stripped(
        '0139',
        '4 ph2 underside',
        'lid',
        'transport lock taken off',
        'carriage wound aside',
        'belt lift off, in pieces',
        'no belt fitted',
      ),
      {
        type: 'parked',
        park: { since: '2026-11-04T16:00:00.000Z', lies: 'shelf B, tray 3', awaited: 'the O-ring, by post on Friday' },
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
    bodies: [
      ...doneStations('takeIn'),
      note(
        'find',
        'Mode gear stood at “disc in”. Turned home by hand, unplugged. Owner asked whether to renew the rollers as well.',
      ),
      ...modeHome('0131'),
      ...doneStations('find', 'strip'),
      { type: 'waitingChanged', waiting: { for: 'owner', what: 'whether to renew the rollers' } },
    ],
  },
];

/** All of them, newest first. */
export const WRACKLINE: readonly DemoTicket[] = [
  ...AT_EVERY_STATION,
  ...HANDED_BACK,
  ...CLEANED,
  ...TRAINED,
  ...yearsBefore(),
].sort((a, b) => b.openedAt.localeCompare(a.openedAt));
