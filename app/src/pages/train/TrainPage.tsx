import { DRIVEN, isTurned, loaderOf } from '@loose-pulley/core/base/loaders';
import { useState } from 'react';

import { trainView } from '@loose-pulley/core/views/train';
import { CycleLink } from '../../parts/cycles/CycleLink';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { useWidth } from '../../parts/draw/useWidth';
import { beltSizes } from '../../parts/train/beltSizes';
import { RollersPanel } from '../../parts/train/RollersPanel';
import { TrainDrawing } from '../../parts/train/TrainDrawing';
import { useTicket } from '../../parts/ticket/useTicket';
import { WayPanel } from '../../parts/train/WayPanel';
import { Caution } from '../../parts/ui/Caution';
import { Fold } from '../../parts/ui/Fold';
import { Folded } from '../../parts/ui/Folded';
import { Clicks, Figures } from './Figures';
import { MemberPanel } from './MemberPanel';
import { ModePanel } from './ModePanel';
import { SquarePanel } from './SquarePanel';
import { TrainLine } from './TrainLine';
import { Turning } from './Turning';

/** What moves behind the belt, and machines without one: from the motor to what moves the disc. */
export function TrainPage() {
  const { ticket } = useTicket();
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [motorTurns, setMotorTurns] = useState(0);
  const { train, loader } = ticket;
  const { figures, problem, counted, countedMm } = trainView(ticket);
  const moved = DRIVEN[loaderOf(loader).driven].word;
  const chosen = train.members.find(({ id }) => id === chosenId);
  const { has } = loaderOf(loader);
  const most = Math.max(1, Math.ceil(figures?.turnsEndToEnd ?? 10));
  const number = (one: number): string => (one >= 10 ? one.toFixed(1) : one.toFixed(2));
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">The train, motor to {moved}</h2>
          {figures?.travelPerTurnMm !== undefined && (
            <p className="text-soft">
              s = {figures.travelPerTurnMm.toFixed(2)} mm a turn
              {figures.turnsEndToEnd !== undefined && ` · ${number(figures.turnsEndToEnd)} turns end to end`}
            </p>
          )}
        </div>
        <PluggedCaution ticket={ticket} />
        <p>
          <CycleLink />
        </p>
        {has.rollers && <RollersPanel />}
        <TrainLine />
        {problem && (
          <p role="alert" className="border-l-4 border-live pl-3 text-live">
            {problem.words}
          </p>
        )}
        <div ref={ref}>
          {train.members.length > 0 && (
            <TrainDrawing
              turns={figures?.turns ?? []}
              members={train.members}
              belts={beltSizes(ticket)}
              widthPx={widthPx}
              motorTurns={motorTurns}
              travelPerTurnMm={figures?.travelPerTurnMm}
              chosenId={chosenId}
              problemId={problem?.memberId}
              onChoose={(id) => setChosenId((now) => (now === id ? null : id))}
            />
          )}
        </div>
        {figures && train.members.length > 1 && (
          <Turning
            most={most}
            turns={motorTurns}
            onTurns={setMotorTurns}
            moved={moved}
            whole={figures.turnsEndToEnd !== undefined}
          />
        )}
        {counted && countedMm && (
          <p className={counted.agrees ? '' : 'border-l-4 border-live pl-3'}>
            {counted.agrees
              ? `Ten turns counted at Measure give ${countedMm.value.toFixed(2)} mm a turn: the train agrees.`
              : `Ten turns counted at Measure give ${countedMm.value.toFixed(2)} mm a turn, the train ${figures?.travelPerTurnMm?.toFixed(2) ?? ''}. The bench counts. What would explain it: ${counted.explained.join('; ')}.`}
          </p>
        )}
        {figures && <Figures />}
        {!isTurned(loaderOf(loader).driven) && (
          <Folded
            name="train: where on its way"
            title="Where on its way it binds, lifts or clicks"
            open={(train.places ?? []).length > 0}
          >
            <WayPanel />
          </Folded>
        )}
        {has.tray && <Square />}
        <Fold
          name="train: mode gear: where the mechanism believes it is"
          title="Mode gear: where the mechanism believes it is"
          open={train.mode.states.length > 0}
        >
          <ModePanel />
        </Fold>
        {!has.rollers && (
          <Fold name="train: rollers and link" title="Rollers and link" open={train.rollers.list.length > 0}>
            <RollersPanel />
          </Fold>
        )}
      </div>
      <aside aria-label="Member" className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        {chosen ? (
          <MemberPanel key={chosen.id} member={chosen} onClose={() => setChosenId(null)} />
        ) : (
          <p className="text-soft">
            Choose a member in the drawing: its teeth, its mark, what one tooth either way does, and a replacement.
          </p>
        )}
        <Clicks />
        <Caution>
          Turn by hand only unplugged; never push the {moved} to turn the train. Fingers out of gears; clips fly.
        </Caution>
      </aside>
    </div>
  );
}

function Square() {
  const { ticket } = useTicket();
  return (
    <Fold
      title="How it sits: square, seated"
      open={ticket.train.square.steps.length > 0 || ticket.train.square.leftMm !== null}
    >
      <SquarePanel />
    </Fold>
  );
}
