import type { Rule } from '../../base/spoken';
import type { Said } from './said';

/* How a rule of the grammar is written. */

export type Parts = readonly Said[];
/** What stands from the first part to the last. */
export const over = (parts: Parts, more: Partial<Said> & Pick<Said, 'is'>): Said => ({
  from: (parts[0] as Said).from,
  to: (parts.at(-1) as Said).to,
  ...more,
});
export const strangeIn = (parts: Parts): number => parts.reduce((all, { strange = 0 }) => all + strange, 0);

export const rule = (makes: string, of: string, says: (parts: Parts) => Said | undefined, cost = 0): Rule<Said> => ({
  makes,
  of: of.split(' '),
  says,
  cost,
});
export const part = (parts: Parts, at: number): Said => parts[at] as Said;
export const as =
  (is: Said['is'], more: Partial<Said> = {}) =>
  (parts: Parts): Said =>
    over(parts, { ...part(parts, 0), ...more, is, to: (parts.at(-1) as Said).to });
