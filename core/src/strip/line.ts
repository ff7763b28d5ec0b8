import { capital } from '../units';
import { TEMPORARY_CHANGE } from './words';
import { changeNamed, TEMPORARY_CHANGES } from './temporaryChangeKinds';
import type { TemporaryChangeKind, ChangeLimit, Step, StepKind } from './schema';

/** What one typed line means. */
export type ReadLine =
  | { readonly type: 'step'; readonly step: StepDraft; readonly echo: string }
  | { readonly type: 'change'; readonly kind: TemporaryChangeKind; readonly words: string; readonly echo: string }
  | { readonly type: 'moment'; readonly moment: ChangeLimit | 'unplugged' | 'lidOff'; readonly echo: string }
  | { readonly type: 'found'; readonly what: string; readonly where: string; readonly echo: string }
  | { readonly type: 'again'; readonly number: number; readonly echo: string };

/** A step before it has its number. */
export type StepDraft = Pick<
  Step,
  | 'kind'
  | 'what'
  | 'line'
  | 'count'
  | 'missing'
  | 'driverType'
  | 'lengthMm'
  | 'where'
  | 'orientation'
  | 'facts'
  | 'leaveAlone'
>;

const NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
};
const MAX_COUNT = 200;

/** Words that say what kind of thing came off. The first kind with a word in the line is the one. */
const KINDS: ReadonlyArray<readonly [StepKind, readonly string[]]> = [
  ['connector', ['plug', 'plugs', 'connector', 'flat cable', 'ribbon', 'ffc', 'cable']],
  ['tabs', ['tab', 'tabs', 'claw', 'claws', 'latch', 'latches', 'hook', 'hooks']],
  ['adhesive', ['label', 'felt', 'tape', 'foam', 'sticker']],
  ['belt', ['belt', 'belts']],
  ['gear', ['gear', 'gears', 'wheel', 'mode']],
  ['wire', ['wire', 'wires', 'cord']],
  ['cover', ['lid', 'cover', 'case', 'shield', 'front', 'panel', 'bezel', 'plate', 'bottom', 'hood']],
  [
    'part',
    [
      'tray',
      'drawer',
      'motor',
      'board',
      'card',
      'mechanism',
      'clamp',
      'bridge',
      'transport',
      'roller',
      'rollers',
      'spring',
      'bracket',
      'fan',
      'foot',
      'feet',
      'carriage',
      'pickup',
      'sled',
      'magnet',
      'slider',
      'drive',
    ],
  ],
];
const MOVED = ['moved', 'turned', 'wound', 'lifted'];

const DRIVE = /^(ph|pz)\s?(000|00|0|[1-4])$|^(hex|t|tx|hx)\s?(\d{1,2})$|^(slot|slotted)$/i;

/** The drive of a fastener as the trade writes it. @example driveOf('hex8') // 'T8' */
function driveOf(word: string): string | undefined {
  const match = DRIVE.exec(word);
  if (!match) return undefined;
  if (match[1]) return `${match[1].toUpperCase()}${match[2]}`;
  return match[3] ? `T${match[4]}` : 'slotted';
}

/** A drive in words. @example driveWords('T8 pinned') // 'hexalobular 8, pinned' */
export function driveWords(drive: string): string {
  const [size = '', ...rest] = drive.split(' ');
  const name = size.startsWith('PH')
    ? `cross-head ${size.slice(2)}`
    : size.startsWith('PZ')
      ? `cross recess type Z ${size.slice(2)}`
      : size.startsWith('T')
        ? `hexalobular ${size.slice(1)}`
        : size;
  return [name, ...rest].join(', ');
}

const countOf = (word: string): number | undefined => {
  const plain = /^(\d{1,3})x?$/i.exec(word);
  const count = plain ? Number(plain[1]) : NUMBERS[word.toLowerCase()];
  return count !== undefined && count >= 1 && count <= MAX_COUNT ? count : undefined;
};

/** Takes “one short”, “2 missing” out of the parts of a line. */
function missingOf(parts: readonly string[]): { readonly missing: number; readonly rest: readonly string[] } {
  let missing = 0;
  const rest = parts.filter((part) => {
    const match = /^(\w+)\s+(?:was\s+|were\s+)?(short|missing)\b/i.exec(part);
    const count = match && countOf(match[1] ?? '');
    if (!count) return true;
    missing += count;
    return false;
  });
  return { missing, rest };
}

/** A step of a kind of which nothing more is known yet. @example blankStep('part', 'a picture').count // 1 */
export const blankStep = (kind: StepKind, line: string, more: Partial<StepDraft> = {}): StepDraft => ({
  kind,
  what: '',
  line,
  count: 1,
  missing: 0,
  driverType: '',
  lengthMm: null,
  where: '',
  orientation: '',
  facts: {},
  leaveAlone: '',
  ...more,
});

