import { shapeOf } from '../../base/shapes';
import { formatLength, type LengthUnit } from '../../base/units';
import { auxRefusal, AUX, findMethod, type AuxKey, type Method } from '../measuring';
import type { Bit, Figure } from './bits';
import { mmOf, sectionMmOf } from './rules';

/** What a line says, one way: by which way of measuring, how much, with what. */
export interface Said {
  readonly method: Method;
  readonly amount: number;
  readonly aux: Readonly<Partial<Record<AuxKey, number>>>;
  /** The line itself names the section; else it is the one that stands beside it. */
  readonly sectionSaid: boolean;
  /** Said as about so much. */
  readonly rough: boolean;
}

/** What bits come to: readings of which one is meant, words that have to be asked about, or why it is none. */
export interface Meant {
  readonly ways: readonly Said[];
  /** What is asked; empty where the one way is surely meant. */
  readonly asks: string;
  readonly problem: string;
}

const none = (problem: string): Meant => ({ ways: [], asks: '', problem });

const isAmount = ({ is }: Bit): boolean => is === 'amount' || is === 'size';

/** What was said before a correction, with what was said after it put in its place. */
export function putRight(before: readonly Bit[], after: readonly Bit[]): readonly Bit[] {
  const keeps = (one: Bit): boolean => {
    if (one.is === 'tool') return !after.some(({ is, auxKey }) => is === 'tool' && auxKey === one.auxKey);
    if (isAmount(one)) return !after.some(isAmount);
    return one.is !== 'way' || !after.some(({ is }) => is === 'way');
  };
  return [...before.filter(keeps), ...after];
}

/** What a section or tool that cannot be was read as. */
function impossibleTool(bits: readonly Bit[], unit: LengthUnit): string {
  const telling = bits.filter(({ is }) => is !== 'idle');
  const at = telling.findIndex(({ is, auxKey }, i) => is === 'aux' && auxKey && telling[i + 1]?.is === 'amount');
  const [key, said] = [telling[at]?.auxKey, telling[at + 1]?.figure];
  return key && said ? auxRefusal(key, mmOf(said, unit)) : '';
}

/**
 * What the bits of a line come to.
 *
 * @param chosen the way where the line names none
 * @param sectionMm the section where the line names none
 */
