import { accountOf, type Deed, type ReadLine } from '../../work/stripLine';
import type { TreatmentDeed, TreatmentRead } from '../../work/treatmentLine';

/** Of what a line speaks: of taking apart, of cleaning, of both, or of neither. */
export type Whose = 'strip' | 'clean' | 'both' | 'neither';

/** A deed of Strip that only keeps words: a note, a thing that is only named, dirt that was seen. */
const onlyKept = (deed: Deed): boolean =>
  (deed.type === 'step' && (deed.step.kind === 'note' || deed.step.fate === 'noted')) ||
  (deed.type === 'found' && deed.kind === 'dirt');

/** Whether a deed of Clean does something to a place, with something or by some way. */
export const isTreatment = (deed: TreatmentDeed): boolean =>
  deed.type === 'levers' ||
  deed.type === 'warm' ||
  deed.type === 'swab' ||
  deed.type === 'slip' ||
  (deed.type === 'treat' && deed.told.deed !== 'other');

/** What only Strip has words for: a screwdriver, a deed of taking apart. */
function speaksOfStrip(line: string, read: ReadLine | undefined): boolean {
  const ways = read?.ways ?? [];
  if (read?.unread !== false || ways.every(({ does }) => does.every(onlyKept))) return false;
  if (ways.some(({ does }) => does.some(({ type }) => type !== 'step' && type !== 'found' && type !== 'same')))
    return true;
  const roles = new Set(accountOf(line).map(({ role }) => role));
  return roles.has('done') || roles.has('driver') || roles.has('power');
}

/** Of what a line speaks, by what either reader made of it. */
export function whose(line: string, strip: ReadLine | undefined, clean: TreatmentRead | undefined): Whose {
  // That a belt slips or holds under the fingers is said of a try, and takes nothing off.
  if (clean?.ways.length === 1 && clean.ways[0]?.does.every(({ type }) => type === 'slip')) return 'clean';
  const cleans = (clean?.ways ?? []).some(({ does }) => does.some(isTreatment));
  const strips = speaksOfStrip(line, strip);
  if (cleans && strips) return 'both';
  return cleans ? 'clean' : strips ? 'strip' : 'neither';
}
