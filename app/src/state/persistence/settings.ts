import { settingsLoaded, type Settings } from '../store/settings';
import type { AppDispatch } from '../store/types';
import { isPractice } from '../boot';
import { homeSettings, settingsTable } from './storage';

const KEY = 'bench';

/** Reads the bench's settings; without a store the defaults do. Practice begins with those of the bench beside it. */
export async function loadSettings(dispatch: AppDispatch): Promise<void> {
  const own = await settingsTable.getItem<unknown>(KEY).catch(() => null);
  const kept =
    own ??
    (isPractice
      ? await homeSettings()
          .getItem<unknown>(KEY)
          .catch(() => null)
      : null);
  if (kept) dispatch(settingsLoaded(kept));
}

/** Keeps the settings. Lost ones are a nuisance, not a loss; the tickets' own keeper says when the store is refused. */
export async function keepSettings(settings: Settings): Promise<void> {
  await settingsTable.setItem(KEY, settings).catch(() => undefined);
}
