import {
  blankStep,
  LIMIT_WORDS,
  stepWords,
  TEMPORARY_CHANGE,
  TEMPORARY_CHANGES,
  type Fate,
  type StepDraft,
  goesBack,
} from '../strip';
import { capital } from '../../base/units';
import { stepOf } from './steps';
import type { Thing } from './thing';
import { kindOf } from './senses';
import { FASTENERS, type NounKind } from './words';
import type { Deed, Way } from './types';

/** The longest line that a step keeps. */
export const LINE_MAX = 400;
/** Where a plug inside a machine is. */
const INSIDE = /\b(?:board|pcb|circuit|motor|fan|display|drive|deck)\b/i;

export const WAYS_MAX = 3;

export function deedOf(
  thing: Thing,
  line: string,
  changed: { readonly fate?: Fate; readonly count?: number; readonly kind?: NounKind },
): Deed {
  const { allShort } = thing.clause;
  const clause = {
    ...thing.clause,
    ...(changed.fate && { fate: changed.fate }),
    ...(changed.count !== undefined && {
      count: allShort ? 0 : changed.count,
      ...(allShort && { missing: changed.count }),
      figures: { ...thing.clause.figures, ofMany: null },
    }),
    ...(changed.kind && { kind: changed.kind }),
  };
  // Several that stay where they are need no number: none is claimed.
  const loose = (clause.kind === 'wire' || clause.kind === 'cable') && clause.fate === 'movedAside';
  const uncounted =
    clause.plural &&
    clause.count === undefined &&
    changed.count === undefined &&
    (loose || !goesBack(clause.fate ?? 'off'));
  const { what, where } = clause;
  const tells = thing.tells.join(', ');
  // What is off a board inside brings no mains.
  if (clause.kind === 'power' && INSIDE.test(clause.where) && (clause.fate === 'off' || clause.fate === 'pulled'))
    return { type: 'step', step: blankStep('connector', line, { what, where, count: 1, fate: 'off' }) };
  if (clause.kind === 'power') {
    if (clause.fate === 'off' || clause.fate === 'pulled') return { type: 'moment', moment: 'unplugged' };
    if (clause.homed && !clause.leave) return { type: 'moment', moment: 'power' };
    return { type: 'step', step: blankStep('note', line, { what: line, fate: 'noted' }) };
  }
  if (clause.kind === 'dirt') return { type: 'found', kind: 'dirt', what: said(line), where: '' };
  if (clause.kind === 'object')
    return {
      type: 'found',
      kind: 'object',
      what: what || clause.noun,
      where: [where, tells].filter(Boolean).join(', '),
    };
  if (clause.kind === 'disc') return { type: 'disc', where, condition: [said(line), ''].filter(Boolean).join(', ') };
  const { head: _, ...facts } = thing.facts;
  const step = stepOf(clause, line, { ...(FASTENERS.has(clause.kind ?? 'part') ? {} : { what }), where });
  const leave = thing.leaveAlone !== '' || step.fate === 'leftAlone';
  return {
    type: 'step',
    step: {
      ...step,
      ...(leave && { fate: 'leftAlone', leaveAlone: thing.leaveAlone || 'left alone' }),
      count: uncounted ? 0 : step.count + thing.missing,
      missing: step.missing + thing.missing,
      where: FASTENERS.has(clause.kind ?? 'part') ? [where, tells].filter(Boolean).join(', ') : where,
      orientation: FASTENERS.has(clause.kind ?? 'part') ? '' : tells,
      facts: { ...step.facts, ...facts },
    },
  };
}
export const said = (line: string): string => line.slice(0, LINE_MAX);

export const echoOf = (deed: Deed): string => {
  switch (deed.type) {
    case 'step':
      return `${stepWords(deed.step)}.`;
    case 'found':
      return deed.kind === 'dirt'
        ? `Dirt found: ${deed.what}. It needs no home.`
        : `Found: ${deed.what}${deed.where && `, ${deed.where}`}. It stays on the left-over list until it has a home.`;
    case 'disc':
      return 'A disc goes into custody: whose it is stands at Take in.';
    case 'change':
      return `${capital(TEMPORARY_CHANGE)}: ${TEMPORARY_CHANGES[deed.kind].name}. ${TEMPORARY_CHANGES[deed.kind].closes}, before ${LIMIT_WORDS[TEMPORARY_CHANGES[deed.kind].before]}.`;
    case 'changeEnds':
      return `Reversed: ${TEMPORARY_CHANGES[deed.kind].name}.`;
    case 'again':
      return `Number ${deed.number} comes off again.`;
    case 'same':
      return `The same again${deed.where === '' ? '' : `, ${deed.where}`}: what the last line said, with numbers of its own.`;
    case 'back':
      return `Number ${deed.number} is back.`;
    case 'moment':
      return deed.moment === 'power'
        ? 'It is plugged in now.'
        : deed.moment === 'unplugged'
          ? 'It is unplugged now.'
          : '';
  }
};
export const wayOf = (does: readonly Deed[]): Way => ({
  echo:
    does.length > 1 && does.every(({ type }) => type === 'step')
      ? `${does.map((deed) => echoOf(deed).replace(/\.$/, '')).join(' · ')}.`
      : does.map(echoOf).join(' '),
  does,
});

