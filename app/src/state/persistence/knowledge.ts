import type { Knowledge } from '@loose-pulley/core/work/diagnosis';
import { settingsTable } from './storage';

const KEY = 'knowledge';

/** The bench's own knowledge, where it keeps one. */
export const loadOwnKnowledge = (): Promise<Knowledge | null> =>
  settingsTable.getItem<Knowledge>(KEY).catch(() => null);

/** Keeps the bench's own knowledge; null goes back to what comes with the app. Rejects with what the browser threw. */
export async function keepOwnKnowledge(knowledge: Knowledge | null): Promise<void> {
  if (knowledge) await settingsTable.setItem(KEY, knowledge);
  else await settingsTable.removeItem(KEY);
}
