import { useAppSelector } from '../../state/store/hooks';
import { useMedia } from './useMedia';

/** Whether the screen is dark: as the system has it, until one is chosen. */
export function useDark(): boolean {
  const system = useMedia('(prefers-color-scheme: dark)');
  const theme = useAppSelector(({ settings }) => settings.theme);
  return theme === 'system' ? system : theme === 'dark';
}
