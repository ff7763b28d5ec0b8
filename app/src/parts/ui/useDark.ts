import { useSyncExternalStore } from 'react';
import { useAppSelector } from '../../state/store/hooks';

const query = matchMedia('(prefers-color-scheme: dark)');
const subscribe = (listener: () => void): (() => void) => {
  query.addEventListener('change', listener);
  return () => query.removeEventListener('change', listener);
};

/** Whether the screen is dark: as the system has it, until one is chosen. */
export function useDark(): boolean {
  const system = useSyncExternalStore(subscribe, () => query.matches);
  const theme = useAppSelector(({ settings }) => settings.theme);
  return theme === 'system' ? system : theme === 'dark';
}
