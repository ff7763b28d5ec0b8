import { settingsLoaded } from '../store/settings';
import type { AppDispatch, RootState } from '../store/store';
import { settingsTable } from './storage';

const KEY = 'bench';

/** Reads the bench's settings; without a store the defaults do. */
export async function loadSettings(dispatch: AppDispatch): Promise<void> {
  const kept = await settingsTable.getItem<unknown>(KEY).catch(() => null);
  if (kept) dispatch(settingsLoaded(kept));
}

/** Keeps the settings whenever they change. */
export function keepSettings(store: { getState(): RootState; subscribe(listener: () => void): () => void }): void {
  let kept = store.getState().settings;
  store.subscribe(() => {
    const { settings } = store.getState();
    if (settings === kept) return;
    kept = settings;
    // Lost settings are a nuisance, not a loss; the tickets' own keeper says when the store is refused.
    settingsTable.setItem(KEY, settings).catch(() => undefined);
  });
}
