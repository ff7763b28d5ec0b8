import { useMemo } from 'react';
import { isTurned, loaderOf } from '@loose-pulley/core/base/loaders';
import { changesFor, type CycleKnown, type Played } from '@loose-pulley/core/belts/cycling';
import type { CycleConditions } from '@loose-pulley/core/physics/cycle';
import { cycleKnown } from '@loose-pulley/core/views/cycle';
import { complaintConditions } from '@loose-pulley/core/views/evidence';
import { questionOf, triedBelt, type Recommendation } from '@loose-pulley/core/views/drive';
import { useUnit } from '../../state/store/hooks';
import type { CycleQuestion } from '../../workers/cycle';
import { useDriveView, useDriveViews } from '../ticket/useDriveView';
import { useTicket } from '../ticket/useTicket';

/** What is changed about the machine for a look; nothing of it is kept on the ticket. */
export interface Tweaks {
  readonly lengthMm?: number;
  readonly pullTimes?: number;
  readonly cleaned?: boolean;
  readonly on?: Partial<CycleConditions>;
}
export const NO_TWEAKS: Tweaks = {};

/**
 * What is asked of the drive on screen: with the belt that is on, else the one to fit, in the conditions of the complaint.
 *
 * @param ranked single changes are tried too, while nothing is dragged
 */
export function useCycleQuestion(
  recommendation: Pick<Recommendation, 'best' | 'first'>,
  tweaks: Tweaks,
  ranked: boolean,
): {
  readonly question: CycleQuestion | null;
  readonly belt: Played['belt'] | undefined;
  readonly base: CycleConditions;
  readonly known: CycleKnown;
} {
  const { ticket } = useTicket();
  const view = useDriveView();
  const unit = useUnit();
  const asked = questionOf(view);
  const best = (recommendation.best ?? recommendation.first)?.catalogueBelt;
  const belt = useMemo(() => (view.fitted ? triedBelt(view.fitted) : best), [view.fitted, best]);
  const base = useMemo(() => complaintConditions(ticket), [ticket]);
  const views = useDriveViews();
  const known = useMemo(() => cycleKnown(ticket, view, views), [ticket, view, views]);
  const { rollers } = loaderOf(ticket.loader).has;
  const turned = isTurned(view.driven);
  const question = useMemo((): CycleQuestion | null => {
    if (!asked || !belt) return null;
    const { lengthMm, pullTimes, cleaned, on } = tweaks;
    const changed = Object.keys(tweaks).length > 0;
    const played: Played = {
      belt: lengthMm === undefined ? belt : { ...belt, innerLengthMm: lengthMm },
      on: { ...base, ...on },
      ...(pullTimes !== undefined && { pullTimes }),
      ...(cleaned !== undefined && { cleaned }),
    };
    const { situation, tries, belts, seed } = asked;
    const switchBad = known.endSwitch !== undefined && known.endSwitch !== 'clean';
    const clean = situation.motorSurface === 'clean' && situation.drivenSurface === 'clean';
    const changes =
      ranked && !changed ? changesFor(belt, base, belts, { clean, rollers, turned, switchBad }, unit) : [];
    return { situation, tries, known, played, before: changed ? { belt, on: base } : null, changes, seed };
  }, [asked, belt, base, known, tweaks, ranked, rollers, turned, unit]);
  return { question, belt, base, known };
}
