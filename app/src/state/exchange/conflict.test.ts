import { writtenMoment } from '../written';
import { expect, test } from 'vitest';
import { everything, recordOf } from '../../../../core/fixtures/sample';
import type { TicketRecord } from '@loose-pulley/core/record/ticket';
import { conflictWords } from './conflict';

/** Sample events are a minute apart from 09:00. */
const historyWords = ({ events }: TicketRecord): string =>
  `${events.length} events, last ${writtenMoment(events[events.length - 1]?.at ?? '')}`;

test('what differs is said by place, as the bench names it, with the lengths of both histories', () => {
  const mine = recordOf(everything);
  const theirs = recordOf([...everything, { type: 'noteWritten', station: 'find', text: 'Oil on the pulley.' }]);
  const { rows, more } = conflictWords(mine, theirs);
  expect(rows).toEqual([
    { path: 'notes, Find', mine: 'Motor heard, tray still.', theirs: 'Oil on the pulley.' },
    { path: 'history', mine: historyWords(mine), theirs: historyWords(theirs) },
  ]);
  expect(more).toBe('');
});

test('a long list is cut, and says by how much', () => {
  const mine = recordOf(everything);
  const theirs = recordOf([
    ...everything,
    {
      type: 'detailsChanged',
      changes: { machine: 'M', owner: 'O', serial: 'S', number: '9', loader: 'slot' },
    },
    { type: 'waitingChanged', waiting: { for: 'owner', what: 'a word' } },
  ]);
  const { rows, more } = conflictWords(mine, theirs);
  expect(rows).toHaveLength(7);
  expect(more).toBe('and 1 more places.');
});
