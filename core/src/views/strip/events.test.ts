import { describe, expect, test } from 'vitest';
import { opening, recordOf } from '../../../fixtures/sample';
import { readLine } from '../../work/stripLine';
import type { EventBody, Ticket } from '../../record/ticket';
import { stripEventsOf } from '.';

let made = 0;
const by = { newId: () => `n${(made += 1)}`, at: '2026-01-12T10:00:00Z' };
/** What a line that is sure makes happen on a ticket, or the sentence by which it is refused. */
function said(line: string, ticket: Ticket): readonly EventBody[] | string {
  const bodies = stripEventsOf(ticket, readLine(line)?.ways[0]?.does ?? [], by);
  return bodies.ok ? bodies.value : bodies.problem;
}
const after = (start: readonly EventBody[], ...lines: readonly string[]): Ticket =>
  recordOf(
    lines.reduce<readonly EventBody[]>((bodies, line) => {
      const more = said(line, recordOf(bodies).ticket);
      if (typeof more === 'string') throw new Error(`${line}: ${more}`);
      return [...bodies, ...more];
    }, start),
  ).ticket;
const disc = (id: string, whose: string): EventBody => ({
  type: 'discPut',
  disc: { id, whose, where: 'on the clamp', condition: '', out: '', returned: false },
});

describe('what a line of Strip makes happen', () => {
  test('each thing on the strip that those before it leave, numbered on', () => {
    const ticket = after([opening], '4 ph1 underside', 'lid', 'lens cover, 2 screws');
    expect(ticket.strip.steps.map(({ number }) => number)).toEqual([1, 2, 3, 4]);
    expect(said('again 2', ticket)).toBe('Number 2 is off already.');
    // The other deck: the same steps, numbered on, of that deck.
    const twin = after([opening], 'upper deck: 2 ph0 and the clamp', 'same again for the lower deck');
    expect(twin.strip.steps.map(({ number, kind, count, where }) => [number, kind, count, where]).slice(-2)).toEqual([
      [3, 'screws', 2, 'lower deck'],
      [4, 'part', 1, 'lower deck'],
    ]);
    expect(said('same again', recordOf([opening]).ticket)).toBe('Nothing came off yet that could be so again.');
    expect(said('back 9', ticket)).toBe('There is no number 9 on this strip.');
    expect(after([opening], 'lid', 'back 1').strip.steps[0]?.removals[0]?.back).toBe(1);
    expect(said('back 1', after([opening], 'lid', 'back 1'))).toBe('Number 1 is not off.');
  });
  test('pads bridged before a plug comes off wait for that plug', () => {
    const { strip } = after([opening], 'laser bridged', 'grey plug off');
    expect(strip.temporaryChanges[0]?.afterStepId).toBe(strip.steps[0]?.id);
    expect(said('stop pin back', after([opening]))).toContain('no such change is open here');
  });
});

describe('a disc that comes out', () => {
  test('is the one that is known to be inside', () => {
    const ticket = after([opening, disc('d1', 'the owner')], 'disc out, set aside');
    expect(ticket.discs).toEqual([expect.objectContaining({ id: 'd1', whose: 'the owner', out: 'at Strip' })]);
  });
  test('is a new one where none is known, and is not guessed where several are', () => {
    expect(after([opening], 'disc out').discs).toHaveLength(1);
    expect(said('disc out', after([opening, disc('d1', 'the owner'), disc('d2', 'her sister')]))).toContain(
      '2 discs are said to be inside',
    );
  });
  test('one that came out already stays as it is', () => {
    const ticket = after([opening, disc('d1', 'the owner')], 'disc out', 'disc out');
    expect(ticket.discs.map(({ whose }) => whose)).toEqual(['the owner', '']);
  });
  test('of the bench’s own goes into nobody’s custody', () => {
    for (const line of ['test disc out', 'junk disc out', 'our disc out'])
      expect(after([opening, disc('d1', 'the owner')], line).discs[0]?.out, line).toBe('');
  });
});
