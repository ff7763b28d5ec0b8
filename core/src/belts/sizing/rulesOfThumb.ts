import { nextInSeries, type CatalogueBelt } from '../catalogue';
import { findMethod, type DriveFacts, type Method, type ReadingResult } from '../measuring';
import { judge, type Judgement } from './judge';
import type { Situation } from './situation';

/** One of the trade's ways of choosing, what it rests on, and what it would buy here. */
export interface RuleOfThumb {
  readonly id: string;
  readonly name: string;
  readonly restsOn: string;
  /** The inner length it aims at, mm; absent where it cannot be computed from what was measured. */
  readonly aimMm?: number;
  /** What it would buy; absent where it buys nothing (keep, warm) or lacks its reading. */
  readonly pick?: CatalogueBelt;
  readonly judgement?: Judgement;
  /** What it lacks, or what can be said of it without a figure. */
  readonly remark?: string;
}

const nearest = (belts: readonly CatalogueBelt[], aimMm: number): CatalogueBelt | undefined =>
  belts.reduce<CatalogueBelt | undefined>(
    (best, belt) =>
      !best || Math.abs(belt.innerLengthMm - aimMm) < Math.abs(best.innerLengthMm - aimMm) ? belt : best,
    undefined,
  );

/** The figure a rule itself would take from a reading: uncorrected, as common practice does. */
const asRead = (result: ReadingResult | undefined): number | undefined =>
  result?.read?.uncorrected ?? result?.read?.value;

/**
 * What each of the trade's rulesOfThumb would buy from belts of one section. Each takes its reading as common practice
 * does, uncorrected; the judgement beside it is ours. Nothing is recommended here.
 *
 * Source of the rulesOfThumb: common practice, none published.
 *
 * @param stock belts of one section
 * For instance rulesOfThumb(facts, situation, square 1.2 belts)[0]: a tenth off: aims at 119.5, would buy 120
 */
export function rulesOfThumb(
  facts: DriveFacts,
  situation: Situation | undefined,
  stock: readonly CatalogueBelt[],
): RuleOfThumb[] {
  const find = (test: (method: Method) => boolean) =>
    facts.results.find(({ reading, read }) => {
      const method = findMethod(reading.method);
      return read && !read.lowerBound && method && test(method);
    });
  const doubled = find(({ ruleReading }) => ruleReading === 'doubled');
  const cap = find(({ ruleReading }) => ruleReading === 'cap');
  const anyOld =
    cap ??
    doubled ??
    facts.results.find(({ reading, read }) => reading.measurand === 'oldBelt' && read && !read.lowerBound);
  const string = facts.results.find(({ reading, read }) => reading.measurand === 'stringPath' && read);
  const printed = find(({ nominal, measurand }) => nominal === true && measurand === 'oldBelt');

  const buy = (
    base: Pick<RuleOfThumb, 'id' | 'name' | 'restsOn'>,
    aimMm: number | undefined,
    pick: CatalogueBelt | undefined,
    lacks: string,
  ): RuleOfThumb => {
    if (aimMm === undefined) return { ...base, remark: lacks };
    if (!pick) return { ...base, aimMm, remark: 'No belt of this section in the list.' };
    const judgement = situation && judge(situation, pick);
    return { ...base, aimMm, pick, ...(judgement && { judgement }) };
  };
  const oneUnder = (lengthMm: number | undefined) =>
    lengthMm === undefined ? undefined : nextInSeries(stock, nearest(stock, lengthMm)?.innerLengthMm ?? 0).down;

  // Doubled reading with doubled reading: what a new belt of the section reads more than its inner length is the same.
  const { uncorrected = 0, value: correctedMm = 0 } = doubled?.read ?? {};
  const tenthMm = doubled && 0.9 * uncorrected - (uncorrected - correctedMm);
  const oldMm = asRead(anyOld);
  const stringMm = asRead(string);
  const likeMm = printed?.read?.value ?? facts.oldBelt?.value;
  const slightlyMm = facts.oldBelt && 0.95 * facts.oldBelt.value;
  const keep =
    facts.oldBelt && situation && facts.section && situation.oldSection
      ? judge(situation, { ...situation.oldSection, innerLengthMm: facts.oldBelt.value })
      : undefined;

  return [
    buy(
      {
        id: 'tenthOff',
        name: 'a tenth off',
        restsOn: 'the belt that reads nine tenths of the old one’s doubled length',
      },
      tenthMm,
      tenthMm === undefined ? undefined : nearest(stock, tenthMm),
      'Needs the old belt doubled flat.',
    ),
    buy(
      { id: 'oneUnderBelt', name: 'one size down', restsOn: 'one catalogue size under the old belt as read' },
      oldMm,
      oneUnder(oldMm),
      'Needs a reading of the old belt.',
    ),
    buy(
      { id: 'oneUnderString', name: 'one under the string', restsOn: 'one catalogue size under the string’s length' },
      stringMm,
      oneUnder(stringMm),
      'Needs a string round the pulleys.',
    ),
    buy(
      {
        id: 'slightlySmaller',
        name: 'slightly smaller',
        restsOn: 'about a twentieth under the old belt, then up or down by how it runs',
      },
      slightlyMm,
      slightlyMm === undefined ? undefined : nearest(stock, slightlyMm),
      'Needs a reading of the old belt.',
    ),
    buy(
      {
        id: 'likeForLike',
        name: 'like for like',
        restsOn: printed ? 'the printed size' : 'the old belt’s own length, old as it is',
      },
      likeMm,
      likeMm === undefined ? undefined : nearest(stock, likeMm),
      'Needs a printed size or a reading of the old belt.',
    ),
    {
      id: 'keepAndClean',
      name: 'keep and clean',
      restsOn: 'the old belt as it is, washed, on clean pulleys',
      ...(facts.oldBelt && { aimMm: facts.oldBelt.value }),
      ...(keep ? { judgement: keep } : { remark: 'Needs the old belt, its section and the path.' }),
    },
    {
      id: 'warm',
      name: 'warm to shrink',
      restsOn: 'hot water or air, 80 to 100 °C',
      remark:
        'Takes back part of the set, never below its moulded length. Measure again when cold; hold it to be a stopgap.',
    },
    {
      id: 'band',
      name: 'office band',
      restsOn: 'whatever is in the drawer',
      remark: 'Stretches unevenly and ages in months. For a test, or for a while where speed does not matter.',
    },
  ];
}
