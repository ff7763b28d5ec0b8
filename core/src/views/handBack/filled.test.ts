import { expect, test } from 'vitest';
import { opening, recordOf, step, tried } from '../../../fixtures/sample';
import type { EventBody } from '../../record/ticket';
import { handBackText } from '.';

const bodies: readonly EventBody[] = [
  opening,
  {
    type: 'verdictGiven',
    verdict: { causeId: 'beltSlack', state: 'found', words: 'Belt slack', at: '2026-01-12T09:30:00Z' },
  },
  { type: 'driveChanged', driveId: 'drive-a', changes: { role: 'loading', oldState: 'crumbs' } },
  {
    type: 'foundPut',
    found: {
      id: 'f1',
      kind: 'dirt',
      what: 'sludge in both grooves',
      where: '',
      guess: '',
      homed: false,
      pictureIds: [],
    },
  },
  {
    type: 'foundPut',
    found: {
      id: 'f2',
      kind: 'object',
      what: 'spring',
      where: 'under the tray',
      guess: 'the latch',
      homed: false,
      pictureIds: [],
    },
  },
  { type: 'stepPut', step: { ...step('s1', 1, 'screws', 'screws'), missing: 1, where: 'rear corners' } },
  { type: 'tryLogged', driveId: 'drive-a', try: tried('t1', 116, 'right') },
  { type: 'treatmentRecorded', treatment: { id: 'h1', at: '2026-01-12T10:00:00Z', what: 'guides oiled' } },
];
const text = (field: 'found' | 'done' | 'left', ...more: EventBody[]) =>
  handBackText(recordOf([...bodies, ...more]).ticket, field);

test('found, done and left come from what the ticket knows', () => {
  expect(text('found').split('\n')).toEqual([
    'Belt slack.',
    'The loading belt had gone to crumbs.',
    'Sludge on motor pulley and drive pulley.',
    'Loose in it: spring, under the tray.',
    '1 of the screws was missing when it came, rear corners.',
  ]);
  expect(text('done').split('\n')).toEqual(['New loading belt fitted.', 'Guides oiled.']);
  expect(text('left')).toBe('Spring: where it belongs is not known, perhaps the latch.');
});
test('the bench’s own words win, emptied too, until they are given back; closed, it says what it said then', () => {
  const own: EventBody = { type: 'handBackWritten', changes: { done: 'Belt renewed' } };
  expect(text('done', own)).toBe('Belt renewed');
  expect(text('done', own, { type: 'handBackWritten', changes: { done: '' } })).toBe('');
  expect(text('done', own, { type: 'handBackWritten', changes: { done: '', own: [] } })).toContain('Guides oiled');
  const closed: EventBody = { type: 'ticketClosed', despite: '' };
  const later: EventBody = {
    type: 'treatmentRecorded',
    treatment: { id: 'h2', at: '2026-01-12T12:00:00Z', what: 'later' },
  };
  expect(text('done', own, closed, later)).toBe('Belt renewed');
});
