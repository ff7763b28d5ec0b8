/* What a typed clause says in figures: drivers, threads, lengths, turns, ways, and how many. */

/** A clause with its figures taken out, and what they say. */
export interface Figures {
  /** The words that are left; a figure that names something, as in deck 2, is written §2. */
  readonly rest: string;
  /** The driver as the trade writes it; empty where none is named. */
  readonly driverType: string;
  readonly thread: string;
  readonly lengthMm: number | null;
  readonly turns: string;
  readonly direction: string;
  readonly viewedFrom: string;
  readonly parkedAt: string;
  readonly ways: string;
  /** So many of so many, as in 3 of 4. */
  readonly ofMany: readonly [number, number] | null;
}

const decimal = (figure: string): number => Number(figure.replace(',', '.'));
/* Registered names of recesses are known by how they begin. */
const CROSS = String.raw`(?:phil[a-z]*|crosshead)`;
const LOBED = String.raw`(?:tor[a-z]|hexalobular|star)`;

const DRIVERS: ReadonlyArray<readonly [RegExp, (match: RegExpExecArray) => string]> = [
  [/\b(ph|pz)[ -]?#?(000|00|0|[1-4])\b/, ([, type = '', size = '']) => `${type.toUpperCase()}${size}`],
  [new RegExp(String.raw`#(000|00|0|[1-4])[ -]?${CROSS}\b`), ([, size = '']) => `PH${size}`],
  [
    new RegExp(String.raw`\b${CROSS}(?:[ -]?(?:#|no\.? ?|size )?(000|00|0|[1-4])(?![\d.,/]|x\b| ?mm))?`),
    ([, size = '']) => `PH${size}`,
  ],
  [/\bcross[ -]?#?(000|00|0|[1-4])\b/, ([, size = '']) => `PH${size}`],
  [/\bpozi[a-z]*(?:[ -]?#?([0-4]))?\b/, ([, size = '']) => `PZ${size}`],
  [/\b(?:t|tx|hx|hex)-?(\d{1,2})\b(?!\.)/, ([, size = '']) => `T${size}`],
  [/\btx (\d{1,2})\b/, ([, size = '']) => `T${size}`],
  [new RegExp(String.raw`\b${LOBED}(?:[ -]?(\d{1,2})(?![\d.,/]|x\b| ?mm))?(?= |$)`), ([, size = '']) => `T${size}`],
  [
    /\b(?:hex(?:[ -](?:key|socket|head))?|alle[a-z]|socket[ -]head)(?! ?nuts?\b)(?: (\d(?:[.,]\d)?)(?: ?mm)?)?(?= |$)/,
    ([, size]) => (size ? `hex socket ${size.replace(',', '.')}` : 'hex socket'),
  ],
  [/\bslotted\b|\bslot(?=[ -](?:heads?|screws?)\b)|(?<=^\d+ ?x? ?)slot\b|\bflat[ -]?blade\b/, () => 'slotted'],
];

/** Takes a pattern out of a text. */
function take(text: string, pattern: RegExp): readonly [RegExpExecArray | null, string] {
  const match = pattern.exec(text);
  return match ? [match, `${text.slice(0, match.index)} ${text.slice(match.index + match[0].length)}`] : [null, text];
}

const MM_PER_INCH = 25.4;
const NAMED =
  /\b(deck|place|spot|slot|drive|no\.?|number|nr|bag|step|pin|cn|item|hole|position|track|side|layer|belt|gear|plug|connector|ffc|flat_cable|motor|board|channel|tray|switch) ?#?(\d{1,4})\b(?! ?(?:x|screws?|nuts?|clips?|ph\d|off (?:ph|t)\d|of ))/g;

/**
 * Takes the figures out of a clause in lower case.
 *
 * @example figuresOf('2 hex8 pinned rear corners').driverType // 'T8 pinned'
 */
export function figuresOf(clause: string): Figures {
  let rest = clause;
  let match: RegExpExecArray | null;
  let driverType = '';
  for (const [pattern, name] of DRIVERS) {
    [match, rest] = take(rest, pattern);
    if (!match) continue;
    driverType = name(match).trim();
    break;
  }
  for (const [pattern, word] of [
    [/\b(?:pinned|security|tamper(?:[ -]?\w+)?)\b/, 'pinned'],
    [/\bsoft\b/, 'soft'],
  ] as const) {
    if (driverType === '') break;
    [match, rest] = take(rest, pattern);
    if (match) driverType += ` ${word}`;
  }
  let turns = '';
  [match, rest] = take(
    rest,
    /\b((?:about |some )?(?:\d+(?:[.,]\d+|\/\d+)?|half an?|a half|quarter|a quarter|a|one|two|three|four|five|six|seven|eight|ten) (?:full |half |more )?turns?(?: and a half)?)\b/,
  );
  if (match) turns = match[1] ?? '';
  let direction = '';
  [match, rest] = take(rest, /\b(anticlockwise|clockwise|cw|against the clock|with the clock)\b/);
  if (match) direction = match[1] === 'cw' ? 'clockwise' : (match[1] ?? '');
  let viewedFrom = '';
  [match, rest] = take(rest, /\b(?:viewed|seen|looking|looked at) from (?:the )?(\w+(?: side)?)\b/);
  if (match) viewedFrom = match[1] ?? '';
  let parkedAt = '';
  [match, rest] = take(rest, /\b(?:to|against|up to) ((?:the|its) (?:\w+ )?(?:end ?stop|stop|end|mark))\b/);
  if (match) parkedAt = match[1] ?? '';

  let thread = '';
  let lengthMm: number | null = null;
  [match, rest] = take(rest, /\bm(\d(?:[.,]\d)?)(?: ?[x×*] ?(\d+(?:[.,]\d+)?) ?(?:mm)?)?\b/);
  if (match) {
    thread = `M${(match[1] ?? '').replace(',', '.')}`;
    if (match[2]) lengthMm = decimal(match[2]);
  }
  if (lengthMm === null) {
    [match, rest] = take(rest, /(?<![\w.,/])(?:(\d+)[ -])?(\d+)\/(\d+)(?: ?(?:inch(?:es)?\b|in\b|["”″]))?(?! turns?)/);
    if (match && Number(match[3]) > 0)
      lengthMm = (Number(match[1] ?? 0) + Number(match[2]) / Number(match[3])) * MM_PER_INCH;
    else {
      [match, rest] = take(rest, /(?<![\w.,/])(?:[x×])?(\d+(?:[.,]\d+)?) ?(?:mm|millimet\w+)\b/);
      if (match) lengthMm = decimal(match[1] ?? '');
      else {
        [match, rest] = take(rest, /(?<![\w.,/])(\d*[.,]\d+|\d+(?= ?inch|["”″])) ?(?:inch(?:es)?\b|in\b|["”″])/);
        if (match) lengthMm = decimal(match[1] ?? '') * MM_PER_INCH;
      }
    }
    if (lengthMm !== null) lengthMm = Math.round(lengthMm * 100) / 100;
  }
  [match, rest] = take(rest, /(?<!\w)#(\d{1,2})\b/);
  if (match) thread = [thread, `#${match[1] ?? ''}`].filter(Boolean).join(' ');
  let ways = '';
  [match, rest] = take(rest, /\b(\d{1,2})(?: (?!pins? (?:out|off))|-)?(?:pins?|ways?|poles?|cores?|p)\b/);
  if (
    match &&
    (!/pins?$/.test(match[0]) ||
      /-pin/.test(match[0]) ||
      /\b(?:plugs?|connectors?|conn|flat_cables?|ffc|fpc|ribbon\w*|cables?|flex|loom|harness|wire)\b/.test(rest))
  )
    ways = match[1] ?? '';
  else if (match)
    rest = clause === rest ? rest : `${rest.slice(0, match.index)}${match[0]} ${rest.slice(match.index).trimStart()}`;
  rest = rest.replace(/\b(?:of )?(?:\d|two|three|four) (?:different )?(?:lengths|sizes|kinds|types|colours)\b/, '');
  let ofMany: readonly [number, number] | null = null;
  [match, rest] = take(rest, /\b(\d{1,3}) (?:out )?of (?:the )?(\d{1,3})\b/);
  if (match) ofMany = [Number(match[1]), Number(match[2])];
  rest = rest.replace(NAMED, '$1 §$2');
  // However they are written: 2x, x2, ×2, (2), 2 off, 2 pcs, qty 2. A count that says so counts wherever it stands.
  rest = rest
    .replace(/\bqty:? ?(\d+)/g, ' ×$1 ')
    .replace(/(?<![\w.])(\d{1,4}) ?(?:[x×*]|pcs?\.?|pieces of|nos?\.?|off(?= [a-z§#]))(?= |$)/g, ' ×$1 ')
    .replace(/(?<!\w)[x×*] ?(\d{1,4})(?![\w.])/g, ' ×$1 ')
    .replace(/\((\d{1,4})\)/g, ' ×$1 ')
    .replace(/(?<![\w§.×])(\d{1,4})(?=[a-z]{2})/g, ' $1 ');
  return {
    rest: rest.replace(/\s+/g, ' ').trim(),
    driverType,
    thread,
    lengthMm,
    turns,
    direction,
    viewedFrom,
    parkedAt,
    ways,
    ofMany,
  };
}
