/*
 * What a change costs: each row plays one on a copy. `steps` are the files that a colleague opens, in their order: the one
 * where the change begins, then each that the compiler or the unit tests ask for. A step gives the file's new content.
 */
const after = (mark, added) => (text) => {
  if (!text.includes(mark)) throw new Error(`“${mark}” is not there any more`);
  return text.replace(mark, mark + added);
};
const replace = (mark, made) => (text) => {
  if (!text.includes(mark)) throw new Error(`“${mark}” is not there any more`);
  return text.replace(mark, made(mark));
};
const before = (mark, added) => (text) => {
  if (!text.includes(mark)) throw new Error(`“${mark}” is not there any more`);
  return text.replace(mark, added + mark);
};
/** A file made from another of its kind. */
const like = (path, change = (text) => text) => ({ like: path, change });

export const ROWS = [
  {
    change: 'a shape of section',
    tests: ['core/src/base', 'core/src/belts/sizing', 'core/src/files/lists', 'core/src/shop', 'lab/src/population'],
    most: 3,
    steps: {
      'core/src/base/shapes/dee.ts': like('core/src/base/shapes/square.ts', (text) =>
        text
          .replace('const square', 'const dee')
          .replace("name: 'square',", "name: 'D-shaped',")
          .replace("short: 'square',", "short: 'D',")
          .replace("['square', 'sq']", "['d-shaped', 'dee']")
          .replace('squareShoreA', 'deeShoreA')
          .replace('square belts', 'D-shaped belts'),
      ),
      'core/src/base/shapes/all.ts': (text) =>
        before(
          'import { flat }',
          "import { dee } from './dee';\n",
        )(text).replace('{ square, round, flat }', '{ square, round, flat, dee }'),
      'lab/src/population/drive.ts': after('  flat: [52, 68],\n', '  dee: [52, 68],\n'),
    },
  },
  {
    change: 'a kind of loader',
    tests: ['core/src/base', 'core/src/work', 'core/src/views'],
    most: 2,
    steps: {
      'core/src/base/loaders/drawerPair.ts': like('core/src/base/loaders/carousel.ts', (text) =>
        text
          .replace('const carousel', 'const drawerPair')
          .replace("name: 'carousel'", "name: 'pair of drawers'")
          .replace(/named: .*,/, 'named: /\\bpair of drawers\\b/i,'),
      ),
      'core/src/base/loaders/all.ts': (text) =>
        before(
          'import { lift }',
          "import { drawerPair } from './drawerPair';\n",
        )(text).replace('diskDrive, wire }', 'diskDrive, wire, drawerPair }'),
    },
  },
  {
    change: 'a way of measuring',
    most: 3,
    tests: ['core/src/belts/measuring'],
    steps: {
      'core/src/belts/measuring/methods/pulley.ts': (text) =>
        replace(
          '  return [jaws, overPins,',
          (mark) => `  const tape: Method = {
    ...jaws,
    id: \`\${of}Tape\`,
    guide: async () => (await import('./pulley.guide')).tape,
    label: 'pi tape',
    numberIs: 'diameter read off a tape laid in the groove',
    words: words.map((word) => \`\${word} tape\`),
    readingStd: 0.05,
  };
${mark}`,
        )(text).replace('woundThread, lessGroove]', 'woundThread, lessGroove, tape]'),
      'core/src/belts/measuring/methods/pulley.guide.ts': (text) => `${text}
export const tape: Guide = {
  how: 'Lay the tape round the bottom of the groove, pull it taut, and read where its ends pass.',
  goesWrong: 'A tape wider than the groove rides on the rims.',
  drawing: { belt: circle(66, 30, 16), thing: circle(66, 30, 22), read: [50, 58, 82, 58] },
};
`,
    },
  },
  {
    change: 'a cause with its test',
    tests: ['core/src/work/diagnosis'],
    most: 2,
    steps: {
      'core/src/work/diagnosis/knowledge/causes.ts': after(
        'export const CAUSES: readonly Cause[] = [\n',
        "  cause('feetMissing', 'A rubber foot missing', 'strip', 1, 'Renew the foot; a machine that rocks rubs its tray.'),\n",
      ),
      'core/src/work/diagnosis/knowledge/symptoms.ts': (text) =>
        text.replace(
          /\n\];\s*$/,
          `
  test('rocks', 'Press each corner: does it rock?', {
    how: 'On a flat bench, press each corner in turn.',
    loaders: ALL,
    minutes: 0.5,
    outcomes: { still: 'it stands', rocks: 'it rocks' },
    sound: [95, 5],
    given: { feetMissing: [10, 90] },
  }),
];
`,
        ),
    },
  },
  {
    change: 'a solvent',
    tests: ['core/src/work'],
    most: 2,
    steps: {
      'core/src/work/compatibility/schema.ts': after("  acetone: 'acetone',\n", "  ethylAcetate: 'ethyl acetate',\n"),
      'core/src/work/compatibility/agents.ts': (text) => {
        const [record] = /^ {2}acetone: \{[\s\S]*?^ {2}\},\n/m.exec(text) ?? [];
        if (!record) throw new Error('acetone has no record any more');
        const added = record
          .replace('  acetone:', '  ethylAcetate:')
          .replace(/said: .*,/, 'said: /\\bethyl acetate\\b/,')
          .replace(/spelt: \[[^\]]*\]/, 'spelt: []');
        return text.replace(record, record + added);
      },
    },
  },
  {
    change: 'an event',
    most: 4,
    tests: ['core/src/record', 'core/src/files/exchange'],
    generated: ['docs/ticket.schema.json'],
    steps: {
      'core/src/record/stations/desk/schema.ts': after(
        'export const deskEvents = {\n',
        '  calledBack: { words: text(400) },\n',
      ),
      'core/src/record/stations/desk/reduce.ts': after(
        'typeof deskEvents> = {\n',
        '  calledBack: ({ notes }, { words }) => changes({ notes: { ...notes, takeIn: words } }),\n',
      ),
      'core/src/record/stations/desk/describe.ts': after(
        'export const deskDescriptions: Descriptions<typeof deskEvents> = {\n',
        "  calledBack: { says: () => 'the owner called back', place: takeIn },\n",
      ),
      'core/fixtures/sample.ts': before("  { type: 'squarePut',", "  { type: 'calledBack', words: 'on Friday' },\n"),
    },
  },
  {
    change: 'a station',
    most: 5,
    tests: ['core/src/record', 'core/src/files/exchange'],
    generated: ['docs/ticket.schema.json'],
    steps: {
      'core/src/record/stations/module.ts': after(
        "  prove: { name: 'Prove', usualMin: 12 },\n",
        "  listen: { name: 'Listen', usualMin: 5 },\n",
      ),
      'core/src/record/ticket/holds.ts': after('(ticket: Ticket) => boolean>> = {\n', '  listen: () => false,\n'),
      'app/src/stations/listen/ListenPage.tsx': {
        text: 'export function ListenPage() {\n  return <h2>Listen</h2>;\n}\n',
      },
      'core/src/record/ticket/format.ts': replace('TICKET_VERSION = 8', () => 'TICKET_VERSION = 9'),
      'core/src/files/exchange/upcast.ts': (text) =>
        before(
          '/** The upcasters by the version',
          `/** Version 9 has one station more. */
function toVersion9(document: Fields): Fields {
  const ticket = document.ticket as Fields;
  return {
    ...document,
    ticket: {
      ...ticket,
      stations: { ...(ticket.stations as Fields), listen: 'open' },
      notes: { ...(ticket.notes as Fields), listen: '' },
    },
  };
}

`,
        )(text).replace('  7: toVersion8,\n', '  7: toVersion8,\n  8: toVersion9,\n'),
    },
  },
  {
    change: 'a page',
    tests: ['app/src', 'server/src'],
    most: 3,
    steps: {
      'app/src/pages/hours/HoursPage.tsx': {
        text: 'export function HoursPage() {\n  return <h1>Hours</h1>;\n}\n',
      },
      'app/src/shell/places.ts': after(
        'export const PLACES: readonly Place[] = [\n',
        "  { path: 'hours', of: 'bench', source: 'pages/hours/HoursPage', name: 'Hours', note: 'when the bench is open' },\n",
      ),
    },
  },
  {
    change: 'a column of the log',
    most: 2,
    tests: ['app/src'],
    steps: {
      'app/src/pages/log/logColumns.ts': after(
        'export const LOG_COLUMNS = {\n',
        "  tried: { name: 'belts right', of: (one: TicketSummary) => one.judged.length },\n",
      ),
    },
  },
  {
    change: 'a threshold',
    tests: ['core/src/base'],
    most: 1,
    steps: {
      'core/src/base/thresholds/index.ts': after(
        'export const THRESHOLDS = {\n',
        '  /** A belt is told to be old from so many years on. */\n  oldBelt: 5,\n',
      ),
    },
  },
];