export function meant(bits: readonly Bit[], chosen: string, sectionMm: number | undefined, unit: LengthUnit): Meant {
  const of = (is: Bit['is']): readonly Bit[] => bits.filter((one) => one.is === is);
  const impossible = impossibleTool(bits, unit);
  if (impossible !== '') return none(impossible);
  const aux: Partial<Record<AuxKey, number>> = {};
  const told = new Set<AuxKey>();
  for (const { auxKey, figure } of of('tool')) {
    if (!auxKey || !figure) continue;
    if (told.has(auxKey)) return none(`Read two sizes for ${AUX[auxKey].label}. Say one.`);
    told.add(auxKey);
    aux[auxKey] = auxKey === 'sectionMm' ? sectionMmOf(figure, unit) : mmOf(figure, unit);
  }
  const rough = of('rough').length > 0;
  const marks = of('strange').find(({ text = '' }) => !/\p{L}/u.test(text));
  if (marks)
    return none(`Read “${marks.text ?? ''}” within a number. Type the number with one point or comma, such as 66.4.`);
  // What is told of the next cap makes the one before it the first of two.
  const caps = aux.nextCapMm === undefined ? 'overCap' : 'twoCaps';
  const all = [...new Set(of('way').map(({ way }) => (way === 'overCap' ? caps : (way ?? ''))))];
  // A belt read doubled at its inner ends is doubled too.
  const named = all.includes('doubledInner') ? all.filter((id) => id !== 'doubledOuter') : all;
  const counted = of('way').find((one) => one.n !== undefined)?.n;
  const figures = bits.filter(isAmount).map(({ figure }) => figure as Figure);
  const [first, second, ...more] = figures;
  if (!first && aux.sectionMm !== undefined)
    return none(
      `Read only a section, ${formatLength(aux.sectionMm, unit)} ${unit}. Its length too, such as “doubled flat 66.4” or “string 118”.`,
    );
  if (!first) return none('Read no figure of the belt. Type a reading, such as “doubled flat 66.4, section 1.2”.');
  const [size] = of('size');
  if (size?.section) aux.sectionMm = sectionMmOf(size.section, unit);
  const strange = of('strange').map(({ text }) => `“${text ?? ''}”`);
  const asks: string[] = [
    ...(strange.length > 0 ? [`${strange.join(', ')} ${strange.length === 1 ? 'is' : 'are'} not known here`] : []),
    ...(of('deny').length > 0 ? ['something is denied'] : []),
  ];
  const made = (id: string, said: Figure, tools: Said['aux'] = aux): Said[] => {
    const method = findMethod(id);
    // Every figure comes to something: a tool that this way does not use was something else.
    const used = (key: string): boolean =>
      key === 'sectionMm' ||
      method?.aux.some((one) => one === key) ||
      method?.optionalAux?.some((one) => one === key) ||
      false;
    return method && Object.keys(tools).every(used)
      ? [
          {
            method,
            amount: mmOf(said, unit),
            aux: sectionMm === undefined ? tools : { sectionMm, ...tools },
            sectionSaid: tools.sectionMm !== undefined,
            rough,
          },
        ]
      : [];
  };
  const pieces = figures.some(({ parts }) => parts > 1);
  // What is in pieces has several figures, and they are added up.
  if (pieces || (named.includes('inPieces') && figures.length > 1)) {
    const total = figures.reduce((sum, one) => sum + mmOf(one, unit), 0);
    const ways = made('inPieces', { ...first, value: total, unit: 'mm' });
    const said = figures.reduce((sum, { parts }) => sum + parts, 0);
    if (counted !== undefined && counted !== said) asks.push(`${counted} pieces, and ${said} figures`);
    const others = named.filter((id) => id !== 'inPieces' && id !== 'laidStraight');
    if (!named.includes('inPieces')) asks.push('Only pieces are added up');
    if (others.length > 0) asks.push('two ways of measuring are named');
    return { ways, asks: asks.join('; '), problem: '' };
  }
  const [alone] = named.length === 1 ? named : [];
  if (second) {
    if (more.length === 0 && alone === 'twoCaps')
      return {
        ways: made(alone, first, { ...aux, nextCapMm: mmOf(second, unit) }),
        asks: asks.join('; '),
        problem: '',
      };
    if (more.length === 0 && alone === 'lyingFree')
      return {
        ways: made(alone, first, { ...aux, secondDiameterMm: mmOf(second, unit) }),
        asks: asks.join('; '),
        problem: '',
      };
    const [small, large] = [...figures].sort((a, b) => mmOf(a, unit) - mmOf(b, unit));
    if (more.length === 0 && small && large && aux.sectionMm === undefined && thin(small, unit))
      return {
        ways: (alone ? [alone] : named.length > 0 ? named : [chosen]).flatMap((id) =>
          made(id, large, { ...aux, sectionMm: sectionMmOf(small, unit) }),
        ),
        asks: [...asks, `is ${small.value} its section?`].join('; '),
        problem: '',
      };
    return {
      // Each figure with the way that was said with it, where there is one for each.
      ways: figures.flatMap((one, at) =>
        made(named.length === figures.length ? (named[at] ?? chosen) : (alone ?? chosen), one),
      ),
      asks: [...asks, 'several figures and one belt: which was read?'].join('; '),
      problem: '',
    };
  }
  if (first.times === 2 && named.length === 0 && findMethod(chosen)?.takes !== 'doubledLength')
    return {
      ways: made('doubledOuter', first),
      asks: [...asks, '2 × is of a belt laid double'].join('; '),
      problem: '',
    };
  if (first.times === 2 && alone && findMethod(alone)?.takes !== 'doubledLength')
    return none(`Read 2 × ${first.value}. 2 × is for a doubled length only; here type the number alone.`);
  if (named.length > 1)
    return {
      ways: named.flatMap((id) => made(id, first)),
      asks: [...asks, 'two ways of measuring are named: which was it?'].join('; '),
      problem: '',
    };
  if (!alone && size)
    return {
      ways: [...made('printedLength', first), ...made(chosen, first)],
      asks: [...asks, 'is that its label, or was it measured?'].join('; '),
      problem: '',
    };
  if (!alone && of('length').length > 0)
    return {
      ways: [...made('laidStraight', first), ...made('printedLength', first)],
      asks: [...asks, 'how was that length found?'].join('; '),
      problem: '',
    };
  // “118 round” is 118 all the way round, or a round belt: nobody but the bench knows.
  if (!alone && of('shape').some(({ shape }) => shape && shapeOf(shape).said.includes('round')))
    return {
      ways: [...made(chosen, first), ...made('laidStraight', first)],
      asks: [...asks, 'a round belt, or all the way round?'].join('; '),
      problem: '',
    };
  const denied = of('deny').length > 0 && alone !== undefined && alone !== chosen;
  const ways = [...made(alone ?? chosen, first), ...(denied ? made(chosen, first) : [])];
  if (ways.length === 0) return none('Choose how it was measured: doubled flat, over a cap, laid straight or string.');
  return { ways, asks: asks.join('; '), problem: '' };
}

const thin = (said: Figure, unit: LengthUnit): boolean => {
  const mm = sectionMmOf(said, unit);
  return mm >= AUX.sectionMm.min && mm <= AUX.sectionMm.max;
};
