import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { opening, recordOf } from '../../../fixtures/sample';
import { COMPATIBILITY } from '../../work/compatibility';
import { readLine } from '../../work/stripLine';
import type { EventBody, Ticket } from '../../record/ticket';
import { findingsOf } from '../../record/findings';
import { cleanView } from '../clean';
import { handBackText } from '../handBack';
import { eventsSaid, readSaid, type SaidAt } from '.';

const AT = '2026-01-12T09:30:00Z';
const mapOf = (ticket: Ticket) => ({ map: cleanView(ticket).places, chosenId: null });

/** A ticket on which each line was said at its station; what is asked is answered by the first key. */
function after(lines: ReadonlyArray<readonly [at: SaidAt, line: string]>): Ticket {
  let bodies: readonly EventBody[] = [opening];
  let id = 0;
  for (const [at, line] of lines) {
    const { ticket } = recordOf(bodies);
    const [way] = readSaid(line, at, mapOf(ticket))?.ways ?? [];
    if (!way) throw new Error(`“${line}” was not read.`);
    const done = eventsSaid(ticket, way, {
      table: COMPATIBILITY,
      newId: () => `n${(id += 1)}`,
      at: AT,
      line,
      materialAsked: true,
    });
    if (done.kind !== 'bodies') throw new Error(`“${line}” asks first.`);
    bodies = [...bodies, ...done.bodies];
  }
  return recordOf(bodies).ticket;
}

/** What a ticket knows by the line, whichever of both stations it was said at. */
const knows = (ticket: Ticket) => ({
  treated: ticket.cleaning.treatments.map(({ deed, agent, outcome }) => [deed, agent, outcome]),
  places: ticket.cleaning.places.map(({ kind, seen }) => [kind, seen.map(({ dirt }) => dirt)]),
  steps: ticket.strip.steps.map(({ what, fate, count }) => [what, fate, count]),
  changes: ticket.strip.temporaryChanges.map(({ kind }) => kind),
  slips: ticket.cleaning.slipTests.map(({ slip }) => slip),
  done: handBackText(ticket, 'done'),
});