function fasteners(line: string, words: readonly string[], parts: readonly string[]): StepDraft | undefined {
  const at = words.findIndex((word) => driveOf(word) !== undefined);
  const named = words.findIndex((word) => /^screws?$|^nuts?$|^clips?$|^circlips?$|^pins?$/i.test(word));
  if (at < 0 && named < 0) return undefined;
  const first = countOf(words[0] ?? '');
  const { missing, rest } = missingOf(parts.slice(1));
  const lengthWord = words.find((word) => /^x?\d+(?:[.,]\d+)?mm$/i.test(word));
  const pinned = words.some((word) => /^pinned$|^security$/i.test(word));
  const soft = words.some((word) => /^soft$/i.test(word));
  const where = words
    .filter(
      (word, index) =>
        !(index === 0 && first !== undefined) &&
        driveOf(word) === undefined &&
        word !== lengthWord &&
        !/^pinned$|^security$|^soft$|^screws?$|^from$|^x$/i.test(word),
    )
    .join(' ');
  const what = named >= 0 && !/^screws?$/i.test(words[named] ?? '') ? (words[named] ?? '') : 'screws';
  const leave = rest.find((part) => /leave|alone/i.test(part));
  return blankStep('fasteners', line, {
    what: first === 1 && what === 'screws' ? 'screw' : what,
    count: (first ?? 1) + missing,
    missing,
    driverType:
      at < 0
        ? ''
        : [driveOf(words[at] ?? '') ?? '', pinned ? 'pinned' : '', soft ? 'soft' : ''].filter(Boolean).join(' '),
    lengthMm: lengthWord ? Number(lengthWord.replace(/[^\d.,]/g, '').replace(',', '.')) : null,
    where: [where, ...rest.filter((part) => part !== leave)].filter(Boolean).join(', '),
    leaveAlone: leave ?? '',
  });
}

function thing(line: string, words: readonly string[], parts: readonly string[]): StepDraft | undefined {
  const text = ` ${words.join(' ').toLowerCase()} `;
  const found = KINDS.find(([, names]) => names.some((name) => text.includes(` ${name} `)));
  if (!found) return undefined;
  const [kind] = found;
  const moved = words.some((word) => MOVED.includes(word.toLowerCase()));
  const { missing, rest } = missingOf(parts.slice(1));
  const first = countOf(words[0] ?? '');
  const plain = words
    .slice(first === undefined ? 0 : 1)
    .filter((word) => !/^(out|off|up)$/i.test(word))
    .join(' ');
  return blankStep(moved ? 'moved' : kind, line, {
    what: plain || words.join(' '),
    // A plug's number is its ways, not how many.
    count: (kind === 'tabs' || kind === 'adhesive' ? (first ?? 1) : 1) + missing,
    missing,
    orientation: rest.join(', '),
  });
}

const plural = (count: number, what: string): string => (count === 1 ? what.replace(/s$/, '') : what);

/** A step in words, as the echo says it. @example stepWords(step) // '2 screws, hexalobular 8, pinned, from rear corners, 1 missing' */
export function stepWords(step: Omit<StepDraft, 'line'>): string {
  const present = step.count - step.missing;
  const head =
    step.kind === 'fasteners' || step.kind === 'tabs' ? `${present} ${plural(present, step.what)}` : step.what;
  return [
    head,
    step.driverType && driveWords(step.driverType),
    step.lengthMm !== null && `${step.lengthMm} mm`,
    step.where && `from ${step.where}`,
    step.orientation,
    step.missing > 0 && `${step.missing} missing on arrival`,
    step.leaveAlone,
  ]
    .filter((part): part is string => typeof part === 'string' && part !== '')
    .join(', ');
}

const MOMENTS: ReadonlyArray<readonly [RegExp, Extract<ReadLine, { type: 'moment' }>['moment'], string]> = [
  [/^(power|power on|plug in|plugged in)$/i, 'power', 'It is plugged in now.'],
  [/^(unplug|unplugged|power off)$/i, 'unplugged', 'It is unplugged now.'],
  [/^lid on$/i, 'lid', 'The lid is on now.'],
  [/^lid off$/i, 'lidOff', 'The lid is off now.'],
  [/^hand ?back$/i, 'handBack', 'On to handing it back.'],
];

/**
 * Reads one typed line as one step, change, moment or found part. A line that cannot be read is a note, and says so.
 *
 * @returns undefined for an empty line
 * @example readLine('2 hex8 pinned rear corners, one short') // a step: 2 screws, T8 pinned, 1 missing
 */
export function readLine(typed: string): ReadLine | undefined {
  const line = typed.trim().slice(0, 400);
  if (line === '') return undefined;
  const moment = MOMENTS.find(([pattern]) => pattern.test(line));
  if (moment) return { type: 'moment', moment: moment[1], echo: moment[2] };
  const again = /^again\s+(\d{1,4})$/i.exec(line);
  if (again) return { type: 'again', number: Number(again[1]), echo: `Number ${again[1]} comes off again.` };
  const found = /^found\s+(.+?)(?:\s+(under|in|on|behind|beside)\s+(.+))?$/i.exec(line);
  if (found) {
    const where = found[3] ? `${found[2]} ${found[3]}` : '';
    return {
      type: 'found',
      what: found[1] ?? '',
      where,
      echo: `Found: ${found[1]}${where && `, ${where}`}. It stays on the left-over list until it has a home.`,
    };
  }
  const kind = changeNamed(line);
  if (kind) {
    return {
      type: 'change',
      kind,
      words: line,
      echo: `${capital(TEMPORARY_CHANGE)}: ${TEMPORARY_CHANGES[kind].name}. ${TEMPORARY_CHANGES[kind].closes}, before ${LIMIT_WORDS[TEMPORARY_CHANGES[kind].before]}.`,
    };
  }
  const parts = line.split(/\s*[,;]\s*/);
  const words = (parts[0] ?? '').split(/\s+/).filter(Boolean);
  const step = fasteners(line, words, parts) ?? thing(line, words, parts);
  if (step) return { type: 'step', step, echo: `${stepWords(step)}.` };
  return {
    type: 'step',
    step: blankStep('note', line, { what: line }),
    echo: 'Kept as a note: no screw, plug, cover or part was read in it.',
  };
}

/** The limits of temporary changes in words. */
export const LIMIT_WORDS: Readonly<Record<ChangeLimit, string>> = {
  power: 'power',
  lid: 'the lid',
  handBack: 'handing back',
};
