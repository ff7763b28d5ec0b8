import {
  readBookFile,
  readCompatibilityFile,
  readKnowledgeFile,
  writeBookFile,
  writeCompatibilityFile,
  writeKnowledgeFile,
  type BenchPart,
  type BenchTexts,
} from '@loose-pulley/core/files/exchange';
import { emptyBook, sayBook } from '@loose-pulley/core/shop/book';
import { ok, refuse, type Result } from '@loose-pulley/core/base/units';
import { importBook, loadBook } from '../persistence/book';
import { keepOwnCompatibility, loadOwnCompatibility } from '../persistence/compatibility';
import { keepOwnKnowledge, loadOwnKnowledge } from '../persistence/knowledge';
import { keepSettings } from '../persistence/settings';
import { checkSettings, settingsLoaded, type Settings } from '../store/settings';
import type { Thunk } from '../store/types';

/*
 * What a bench is besides its tickets, on its way from one computer to another: the book, the settings with what is
 * assumed and demanded, and the bench's own tables.
 */

const SETTINGS_FORMAT = 'loose-pulley/settings';

/** Settings without what is of this computer alone. */
const handedOn = ({ copiedAt: _, ...settings }: Settings): Omit<Settings, 'copiedAt'> => settings;

/** The bench's own files as they stand now. */
export const benchTexts = (): Thunk<Promise<BenchTexts>> => async (dispatch, getState) => {
  // A page that does not show the book may not have read it yet.
  await dispatch(loadBook());
  const { settings, book } = getState();
  const [knowledge, table] = await Promise.all([loadOwnKnowledge(), loadOwnCompatibility()]);
  return {
    ...(book.record && { book: writeBookFile(book.record) }),
    settings: `${JSON.stringify({ format: SETTINGS_FORMAT, settings: handedOn(settings) })}\n`,
    ...(knowledge && { adviser: writeKnowledgeFile(knowledge) }),
    ...(table && { compatibility: writeCompatibilityFile(table) }),
  };
};

/** One of the bench's own files that came in and is not as it is here: what it is, and how it is taken. */
export interface Arrived {
  readonly part: BenchPart;
  /** What it is, and what is here instead. */
  readonly says: string;
  /** Takes it in place of mine. @returns what came of it, in words */
  readonly take: Thunk<Promise<string>>;
}

const WHAT: Readonly<Record<keyof Omit<Settings, 'copiedAt'>, string>> = {
  priors: 'what is assumed',
  requirements: 'what is demanded of a belt',
  limits: 'limits',
  toBeHad: 'what is to be had',
  bands: 'household bands',
  askBy: 'how the adviser asks',
  lubricant: 'what goes on guides',
  printScale: 'the printer’s correction',
  benchName: 'the bench’s name',
  unit: 'the unit',
  theme: 'light or dark',
  singleKeys: 'single keys on or off',
  keys: 'the keys',
};

function readSettings(text: string): Result<Settings> {
  try {
    const read = JSON.parse(text) as { format?: unknown; settings?: unknown };
    return read.format === SETTINGS_FORMAT ? ok(checkSettings(read.settings)) : refuse('These are no settings.');
  } catch {
    return refuse('The settings in the file are broken.');
  }
}

/**
 * What of the bench's own files is otherwise than here, each to be taken or left.
 *
 * @returns what may be taken, and what could not be read, in words
 */
export const arrivedOf =
  (texts: BenchTexts): Thunk<Promise<{ readonly arrived: readonly Arrived[]; readonly problems: readonly string[] }>> =>
  async (dispatch, getState) => {
    await dispatch(loadBook());
    const state = getState();
    const arrived: Arrived[] = [];
    const problems: string[] = [];
    if (texts.settings !== undefined) {
      const theirs = readSettings(texts.settings);
      if (!theirs.ok) problems.push(theirs.problem);
      else {
        const mine = handedOn(state.settings);
        const given = handedOn(theirs.value);
        const differ = (Object.keys(WHAT) as Array<keyof typeof WHAT>).filter(
          (key) => JSON.stringify(mine[key] ?? null) !== JSON.stringify(given[key] ?? null),
        );
        if (differ.length > 0)
          arrived.push({
            part: 'settings',
            says: `Settings, otherwise than here: ${differ.map((key) => WHAT[key]).join(', ')}.`,
            take: async (give, now) => {
              const taken = { ...given, copiedAt: now().settings.copiedAt };
              give(settingsLoaded(taken));
              await keepSettings(now().settings);
              return 'The settings are taken.';
            },
          });
      }
    }
    if (texts.book !== undefined) {
      const theirs = readBookFile(texts.book, 'the bench book');
      if (!theirs.ok) problems.push(theirs.problem);
      else if (JSON.stringify(theirs.value.record) !== JSON.stringify(state.book.record ?? emptyBook()))
        arrived.push({
          part: 'book',
          says: `Bench book: ${sayBook(theirs.value.record)}. Here: ${state.book.record ? sayBook(state.book.record) : 'a book that cannot be read'}, which is kept beside it.`,
          take: (give) => give(importBook(theirs.value.record)),
        });
    }
    if (texts.adviser !== undefined) {
      const theirs = readKnowledgeFile(texts.adviser, 'what the adviser knows');
      if (!theirs.ok) problems.push(theirs.problem);
      else if (JSON.stringify(theirs.value) !== JSON.stringify(await loadOwnKnowledge()))
        arrived.push({
          part: 'adviser',
          says: 'What the adviser knows, changed by that bench.',
          take: async () => {
            await keepOwnKnowledge(theirs.value);
            return 'The adviser’s table is taken.';
          },
        });
    }
    if (texts.compatibility !== undefined) {
      const theirs = readCompatibilityFile(texts.compatibility, 'what may touch what');
      if (!theirs.ok) problems.push(theirs.problem);
      else if (JSON.stringify(theirs.value) !== JSON.stringify(await loadOwnCompatibility()))
        arrived.push({
          part: 'compatibility',
          says: 'What may touch what, changed by that bench.',
          take: async () => {
            await keepOwnCompatibility(theirs.value);
            return 'The table of what may touch what is taken.';
          },
        });
    }
    return { arrived, problems };
  };
