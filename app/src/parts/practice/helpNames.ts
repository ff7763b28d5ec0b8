import type { Help } from '@loose-pulley/core/record/stations';

/** How much help there is, as it is chosen and said. */
export const HELP_NAMES: Readonly<Record<Help, string>> = {
  on: 'on',
  asked: 'silent until asked',
  off: 'off',
};
