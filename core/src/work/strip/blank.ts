import type { Step, StepKind } from './schema';

/** A step before it has its number. */
export type StepDraft = Pick<
  Step,
  | 'kind'
  | 'fate'
  | 'what'
  | 'line'
  | 'count'
  | 'missing'
  | 'driverType'
  | 'lengthMm'
  | 'where'
  | 'orientation'
  | 'facts'
  | 'leaveAlone'
>;

/** A step of a kind of which nothing more is known yet. @example blankStep('part', 'a picture').count // 1 */
export const blankStep = (kind: StepKind, line: string, more: Partial<StepDraft> = {}): StepDraft => ({
  kind,
  fate: 'off',
  what: '',
  line,
  count: 1,
  missing: 0,
  driverType: '',
  lengthMm: null,
  where: '',
  orientation: '',
  facts: {},
  leaveAlone: '',
  ...more,
});
