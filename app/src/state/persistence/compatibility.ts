import type { Compatibility } from '@loose-pulley/core/work/compatibility';
import { settingsTable } from './storage';

const KEY = 'compatibility';

/** What may touch what, as this bench has it, where it keeps its own. */
export const loadOwnCompatibility = (): Promise<Compatibility | null> =>
  settingsTable.getItem<Compatibility>(KEY).catch(() => null);

/** Keeps the bench's own table; null goes back to what comes with the app. Rejects with what the browser threw. */
export async function keepOwnCompatibility(table: Compatibility | null): Promise<void> {
  if (table) await settingsTable.setItem(KEY, table);
  else await settingsTable.removeItem(KEY);
}
