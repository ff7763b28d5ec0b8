import { capital } from '../../base/units';
import { readLine, type Deed } from '../../work/stripLine';
import { readTreatment, type ReadAgainst } from '../../work/treatmentLine';
import { blankStep } from '../../work/strip';
import { putBackTold } from './putBack';
import type { SaidWay } from './types';
import { isTreatment, whose } from './whose';

/** What is made of no clause at all. */
const SILENT = { ways: [{ echo: '', does: [] }], unread: false } as const;

/** A line whose clauses are each surely of Strip or of Clean, done at both; what says nothing by itself goes on with the one before. */
export function inClauses(typed: string, against: ReadAgainst): SaidWay | undefined {
  const texts: Record<'strip' | 'clean', string[]> = { strip: [], clean: [] };
  const notes: Deed[] = [];
  let to: 'strip' | 'clean' = 'strip';
  for (const piece of typed.split(/\s*[,;]\s*|\s+(?:and then|and|then)\s+/i)) {
    const is = whose(piece, readLine(piece), readTreatment(piece, against));
    if (putBackTold(piece)) {
      notes.push({ type: 'step', step: blankStep('note', piece, { what: piece, fate: 'noted' }) });
      continue;
    }
    if (is === 'both') return undefined;
    to = is === 'neither' ? to : is;
    texts[to].push(piece);
  }
  const back = notes.map((note) => (note.type === 'step' ? note.step.what : '')).join(', ');
  // One clause, or clauses of one kind alone, are no line of several.
  if ([texts.strip, texts.clean, notes].filter(({ length }) => length > 0).length < 2) return undefined;
  const strip = texts.strip.length > 0 ? readLine(texts.strip.join(', ')) : SILENT;
  const clean = texts.clean.length > 0 ? readTreatment(texts.clean.join(', '), against) : SILENT;
  const [step] = strip?.ways ?? [];
  const [treated] = clean?.ways ?? [];
  const sure = (read: { readonly ways: readonly unknown[]; readonly unread: boolean } | undefined): boolean =>
    read?.ways.length === 1 && !read.unread;
  if (!step || !treated || !sure(strip) || !sure(clean) || !treated.does.every(isTreatment)) return undefined;
  const kept = back === '' ? '' : `${capital(back)}: kept as done.`;
  return {
    echo: [step.echo, treated.echo, kept].filter((words) => words !== '').join(' '),
    strip: [...step.does, ...notes],
    clean: treated.does,
  };
}
