import { coldOf, againstWatch, inHundredOf, watchedTimes } from '@loose-pulley/core/views/cycle';
import { COLD_ROOM_C, IN_THE_COLD } from '@loose-pulley/core/views/evidence';
import { ON_THE_BENCH } from '@loose-pulley/core/physics/cycle';
import { goesWell, type CycleShares } from '@loose-pulley/core/belts/cycling';
import { useRecommendation } from '../ticket/useRecommendation';
import { useDriveView } from '../ticket/useDriveView';
import { useTicket } from '../ticket/useTicket';
import { useCycle } from './useCycle';
import { NO_TWEAKS, useCycleQuestion, type Tweaks } from './useCycleQuestion';

const well = (shares: CycleShares): string => inHundredOf(goesWell(shares));
const WARM: Tweaks = { on: ON_THE_BENCH };
const COLD: Tweaks = { on: IN_THE_COLD };

/** Of a machine that fails in the cold, or whose owner speaks of it: how many like it go well there, and on the bench. */
export function InTheCold() {
  const { ticket } = useTicket();
  const cold = coldOf(ticket);
  return cold ? <Cold found={cold === 'found'} /> : null;
}
function Cold({ found }: { readonly found: boolean }) {
  const recommendation = useRecommendation(useDriveView());
  // As it is, is where it was found to fail: the other one is played beside it.
  const { question } = useCycleQuestion(recommendation, found ? WARM : COLD, false);
  const { shares, before, done } = useCycle(question);
  if (!shares || !before || !done) return <p className="min-h-12 text-soft">Running it in the cold…</p>;
  const [cold, warm] = found ? [before, shares] : [shares, before];
  return (
    <p className="min-h-12">
      {found ? 'It fails in the cold' : 'Its owner speaks of the cold'}: moving, {well(cold)} go well at {COLD_ROOM_C}{' '}
      °C, and {well(warm)} in the bench’s own warmth.
    </p>
  );
}

/** Times that were taken of a cycle, beside what machines like this take. */
export function AgainstWatch() {
  const { ticket } = useTicket();
  return watchedTimes(ticket).length > 0 ? <Watched /> : null;
}
function Watched() {
  const { ticket } = useTicket();
  const recommendation = useRecommendation(useDriveView());
  const { question } = useCycleQuestion(recommendation, NO_TWEAKS, false);
  const { shares, done } = useCycle(question);
  const said = shares && done ? againstWatch(watchedTimes(ticket), shares) : '';
  return said === '' ? null : <p>By the watch: {said}</p>;
}
