import { useState } from 'react';
import {
  clickEveryMm,
  clicksFrom,
  clicksOnWay,
  memberWords,
  PLAY_MM,
  playAtEndMm,
  type TrainFigures,
} from '@loose-pulley/core/physics/train';
import { clicksHeard } from '@loose-pulley/core/views/cycle';
import { trainView } from '@loose-pulley/core/views/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { NumberLine } from '../../parts/ui/NumberLine';

/** Directions, turns and times of every member. */
export function Figures() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { figures, belts } = trainView(ticket);
  const { travelMm, motorRpm } = ticket.train;
  const play = playAtEndMm(ticket.train, belts, PLAY_MM);
  if (!figures) return null;
  const say = (changes: { readonly travelMm: number | null; readonly motorRpm: number | null }, gesture: string) =>
    dispatch(recordEvent({ type: 'trainSaid', changes }, gesture));
  return (
    <section aria-label="As numbers" className="grid gap-3">
      <div className="flex flex-wrap gap-4">
        <NumberLine
          label="Travel, end to end"
          unit="mm"
          value={travelMm}
          max={1000}
          min={1}
          parse={parseNumber}
          disabled={!canWrite}
          onNumber={(value, gesture) => say({ travelMm: value, motorRpm }, gesture)}
        />
        <NumberLine
          label="Motor speed"
          unit="rpm"
          value={motorRpm}
          max={100_000}
          min={1}
          parse={parseNumber}
          disabled={!canWrite}
          onNumber={(value, gesture) => say({ travelMm, motorRpm: value }, gesture)}
        />
        {figures.opensInS !== undefined && (
          <p className="self-end pb-2">Opens in {figures.opensInS.toFixed(1)} s at that speed.</p>
        )}
      </div>
      {play !== undefined && (
        <p>
          Play at its end: about {play.toFixed(2)} mm, taking {PLAY_MM} mm for each mesh, which is assumed.
        </p>
      )}
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 font-semibold">Member</th>
            <th className="py-1 text-right font-semibold">turns a turn of the motor</th>
            <th className="py-1 text-right font-semibold">turns end to end</th>
            <th className="py-1 text-right font-semibold">way, motor clockwise</th>
          </tr>
        </thead>
        <tbody>
          {figures.turns.map(({ member, turns }, index) => (
            <tr key={member.id} className="border-b border-hair">
              <td className="py-1">
                {index + 1} {memberWords(member)}
              </td>
              <td className="py-1 text-right">{Math.abs(turns).toFixed(4)}</td>
              <td className="py-1 text-right">
                {figures.turnsEndToEnd === undefined ? '–' : (Math.abs(turns) * figures.turnsEndToEnd).toFixed(1)}
              </td>
              <td className="py-1 text-right">{turns >= 0 ? 'clockwise' : 'anticlockwise'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** A noise that comes so many times over a full travel names its member. */
export function Clicks() {
  const { ticket } = useTicket();
  const { figures } = trainView(ticket);
  const [clicks, setClicks] = useState<number | null>(null);
  if (!figures || ticket.train.members.length < 2) return null;
  const found = clicks === null ? [] : clicksFrom(figures, clicks);
  return (
    <section aria-label="A click" className="grid gap-2">
      <h3 className="text-lg">A click that comes again</h3>
      <NumberLine label="Clicks over the full travel" unit="times" value={clicks} max={10_000} onNumber={setClicks} />
      {clicks !== null && (
        <p>
          {figures.turnsEndToEnd === undefined
            ? 'Type the travel end to end first.'
            : found.length === 0
              ? 'No member turns so often in it.'
              : found
                  .map(({ member, turns }) => `${memberWords(member)}, which turns ${turns.toFixed(1)} times`)
                  .join('; or ')}
          {found.length > 0 && '. Look for its cracked or missing tooth.'}
        </p>
      )}
      <Heard figures={figures} />
    </section>
  );
}

/** Where clicks were heard, which member that is, and where each bad tooth would be. */
function Heard({ figures }: { readonly figures: TrainFigures }) {
  const { ticket } = useTicket();
  const { travelMm, members } = ticket.train;
  const heard = clicksHeard(ticket);
  const bad = members.flatMap((one) => {
    const everyMm = one.faults.length > 0 ? clickEveryMm(figures, one.id) : undefined;
    return everyMm === undefined ? [] : [`The ${memberWords(one)} would be heard every ${everyMm.toFixed(1)} mm`];
  });
  const places = heard.map((at) => at.toFixed(0)).join(', ');
  const fits = travelMm === null ? [] : clicksOnWay(figures, heard, travelMm);
  const [likeliest] = fits;
  return (
    <>
      {bad.length > 0 && <p>{bad.join('; ')}.</p>}
      {heard.length > 0 && (
        <p>
          Heard at {places} mm.{' '}
          {travelMm === null
            ? 'Type the travel end to end, and it is told which member that is.'
            : heard.length < 2
              ? 'One more place tells which member that is.'
              : likeliest
                ? `That fits ${fits.map(({ member, everyMm }) => `the ${memberWords(member)}, ${everyMm.toFixed(1)} mm a turn`).join('; or ')}. It would be heard at ${likeliest.atMm.map((at) => at.toFixed(0)).join(', ')} mm.`
                : 'No member of the train has a turn of that length.'}
        </p>
      )}
    </>
  );
}
