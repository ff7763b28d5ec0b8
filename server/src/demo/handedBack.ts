import { doneStations, driveId, readings, type DemoTicket } from './build';
import { answered, fitted, mechanism, notNeeded, ring070, square12 } from './bodies';

/* What the archive's technician handed back with a story of its own; `years.ts` tells the rest. */

export const HANDED_BACK: readonly DemoTicket[] = [
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
    bodies: [
      ...doneStations('takeIn'),
      notNeeded('find'),
      mechanism('0118', 'A', 'loading', 'T9 loader'),
      ...readings('0118', 'A', [
        ['section', 'sectionJaws', 1.2],
        ['oldBelt', 'doubledOuter', 67.1],
        ['motorDiameter', 'motorJaws', 6.0],
        ['drivenDiameter', 'drivenJaws', 24.7],
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
    bodies: [
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
        'it holds for some months',
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
