import { useId, useState } from 'react';
import {
  agentsFor,
  lubricantFor,
  PLACE_KNOWN,
  type CleanDeed,
  type LubricationStep,
  dropsFor,
  FILM_MM,
  filmOnRodMl,
} from '@loose-pulley/core/work/cleaning';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import { isLubricant, AGENT_NAMES, type Agent } from '@loose-pulley/core/work/compatibility';
import { counted } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import type { Cleaner } from '../../parts/clean/useClean';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { LubricantRule } from './LubricantRule';
import { Check } from '../../parts/ui/Check';
import { Input } from '../../parts/ui/Input';

const STEP_WORDS: Readonly<Record<Exclude<LubricationStep, 'done'>, string>> = {
  oldGreaseOff: 'Old grease off first',
  lubricate: 'Now the lubricant',
  workIn: 'Now work it in',
  wipeExcess: 'Wipe the excess: the belt is within reach',
};

/** A point that runs: old grease off, the lubricant by this bench's school, worked in, and wiped where the belt is near. */
export function Lubrication({ view, cleaner }: { readonly view: PlaceView; readonly cleaner: Cleaner }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const school = useAppSelector(({ settings }) => settings.lubricant);
  const { place, lubrication, suggested, beltInReach } = view;
  const point = PLACE_KNOWN[place.kind].lubrication;
  if (!point || !lubrication) return null;
  const wanted = lubricantFor(place, school);
  const kinds: readonly Agent[] = wanted === 'oil' ? ['fineOil'] : ['lithiumGrease', 'siliconeGrease'];
  const agents = agentsFor(cleaner.table, place, ['dry']).filter(
    ({ agent }) => isLubricant(agent) && kinds.includes(agent),
  );
  const done = (deed: CleanDeed, agent: Agent | null, amount = ''): void => {
    cleaner.say([
      {
        type: 'treat',
        place: { id: place.id, kind: place.kind, name: place.name },
        told: { deed, agent, way: '', strokes: 0, amount, swabs: [], outcome: 'unknown' },
      },
    ]);
  };
  return (
    <div className="grid gap-2 border-t border-hair pt-2">
      <h4 className="text-soft">Lubrication</h4>
      {lubrication !== 'done' && <p className="font-semibold">{STEP_WORDS[lubrication]}.</p>}
      {lubrication === 'done' && <p>Lubricated{beltInReach ? ', worked in and wiped' : ' and worked in'}.</p>}
      {lubrication === 'oldGreaseOff' && (
        <Button disabled={!canWrite} onClick={() => done('oldGreaseOff', null)}>
          The old grease is off
        </Button>
      )}
      {(lubrication === 'lubricate' || lubrication === 'oldGreaseOff') &&
        (wanted === null ? (
          <LubricantRule />
        ) : (
          <div className="flex flex-wrap gap-2">
            {agents.map(({ agent, grade, happens }) => (
              <Button key={agent} disabled={!canWrite} onClick={() => done('lubricate', agent, point.amount)}>
                <span className="inline-block first-letter:uppercase">{AGENT_NAMES[agent]}</span>, {point.amount}
                {grade !== 'fine' && happens !== '' && <span className="block text-sm text-soft">{happens}</span>}
              </Button>
            ))}
          </div>
        ))}
      {place.kind === 'rod' && lubrication !== 'done' && <HowMuch />}
      {lubrication === 'workIn' && (
        <Button disabled={!canWrite} onClick={() => done('workedIn', null)}>
          It is worked in: {point.workedIn}
        </Button>
      )}
      {lubrication === 'wipeExcess' && (
        <Button disabled={!canWrite} onClick={() => done('excessWiped', null)}>
          The excess is wiped
        </Button>
      )}
      {!suggested && (
        <Check
          checked={beltInReach}
          disabled={!canWrite}
          onCheck={(checked) => dispatch(recordEvent({ type: 'placePut', place: { ...place, nearBelt: checked } }))}
        >
          A belt is within reach of it
        </Check>
      )}
    </div>
  );
}

/** How much a film on a rod is, by plain geometry: nobody sees a twentieth of a millimetre. */
function HowMuch() {
  const id = useId();
  const [typed, setTyped] = useState('');
  const [, diameter, length] = /^\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(?:mm)?\s*$/.exec(typed) ?? [];
  const mm = (text: string): number => Number(text.replace(',', '.'));
  const ml = diameter && length ? filmOnRodMl(mm(diameter), mm(length)) : undefined;
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        How much? A rod’s diameter × length, mm
      </label>
      <Input
        id={id}
        className="w-40"
        autoComplete="off"
        placeholder="6x120"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {typed.trim() !== '' && (
        <p className="text-sm">
          {ml === undefined
            ? `Read “${typed.trim()}”. Type diameter × length, such as 6x120.`
            : `A film of ${FILM_MM} mm is ${ml.toFixed(2)} ml: ${counted(dropsFor(ml), 'drop')}, on each rod.`}
        </p>
      )}
    </div>
  );
}
