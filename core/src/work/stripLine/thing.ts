import { goesBack, type StepDraft } from '../strip';
import type { Clause } from './clause';
import type { Doubt } from './types';
import { FASTENERS, type NounKind } from './words';

/** More of one kind than any machine has: asked about once. */
const MANY = 60;

/** A thing of a line: its clause, what later clauses add, and what is in doubt. */
export interface Thing {
  clause: Clause;
  readonly sep: string;
  tells: string[];
  missing: number;
  leaveAlone: string;
  doubts: Doubt[];
  facts: StepDraft['facts'];
  /** It says itself what was done, so that it stands where it was said. */
  readonly ownFate: boolean;
}

const PARTLESS: ReadonlySet<NounKind> = new Set(['dirt', 'disc', 'object', 'power']);
const CERTAIN: ReadonlySet<NounKind> = new Set(['dirt', 'object']);

/** A thing by its clause, with what that leaves open. */
export function thingOf(clause: Clause, sep: string): Thing {
  const { kind, figures } = clause;
  const doubts = kind !== undefined && CERTAIN.has(kind) ? [] : [...clause.doubts];
  const counted = clause.count !== undefined || figures.ofMany !== null;
  let { fate } = clause;
  if (kind !== undefined && !PARTLESS.has(kind)) {
    if (
      !counted &&
      (clause.plural || clause.vague) &&
      !doubts.some(({ about }) => about === 'count') &&
      goesBack(fate ?? 'off') &&
      !((kind === 'wire' || kind === 'cable') && fate === 'movedAside')
    )
      doubts.push({ about: 'count', counts: [2, 3, 4] });
    if ((clause.count ?? 0) > MANY) doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    if (kind === 'cable' && (fate === 'off' || fate === undefined || fate === 'pulled'))
      doubts.push({ about: 'kind', kinds: ['connector', 'cable'] });
    if (figures.ofMany) doubts.push({ about: 'count', counts: [] });
    if (figures.turns !== '' && FASTENERS.has(kind) && (fate === undefined || fate === 'off')) fate = 'loosened';
    else if (figures.turns !== '' && fate === undefined && kind !== 'belt' && kind !== 'wire') fate = 'turned';
  }
  return {
    clause: { ...clause, fate },
    sep,
    tells: [],
    missing: 0,
    leaveAlone: '',
    doubts,
    facts: {},
    ownFate: clause.fate !== undefined,
  };
}
