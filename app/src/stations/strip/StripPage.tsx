import { ButtonLink } from '../../parts/ui/ButtonLink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { countsOf, type StepKind } from '@loose-pulley/core/work/strip';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import type { LongListHandle } from '../../parts/ui/LongList';
import { Caution } from '../../parts/ui/Caution';
import { LeftOver } from '../../parts/strip/LeftOver';
import { FoundParts } from '../../parts/strip/FoundParts';
import { Guide } from './Guide';
import { Changes } from './Changes';
import { Parking } from './Parking';
import { StackDrawing } from './StackDrawing';
import { StepList } from '../../parts/strip/StepList';
import { StripLine } from './StripLine';

const KIND_COUNTED: Readonly<Partial<Record<StepKind, readonly [one: string, several: string]>>> = {
  nuts: ['nut', 'nuts'],
  clips: ['clip', 'clips'],
  springs: ['spring', 'springs'],
  gear: ['gear', 'gears'],
  wire: ['wire', 'wires'],
  belt: ['belt', 'belts'],
};

/** Taking it apart: one typed line a step, the stack that draws itself, and every temporary change. */
export function StripPage() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [search] = useSearchParams();
  const asked = search.get('step');
  const [picked, setPicked] = useState<{ readonly asked: string | null; readonly stepId: string | null }>();
  const [before, setBefore] = useState<string | null>(null);
  const { strip } = ticket;
  const beforeStep = strip.steps.find(({ id }) => id === before);
  const counts = useMemo(() => countsOf(strip), [strip]);
  const list = useRef<LongListHandle>(null);
  const choose = useCallback((stepId: string | null): void => setPicked({ asked, stepId }), [asked]);
  const go = useCallback(
    (stepId: string): void => {
      choose(stepId);
      list.current?.reveal(stepId);
    },
    [choose],
  );
  const labelled = asked === null ? undefined : strip.steps.find(({ number }) => String(number) === asked);
  const labelledId = labelled?.id;
  useEffect(() => {
    if (labelledId) list.current?.reveal(labelledId);
  }, [labelledId]);
  // A label that is scanned chooses its step until another is picked.
  const chosen = picked?.asked === asked ? picked.stepId : (labelledId ?? null);
  const empty = strip.steps.length === 0;
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_320px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">Strip</h2>
          <p className="text-soft">
            {strip.opening > 1 && `opening ${strip.opening} · `}
            {counts.out} {counts.out === 1 ? 'screw' : 'screws'} out
            {counts.shouldBe > counts.out &&
              ` of ${counts.shouldBe}, ${counts.shouldBe - counts.out} missing on arrival`}{' '}
            · {counts.plugsOff} {counts.plugsOff === 1 ? 'plug' : 'plugs'} off
            {counts.others.map(([kind, count]) => ` · ${count} ${KIND_COUNTED[kind]?.[count === 1 ? 0 : 1] ?? kind}`)}
          </p>
        </div>
        {asked !== null && !labelled && (
          <p role="alert" className="border-l-4 border-live pl-3">
            There is no number {asked} on this strip. Its step was removed, or the label is of another ticket.
          </p>
        )}
        <LeftOver />
        <PluggedCaution ticket={ticket} />
        <Caution>
          Unplug before opening; parts stay charged. Laser light is dangerous with the lid off. Clips fly: shield your
          eyes.
        </Caution>
        <StripLine before={beforeStep} onPlaced={() => setBefore(null)} />
        {empty ? (
          <Guide />
        ) : (
          <div className="grid grid-cols-1 gap-6 xl:grid-cols-[minmax(0,320px)_minmax(0,1fr)]">
            <StackDrawing steps={strip.steps} onChoose={go} />
            <StepList ref={list} chosen={chosen} onChoose={choose} onBefore={setBefore} />
          </div>
        )}
      </div>
      <aside
        aria-label="Changes and keeping"
        className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        <Changes />
        <FoundParts />
        {!empty && (
          <section aria-label="Print and share" className="grid gap-2">
            <ButtonLink to={`/t/${ticket.id}/labels`}>Labels for the bags, to print</ButtonLink>
            <Button disabled={!canWrite} onClick={() => dispatch(recordEvent({ type: 'openedAgain' }))}>
              Open the machine again
            </Button>
          </section>
        )}
        {!empty && <Parking key={strip.park?.since ?? 'none'} />}
        {!empty && <Guide />}
        <StationFoot station="strip" note />
      </aside>
    </div>
  );
}
