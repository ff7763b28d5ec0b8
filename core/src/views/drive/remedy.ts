import { isGone } from '../../physics/drive';
import { beltLabel, shapeOf } from '../../base/shapes';
import type { LengthUnit } from '../../base/units';
import { REMEDIES, type RemedyId } from '../../belts/probability';
import type { CatalogueBelt } from '../../belts/catalogue';
import type { Try } from '../../record/stations';
import { provisionalSaid, type RemedyKind } from '../../record/ticket';
import type { Recommendation } from './recommendation';
import type { DriveView } from './view';

/** A try before it has its id. */
export type NewTry = Omit<Try, 'id'>;

/** Where a belt lies in the drawer. */
interface Lying {
  readonly id: string;
  readonly place: string;
  readonly label: string;
}

/**
 * A belt on sale as a try: out of the drawer where it lies there, so that the drawer follows.
 *
 * For instance soldTry(best, undefined).verdict: 'untried'
 */
export function soldTry(
  { shape, thicknessMm, widthMm, innerLengthMm, name }: CatalogueBelt,
  lying: Lying | undefined,
): NewTry {
  const belt = { shape, thicknessMm, widthMm: widthMm ?? null, innerLengthMm, measuredMm: null };
  const untried = { because: 'unknown', verdict: 'untried', note: '' } as const;
  return lying
    ? {
        ...belt,
        ...untried,
        itemId: lying.id,
        source: `the drawer${lying.place ? `, ${lying.place}` : ''}`,
        label: lying.label,
      }
    : { ...belt, ...untried, source: name, label: '' };
}

/**
 * The old belt put on again, as a try, by what it measures now.
 *
 * @returns undefined where it or its section is not measured, and where it is past being put on
 * @example oldBeltTry(view, 'the old belt, cleaned')?.innerLengthMm // 128
 */
export function oldBeltTry({ drive, facts }: Pick<DriveView, 'drive' | 'facts'>, source: string): NewTry | undefined {
  const { section, width } = facts;
  const oldBelt = facts.warmedBelt ?? facts.oldBelt;
  if (!oldBelt || !section || isGone(drive.oldState)) return undefined;
  return {
    shape: drive.oldShape,
    thicknessMm: section.value,
    widthMm: shapeOf(drive.oldShape).hasWidth ? (width?.value ?? null) : null,
    innerLengthMm: oldBelt.value,
    measuredMm: null,
    source,
    label: '',
    because: 'unknown',
    verdict: 'untried',
    note: '',
  };
}

/**
 * The belt that a remedy puts on the pulleys, as a try: the old one kept or warmed, a smaller one stretched.
 *
 * @returns undefined for a band, which nobody can measure, and where the belt is not known yet
 * For instance remedyTry(view, recommendation, 'stretch')?.innerLengthMm: 108
 */
export function remedyTry(view: DriveView, { answer }: Recommendation, id: RemedyId): NewTry | undefined {
  const { drive } = view;
  const shared = {
    source: REMEDIES[id].name,
    label: '',
    because: drive.ownerWish === 'keep' ? ('ownersWish' as const) : ('unknown' as const),
    verdict: 'untried' as const,
    note: '',
  };
  if (id === 'band') return undefined;
  if (id === 'stretch') {
    const { belt } = answer?.stretched ?? {};
    return (
      belt && {
        ...shared,
        shape: belt.shape,
        thicknessMm: belt.thicknessMm,
        widthMm: belt.widthMm ?? null,
        measuredMm: null,
        innerLengthMm: belt.innerLengthMm,
        source: `${beltLabel(belt, 'mm').size}, stretched`,
      }
    );
  }
  const old = oldBeltTry(view, REMEDIES[id].name);
  return old && { ...old, because: shared.because };
}

/**
 * The belt that a remedy is about, by its size in hand.
 *
 * For instance remedyBeltWords(view, recommendation, 'keep', 'mm'): 'the old one, 1.2 × 128.0'
 */
export function remedyBeltWords(
  view: DriveView,
  recommendation: Recommendation,
  id: RemedyId,
  unit: LengthUnit,
): string {
  const tried = remedyTry(view, recommendation, id);
  if (!tried) return '';
  const { size } = beltLabel(tried, unit);
  if (id !== 'stretch') return `the old one, ${size}`;
  return recommendation.answer?.stretched?.inHand ? `the one that was too tight, ${size}` : size;
}

/** How a remedy counts among those that the log tells apart. */
const KIND_OF: Readonly<Record<RemedyId, RemedyKind>> = {
  keep: 'cleaned',
  warm: 'shrunk',
  stretch: 'stretched',
  band: 'band',
};

/**
 * What is provisional with one thing more: what stands there already is kept.
 *
 * @example withProvisional('Roller worn.', { role: '' }, 'warm') // 'Roller worn.\nThe belt is your old one, shrunk by warmth.'
 */
export function withProvisional(standing: string, drive: Pick<DriveView['drive'], 'role'>, id: RemedyId): string {
  const line = provisionalSaid(drive, KIND_OF[id]) ?? '';
  const lines = standing.split('\n').filter((one) => one.trim() !== '');
  return lines.includes(line) ? standing : [...lines, line].join('\n');
}
