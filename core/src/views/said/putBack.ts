import { capital } from '../../base/units';
import { findingsTold, rowOf } from '../../record/findings';
import { blankStep } from '../../work/strip';
import type { Deed, ReadLine } from '../../work/stripLine';
import type { Said } from './types';

/** Most lines have none of these words, and are told so sooner. */
const MAY_BE = /back|again|home|seat|hook|time|mesh|bent|straight|line|align|teeth|tooth|fitted|engag|square/i;

/** Whether words say that something was put back or put right. @example putBackTold('link hooked on again') // true */
export const putBackTold = (piece: string): boolean =>
  MAY_BE.test(piece) && findingsTold(piece).some(({ kind }) => rowOf(kind).nature === 'deed');

const isNoted = (deed: Deed): boolean => deed.type === 'step' && deed.step.fate === 'noted';
/** What also says that something came away. */
const CAME_AWAY = /\b(?:off|out|removed|taken|lifted|unplugged|unscrewed)\b/i;

/** What a line says was put back or put right: kept as that, with a number; where it may have come off too, it is asked. */
export function putBackOf(typed: string, strip: ReadLine): Pick<Said, 'ways' | 'asks' | 'unread'> | undefined {
  if (!MAY_BE.test(typed)) return undefined;
  const told = findingsTold(typed).filter(({ kind }) => rowOf(kind).nature === 'deed');
  if (told.length === 0) return undefined;
  const kept = strip.ways.find(({ does }) => does.length > 0 && does.every(isNoted))?.does ?? [
    { type: 'step', step: blankStep('note', typed, { what: typed, fate: 'noted' }) } as const,
  ];
  const echo = `${told.map(({ kind }) => `${capital(rowOf(kind).name)}.`).join(' ')} Kept as done.`;
  const away = strip.ways.length === 1 && CAME_AWAY.test(typed) ? strip.ways.filter(({ does }) => does !== kept) : [];
  return {
    ways: [
      { echo, strip: kept, clean: [] },
      ...away.map(({ echo: off, does }) => ({ echo: off, strip: does, clean: [] })),
    ],
    asks: away.length > 0 ? 'Put back, or taken off?' : '',
    unread: false,
  };
}
