import { describe, expect, test } from 'vitest';
import { recordOf, everything } from '../../../fixtures/sample';
import { questionsFor } from '../../views/remoteIntake';
import { readAnswersFile } from '.';

const { ticket } = recordOf(everything);
const answers = (changes: object = {}): string =>
  JSON.stringify({
    format: 'loose-pulley/answers',
    version: 1,
    sheetId: 's1',
    ticket: '0147',
    answers: [
      { id: 'q1', text: ' yes, it whirrs ', pictures: ['data:image/jpeg;base64,/9j/4AAQ'] },
      { id: 'q9', text: 'never asked', pictures: [] },
    ],
    ...changes,
  });

describe('answers from far away', () => {
  test('are read for the questions that were asked, and for no other', () =>
    expect(readAnswersFile(answers(), 'a.json', ticket)).toEqual({
      ok: true,
      value: {
        sheetId: 's1',
        answers: [{ questionId: 'q1', text: 'yes, it whirrs', pictures: ['data:image/jpeg;base64,/9j/4AAQ'] }],
      },
    }));
  test.each([
    ['a cut file', '{"format"', 'cut short'],
    ['another file', '{"format":"x"}', 'no file of answers'],
    ['another ticket’s', answers({ sheetId: 's7', ticket: '0150' }), 'answers questions of ticket 0150'],
    [
      'one question answered twice',
      answers({ answers: ['yes', 'no'].map((text) => ({ id: 'q1', text, pictures: [] })) }),
      'answers one question twice',
    ],
    ['a newer one', answers({ version: 2 }), 'newer'],
    [
      'a picture that is a script',
      answers({ answers: [{ id: 'q1', text: '', pictures: ['data:text/html;base64,PHNjcmlwdD4='] }] }),
      'not shaped like answers',
    ],
  ])('%s is refused in words', (_, content, words) => {
    const result = readAnswersFile(content, 'a.json', ticket);
    expect(!result.ok && result.problem).toContain(words);
  });
});

describe('the questions', () => {
  test('asks in the words of the machine', () => {
    const disk = questionsFor({ loader: 'diskDrive', complaints: [] })
      .map(({ text }) => text)
      .join(' ');
    expect(disk).not.toMatch(/tray|drawer/);
    expect(disk).toContain('spin up');
    expect(questionsFor(ticket)[0]?.text).toContain('“shy on cold mornings”');
  });
});
