import { PREPARED } from '../hidden';

/** Judgements that a dealt machine can ask for beside the prepared ones: a fault of no special one. */
const OTHER = { id: 'other', name: 'Another fault' } as const;

/** What one is practised in, in the order in which it is learned. */
export const JUDGEMENTS: ReadonlyArray<{ readonly id: string; readonly name: string }> = [
  ...PREPARED.map(({ id, name }) => ({ id, name })),
  OTHER,
];

/** The judgement that a single cause asks for. */
const OF_CAUSE: Readonly<Record<string, string>> = {
  beltOily: 'oily',
  beltGlazed: 'glazed',
  clampMagnet: 'emptyLoaded',
  toothOut: 'toothOut',
  switchDirty: 'switch',
  switchTorn: 'switch',
  rollerLink: 'link',
  latched: 'reset',
  beltDissolved: 'crumbs',
  beltBroken: 'crumbs',
  beltWrong: 'tooTight',
  operator: 'sound',
};

/**
 * What a machine asks to be judged, by its name among `JUDGEMENTS`.
 *
 * @example judgementOf(null, ['beltOily']) // 'oily'
 */
export function judgementOf(preparedId: string | null, causes: readonly string[]): string {
  if (preparedId !== null) return preparedId;
  if (causes.length > 1) return 'second';
  return OF_CAUSE[causes[0] ?? ''] ?? OTHER.id;
}

/** What to take from a judgement; undefined where the cause itself has to say it. */
export const lessonOf = (judgement: string): string | undefined => PREPARED.find(({ id }) => id === judgement)?.lesson;
