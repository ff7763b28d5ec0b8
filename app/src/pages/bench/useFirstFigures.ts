import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  findMethod,
  METHODS,
  methodsFor,
  THICK_AS,
  takeReading,
  USUAL_SECTION_MM,
  type Measurand,
  type Reading,
} from '@loose-pulley/core/belts/measuring';
import { takeLine } from '@loose-pulley/core/belts/readingLine';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { parseRingSection } from '@loose-pulley/core/base/shapes';
import { type EventBody } from '@loose-pulley/core/record/ticket';
import { useTaken } from '../../parts/measuring/useTaken';
import { useUnit } from '../../state/store/hooks';

/** What somebody has before them who asks for a belt. */
export const HAVING = ['oldBelt', 'string', 'pulleys', 'nothing'] as const;
export type Having = (typeof HAVING)[number];

/** The ways to measure an old belt that are offered with a picture. */
export const OLD_BELT_WAYS = METHODS.filter(({ measurand, quickLabel }) => measurand === 'oldBelt' && quickLabel);
const STRING = METHODS.find(({ measurand }) => measurand === 'stringPath');

export type PulleyField = 'motorDiameter' | 'drivenDiameter' | 'centreDistance';
export const PULLEY_FIELDS: readonly PulleyField[] = ['motorDiameter', 'drivenDiameter', 'centreDistance'];

/** Where the section is from: jaws, likeness, or nobody looked. */
interface Section {
  readonly mm: number;
  readonly method: string;
  readonly typed: string;
}

type ReadingParts = Pick<Reading, 'measurand' | 'method' | 'typed' | 'amount'> &
  Partial<Pick<Reading, 'aux' | 'ownStd'>>;
const asBody = (driveId: string, { measurand, method, typed, amount, aux = {}, ownStd }: ReadingParts): EventBody => ({
  type: 'readingTaken',
  driveId,
  reading: {
    id: nanoid(10),
    measurand,
    method,
    typed: typed.slice(0, 200),
    amount,
    aux,
    ownStd: ownStd ?? null,
  },
});

function useSection(unit: LengthUnit) {
  const [text, setText] = useState('');
  const [like, setLike] = useState('');
  const parsed = text.trim() === '' ? undefined : parseRingSection(text);
  const thing = THICK_AS.find(({ id }) => id === like);
  const taken: Section = parsed?.ok
    ? { mm: parsed.value, method: 'sectionJaws', typed: text.trim() }
    : thing
      ? { mm: thing.thicknessMm, method: 'sectionAsThickAs', typed: `as thick as ${thing.name}` }
      : {
          mm: USUAL_SECTION_MM,
          method: 'sectionAsUsual',
          typed: `${formatLength(USUAL_SECTION_MM, unit)} ${unit}, as usual`,
        };
  return {
    text,
    setText: (now: string) => {
      setLike('');
      setText(now);
    },
    like,
    setLike: (now: string) => {
      setText('');
      setLike(now);
    },
    problem: parsed && !parsed.ok ? parsed.problem : undefined,
    taken,
  };
}

/** What was typed at the top of the Bench, in whichever way, and what it comes to: readings for a drive. */
export function useFirstFigures() {
  const unit = useUnit();
  const [having, setHaving] = useState<Having>('oldBelt');
  const [oldBeltWay, setOldBeltWay] = useState(OLD_BELT_WAYS[0]?.id ?? '');
  const [pulleyTexts, setPulleyTexts] = useState<Readonly<Record<PulleyField, string>>>({
    motorDiameter: '',
    drivenDiameter: '',
    centreDistance: '',
  });
  const section = useSection(unit);
  const chosen = having === 'string' ? (STRING?.id ?? '') : oldBeltWay;
  const line = useTaken((text, keep) => takeLine(text, chosen, section.taken.mm, { unit, keep }));
  const understood = line.taken?.state === 'reading' ? line.taken : undefined;
  const pulleys = PULLEY_FIELDS.flatMap((field) => {
    const method = methodsFor(field)[0];
    const text = pulleyTexts[field].trim();
    return method && text !== '' ? [{ field, method, text, taken: takeReading(text, method, { unit }) }] : [];
  });
  const said = understood?.sectionSaid === true ? understood.aux.sectionMm : undefined;
  const thickness: Section =
    said === undefined ? section.taken : { mm: said, method: 'sectionJaws', typed: formatLength(said, 'mm') };

  /** Everything that was typed, as readings of a drive; empty while nothing of it is a reading. */
  const readingsOf = (driveId: string): readonly EventBody[] => {
    const { sectionMm: _, ...aux } = understood?.aux ?? {};
    const parts: ReadingParts[] = [
      ...(understood
        ? [
            {
              measurand: understood.method.measurand,
              method: understood.method.id,
              typed: line.text.trim(),
              amount: understood.amount,
              aux,
              ...(understood.ownStd !== undefined && { ownStd: understood.ownStd }),
            },
          ]
        : []),
      ...pulleys.flatMap(({ field, method, text, taken }) =>
        taken.state === 'reading'
          ? [{ measurand: field as Measurand, method: method.id, typed: text, amount: taken.amount }]
          : [],
      ),
    ];
    if (parts.length === 0) return [];
    const { mm, method, typed } = thickness;
    return [{ measurand: 'section' as const, method, typed, amount: mm }, ...parts].map((one) => asBody(driveId, one));
  };

  return {
    unit,
    having,
    setHaving,
    line,
    section,
    /** The section is of the typed line, so its own field says nothing. */
    sectionInLine: said !== undefined,
    /** How the typed figure was read: what its line says, or else what is chosen. */
    way: understood?.method ?? findMethod(chosen),
    understood,
    chooseWay: setOldBeltWay,
    pulleyTexts,
    typePulley: (field: PulleyField, text: string) => setPulleyTexts((all) => ({ ...all, [field]: text })),
    pulleyProblems: pulleys.flatMap(({ taken }) => (taken.state === 'reading' ? [] : [taken.problem])),
    pulleyMm: (field: PulleyField): number | undefined => {
      const taken = pulleys.find((one) => one.field === field)?.taken;
      return taken?.state === 'reading' ? taken.read?.value : undefined;
    },
    any: understood !== undefined || pulleys.some(({ taken }) => taken.state === 'reading'),
    readingsOf,
  };
}

export type FirstFigures = ReturnType<typeof useFirstFigures>;