/** The order of steps: what frees a thing comes before it, however it was said. */
export function inOrder(deeds: readonly Deed[], things: readonly Thing[]): readonly Deed[] {
  const holds = (deed: Deed): boolean =>
    deed.type === 'step' &&
    ['screws', 'nuts', 'clips', 'tabs', 'connector', 'adhesive', 'springs'].includes(deed.step.kind) &&
    deed.step.fate !== 'leftAlone';
  const frees = (deed: Deed): boolean =>
    deed.type === 'step' && (deed.step.kind === 'cover' || deed.step.kind === 'part') && deed.step.fate === 'off';
  // A hand goes in by it: that it is unplugged comes before anything else.
  const moments = deeds.filter(({ type }) => type === 'moment');
  if (moments.length > 0 && moments.length < deeds.length)
    return [
      ...moments,
      ...inOrder(
        deeds.filter(({ type }) => type !== 'moment'),
        things.slice(moments.length),
      ),
    ];
  const [first, ...rest] = deeds;
  if (!first || !frees(first) || rest.some((deed) => !holds(deed)) || things.slice(1).some(({ ownFate }) => ownFate))
    return deeds;
  return [...rest, first];
}

/** The ways in which a doubtful thing may be meant. */
export function variants(thing: Thing, line: string): Array<readonly Deed[]> {
  let list: Array<{
    readonly fate?: Fate;
    readonly count?: number;
    readonly kind?: NounKind;
    readonly two?: NounKind;
    readonly many?: number;
    readonly one?: true;
  }> = [{}];
  for (const doubt of thing.doubts) {
    const options =
      doubt.about === 'fate'
        ? doubt.fates.map((fate) => ({ fate }))
        : doubt.about === 'kind'
          ? doubt.kinds.map((kind) => ({ kind, ...(kind === 'cable' && { fate: 'loosened' as const }) }))
          : doubt.about === 'both'
            ? [{ two: doubt.thing, many: doubt.count ?? 1 }, { one: true as const }]
            : doubt.about === 'slip'
              ? [{}]
              : doubt.counts.length > 0
                ? doubt.counts.map((count) => ({ count }))
                : [{}, { count: thing.clause.figures.ofMany?.[0] ?? 1 }];
    list = list.flatMap((one) => options.map((option) => ({ ...one, ...option }))).slice(0, WAYS_MAX);
  }
  return list.map(({ two, many = 1, one: _, ...changed }) => {
    const deed = deedOf(thing, line, changed);
    if (two === undefined) return [deed];
    const other =
      thing.clause.what.split(' ').find((word) => kindOf(word.toLowerCase()) === two) ??
      thing.clause.where.split(' ').find((word) => kindOf(word.toLowerCase()) === two);
    const late = thing.tells.find((text) => text.split(' ').some((word) => kindOf(word) === two));
    const name = late ?? other ?? two;
    // The thing is a step of its own then, and no place.
    const alone: Deed =
      deed.type === 'step' && deed.step.where.toLowerCase() === name.toLowerCase()
        ? { ...deed, step: { ...deed.step, where: '' } }
        : deed;
    return [
      alone,
      {
        type: 'step',
        step: blankStep(two as StepDraft['kind'], line, {
          what: name,
          fate: thing.clause.fate ?? 'off',
          count: many,
        }),
      },
    ];
  });
}

export const keptWay = (line: string): Way => ({
  echo: 'None of these: kept as typed, with a number.',
  does: [{ type: 'step', step: blankStep('note', line, { what: line, fate: 'off' }) }],
});
export const distinct = (ways: readonly Way[]): Way[] =>
  ways.filter(({ echo }, at) => ways.findIndex((one) => one.echo === echo) === at);