describe('a line means the same at either station', () => {
  test.each([
    'limit switch cleaned with contact cleaner',
    'drive pulley wiped with alcohol',
    'one drop of fine oil on the motor bushing',
    'belt washed in soapy water',
    'floor vacuumed',
    'guides regreased with lithium grease',
    'both pulleys wiped with alcohol',
    'belt slips hard',
    'link hooked on again',
    'tray binds at 74 mm',
    '4 ph1 underside',
    'belt off',
    'grey plug off',
    'laser pads bridged',
  ])('“%s”', (line) => {
    const [strip, clean] = (['strip', 'clean'] as const).map((at) => knows(after([[at, line]])));
    expect(clean).toEqual(strip);
    expect(strip).not.toEqual(knows(after([])));
  });
  test('a moment said at Clean is a moment', () => {
    const [strip, clean] = (['strip', 'clean'] as const).map(
      (at) => readSaid('mains plug pulled', at, mapOf(after([])))?.ways[0]?.strip,
    );
    expect(clean).toEqual(strip);
    expect(strip?.[0]?.type).toBe('moment');
  });
  test.each([
    'tray back on its track',
    'belt put back on its pulleys',
    'gear put back in time',
    'grey plug pushed home',
  ])('“%s” takes nothing off', (line) => {
    const ticket = after([['strip', line]]);
    expect(ticket.strip.steps.map(({ fate }) => fate)).toEqual(['noted']);
    expect(handBackText(ticket, 'done')).not.toBe('');
  });
  test('what has slipped off by itself was found so; put back in the same breath, it is back', () => {
    const ticket = after([['strip', 'the link has slipped off again, put back']]);
    expect(ticket.strip.steps.map(({ fate }) => fate)).toEqual(['noted']);
    expect(handBackText(ticket, 'done')).toContain('put back on');
  });
  test('“the same again” after a line of cleaning repeats no step', () => {
    const cleaned = after([['strip', 'lid off']]);
    const [way] = readSaid('same again on the left', 'strip', mapOf(cleaned))?.ways ?? [];
    const later = {
      ...cleaned,
      cleaning: {
        ...cleaned.cleaning,
        treatments: after([['strip', 'floor vacuumed']]).cleaning.treatments.map((one) => ({ ...one, at: `${AT}1` })),
      },
    };
    if (!way) throw new Error('not read');
    const by = { table: COMPATIBILITY, newId: () => 'x', at: AT, line: '' };
    expect(eventsSaid(later, way, by).kind).toBe('refused');
    expect(eventsSaid(cleaned, way, by).kind).toBe('bodies');
  });
  test('what is pushed home under a number of its own is back', () => {
    const ticket = after([
      ['strip', 'grey plug off'],
      ['strip', 'grey plug pushed home'],
    ]);
    expect(ticket.strip.steps[0]?.removals.at(-1)?.backAt).toBe(AT);
  });
  test('a line too long for either is refused before it is read, and says so', () => {
    const said = readSaid('tray out, '.repeat(2000), 'strip', { map: [], chosenId: null });
    expect(said).toMatchObject({ ways: [], words: [], unread: false });
    expect(said?.asks).toMatch(/letters at most, and this has 19999/);
  });
  test('what was cleaned is done on the papers, and no step, no dirt and nothing left of it', () => {
    const ticket = after([['strip', 'limit switch cleaned with contact cleaner']]);
    expect(handBackText(ticket, 'done')).toBe('Limit switch cleaned.');
    expect(handBackText(ticket, 'found')).toBe('');
    expect(ticket.strip.steps).toEqual([]);
  });
  test('oil put on a bushing is a lubricant, and makes nothing oily', () => {
    const ticket = after([['strip', 'oil put on the motor bushing']]);
    expect(findingsOf(ticket)).toEqual([]);
    expect(handBackText(ticket, 'done')).toBe('New fine oil on motor bushing.');
  });
  test('what came off and was washed in one line is asked about, and both can be meant', () => {
    const read = readSaid('belt off and washed in soapy water', 'strip', mapOf(after([])));
    expect(read?.ways.length).toBeGreaterThan(1);
    expect(read?.ways.some(({ strip, clean }) => strip.length > 0 && clean.length > 0)).toBe(true);
  });
  test.each([
    ['lid off, lens wiped', ['off'], ['wipe']],
    ['tray out, rails cleaned with alcohol', ['off'], ['wipe']],
    ['tray out and guides greased with lithium grease', ['off'], ['lubricate']],
  ])('“%s” is done at both', (line, steps, treated) => {
    const ticket = after([['strip', line]]);
    expect(ticket.strip.steps.map(({ fate }) => fate)).toEqual(steps);
    expect(ticket.cleaning.treatments.map(({ deed }) => deed)).toEqual(treated);
  });
  test.each(['pulley oily', 'oil on the pulley', 'pulley glazed'])(
    '“%s”: which pulley is asked at Strip too',
    (line) => {
      const read = readSaid(line, 'strip', mapOf(after([])));
      expect(read?.asks).toBe('Which pulley?');
      expect(read?.ways.length).toBeGreaterThan(2);
    },
  );
  test('what is told for later, denied, or done by others is a note at either', () => {
    for (const line of ['clean the rods before closing', 'drive pulley not cleaned yet', 'rollers need alcohol'])
      for (const at of ['strip', 'clean'] as const)
        expect(after([[at, line]]).cleaning.treatments.filter(({ deed }) => deed !== 'other')).toEqual([]);
  });
});

const linesOf = (file: string): readonly string[] =>
  readFileSync(new URL(`../../../fixtures/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => (line.split(' => ')[0] ?? '').trim());

describe('one line, two grammars', () => {
  const against = mapOf(after([]));
  test('of lines of taking apart hardly one is taken for cleaning: what is read surely stays as it was', () => {
    const lines = [...linesOf('stripLines.txt'), ...linesOf('hardLines.txt'), ...linesOf('unseenLines.txt')];
    const other = lines.filter((line) => {
      const own = readLine(line)?.ways ?? [];
      const said = readSaid(line, 'strip', against)?.ways ?? [];
      return JSON.stringify(said.map(({ strip }) => strip)) !== JSON.stringify(own.map(({ does }) => does));
    });
    expect(other.length).toBeLessThanOrEqual(lines.length / 100);
  });
  test('of lines of cleaning said at Strip none takes anything off in silence', () => {
    const wrong = linesOf('cleanLines.txt').filter((line) => {
      const [way, other] = readSaid(line, 'strip', against)?.ways ?? [];
      return (
        way !== undefined &&
        other === undefined &&
        way.strip.some(
          (deed) =>
            deed.type === 'step' &&
            deed.step.kind !== 'note' &&
            ['off', 'unscrewed', 'unplugged', 'out'].includes(deed.step.fate),
        )
      );
    });
    expect(wrong).toEqual([]);
  });
});
