import type { DriveRecord } from '../stations';
import { remedyOf, type RemedyKind } from './outcome';
import type { Ticket } from './schema';

/** Remedies that do not last, as an owner reads it. */
const SAID: Readonly<Partial<Record<RemedyKind, string>>> = {
  cleaned: 'is your old one, only cleaned',
  shrunk: 'is your old one, shrunk by warmth',
  stretched: 'is a smaller one, stretched',
  band: 'is a household band, for a while only',
};

/** What is provisional about a drive with a remedy; undefined where it lasts. @example provisionalSaid({ role: '' }, 'shrunk') // 'The belt is your old one, shrunk by warmth.' */
export const provisionalSaid = ({ role }: Pick<DriveRecord, 'role'>, kind: RemedyKind): string | undefined =>
  SAID[kind] && `The ${role === '' ? '' : `${role} `}belt ${SAID[kind]}.`;

/**
 * What is provisional now, and until when: what was said of a belt that a later one has replaced has ended, and its day with
 * it where nothing else was provisional.
 *
 * For instance provisionalNow(ticket).dueOn: '2027-05-01'
 */
export function provisionalNow({ drives, handBack }: Pick<Ticket, 'drives' | 'handBack'>): {
  readonly text: string;
  readonly dueOn: string;
} {
  const ended = new Set(
    drives.flatMap((drive) => {
      const right = drive.tries.findLast(({ verdict }) => verdict === 'right');
      const runs = right && remedyOf(right);
      return runs === undefined
        ? []
        : (Object.keys(SAID) as RemedyKind[])
            .filter((kind) => kind !== runs)
            .flatMap((kind) => provisionalSaid(drive, kind) ?? []);
    }),
  );
  const lines = handBack.provisional.split('\n');
  const left = lines.filter((line) => !ended.has(line.trim()));
  const over = left.length < lines.length && left.every((line) => line.trim() === '');
  return { text: left.join('\n'), dueOn: over ? '' : handBack.dueOn };
}
