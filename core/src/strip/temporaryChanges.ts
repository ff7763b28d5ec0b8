import type { TemporaryChange, ChangeLimit } from './schema';

export const isOpen = ({ closedAt }: Pick<TemporaryChange, 'closedAt'>): boolean => closedAt === null;

/** The changes that are not reversed yet. */
export const openChanges = (changes: readonly TemporaryChange[]): readonly TemporaryChange[] => changes.filter(isOpen);

const REACH: Readonly<Record<ChangeLimit, readonly ChangeLimit[]>> = {
  power: ['power'],
  lid: ['power', 'lid'],
  handBack: ['power', 'lid', 'handBack'],
};

/**
 * The temporary changes that forbid a moment: what must end before power forbids the lid and handing back as well.
 *
 * @example forbidding(temporaryChanges, 'power').map(({ words }) => words) // ['Laser pads bridged']
 */
export const forbidding = (
  temporaryChanges: readonly TemporaryChange[],
  moment: ChangeLimit,
): readonly TemporaryChange[] =>
  temporaryChanges.filter((change) => isOpen(change) && REACH[moment].includes(change.before));
