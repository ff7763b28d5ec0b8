import type { Loader } from '../../base/loaders';
import { readOwner } from './read';

/** The first line of a repair: which machine, and what it does wrong. */
export interface FirstLine {
  readonly machine: string;
  readonly complaint: string;
}

const MACHINE_LETTERS = 120;
const COMPLAINT_LETTERS = 500;

/** What only leads from a machine to what it does: “the tray of it”, “which”, “and its drawer”. */
const LEADS =
  /(?:^|[\s,])(?:with|that|which|whose|and|but|it|its|the|a|this|tray|drawer|disc|disk|door|lid|mechanism|loader|only|just|always|sometimes|often|now|who|he|she|they|has|is|will|does|when|if|keeps|makes|motor|slot|:|-|–)$/i;

/**
 * Machine and complaint out of one line. Before the first comma stands the machine, where nothing is wrong there already;
 * without a comma it is what stands before the words of what is wrong.
 *
 * @example readFirst('booth deck opens only when helped', 'tray') // { machine: 'booth deck', complaint: 'opens only when helped' }
 */
export function readFirst(line: string, loader: Loader): FirstLine {
  const text = line.trim();
  const { begins } = readOwner(text, loader);
  const comma = /[,;]\s|[,;]$/.exec(text)?.index ?? text.length;
  if (comma <= begins) return cut(text.slice(0, comma), text.slice(comma + 1));
  let machine = text.slice(0, begins).trimEnd();
  while (LEADS.test(machine)) machine = machine.replace(LEADS, '').trimEnd();
  return cut(machine, text.slice(machine.length));
}

const cut = (machine: string, complaint: string): FirstLine => ({
  machine: machine.trim().slice(0, MACHINE_LETTERS),
  complaint: complaint
    .replace(/^[\s,;:–-]+/, '')
    .trim()
    .slice(0, COMPLAINT_LETTERS),
});
