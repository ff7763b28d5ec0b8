import { findingsTold } from '../../record/findings';
import { blankStep } from '../../work/strip';
import type { Said } from './types';

/** What holds other words is more than a place on the way: then both grammars read it, and ask. */
const MORE = /[,;]|\b(?:and|then|off|out|removed|screws?)\b/i;

/** A line that only says where on its way something binds: it is kept as that, and takes nothing off. */
export function onWayOf(typed: string): Pick<Said, 'ways' | 'asks' | 'unread'> | undefined {
  const told = findingsTold(typed);
  if (MORE.test(typed) || told.length !== 1 || told[0]?.kind !== 'trayBinds') return undefined;
  const step = blankStep('note', typed, { what: typed, fate: 'noted' });
  return {
    ways: [{ echo: `${typed.trim()}: kept as found, for its cycle too.`, strip: [{ type: 'step', step }], clean: [] }],
    asks: '',
    unread: false,
  };
}
