import { useEffect, useRef, type KeyboardEvent } from 'react';
import { agentsFor, placeState } from '@loose-pulley/core/work/cleaning';
import {
  AGENT_NAMES,
  agentCaution,
  isLubricant,
  MATERIAL_NAMES,
  type Material,
} from '@loose-pulley/core/work/compatibility';
import type { TreatmentDeed } from '@loose-pulley/core/work/treatmentLine';
import type { Cleaner } from './useClean';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';

interface Option {
  readonly words: string;
  readonly run: () => void;
}

/** What may harm is asked about before it is done: what it is of, or whether a spot test came away clean. One key says it. */
export function AskFirst({ cleaner, onDone }: { readonly cleaner: Cleaner; readonly onDone: () => void }) {
  const { ticket, canWrite } = useTicket();
  const first = useRef<HTMLButtonElement>(null);
  const { waiting, table } = cleaner;
  const asked = waiting?.blocked.leave.ask ?? '';
  useEffect(() => {
    first.current?.focus();
  }, [waiting, asked]);
  if (!waiting) return null;
  const { blocked, deeds, line, materials } = waiting;
  const { place, agent, leave } = blocked;
  const done = (said: ReturnType<Cleaner['say']>): void => {
    if (said === 'done') onDone();
  };
  const named = { id: place.id, kind: place.kind, name: place.name };
  const spot = (swab: 'clean' | 'black'): TreatmentDeed => ({
    type: 'treat',
    place: named,
    told: { deed: 'spotTest', agent, way: 'swab', strokes: 0, amount: '', swabs: [swab], outcome: 'unknown' },
  });
  const instead = agentsFor(table, place, placeState(place, ticket.cleaning.treatments, null).standing).find(
    (one) => one.grade === 'fine' && one.agent !== agent && one.effect !== 'nothing' && !isLubricant(one.agent),
  );
  const swapped = (): readonly TreatmentDeed[] =>
    deeds.map((deed) =>
      instead && deed.type === 'treat' && deed.told.agent === agent
        ? { ...deed, told: { ...deed.told, agent: instead.agent } }
        : deed,
    );
  const options: Option[] =
    leave.ask === 'material'
      ? [
          ...leave.likely.slice(0, 6).map((material: Material) => ({
            words: MATERIAL_NAMES[material],
            run: () =>
              done(cleaner.say(deeds, line, { ...waiting, materials: { ...materials, [place.id]: material } })),
          })),
          { words: 'not known', run: () => done(cleaner.say(deeds, line, { ...waiting, materialAsked: true })) },
        ]
      : [
          ...(leave.ask === 'spotTest'
            ? [
                {
                  words: 'Spot test where it does not show: the swab came away clean',
                  run: () => done(cleaner.say([spot('clean'), ...deeds], line, waiting)),
                },
                {
                  words: 'Spot test: the swab took colour. Stop.',
                  run: () => done(cleaner.say([spot('black')], line, waiting)),
                },
              ]
            : []),
          ...(instead && !isLubricant(agent)
            ? [
                {
                  words: `Take ${AGENT_NAMES[instead.agent]} instead: fine, ${instead.effect === 'takes' ? 'takes it off' : 'loosens it'}`,
                  run: () => done(cleaner.say(swapped(), line, waiting)),
                },
              ]
            : []),
          { words: 'Leave it', run: cleaner.letBe },
        ];
  const onKey = (event: KeyboardEvent): void => {
    const chosen = /^[1-9]$/.test(event.key) ? options[Number(event.key) - 1] : undefined;
    if (event.key === 'Escape') cleaner.letBe();
    if (!chosen || !canWrite) return;
    event.preventDefault();
    event.stopPropagation();
    chosen.run();
  };
  const asks =
    leave.ask === 'material' ? `What is the ${place.name} of?` : `${AGENT_NAMES[agent]} on the ${place.name}`;
  return (
    <div role="group" aria-label={asks} className="grid gap-1.5 border-l-4 border-live pl-3">
      <p>
        <strong className="first-letter:uppercase inline-block">{asks}</strong> {leave.why}{' '}
        <span className="text-soft">One key says it.</span>
      </p>
      {agentCaution(agent) !== '' && <p className="text-[15px]">{agentCaution(agent)}</p>}
      <div className="flex flex-wrap gap-2">
        {options.map((one, index) => (
          <Button
            key={one.words}
            ref={index === 0 ? first : undefined}
            keyCap={String(index + 1)}
            disabled={!canWrite}
            onKeyDown={onKey}
            onClick={one.run}
          >
            {one.words}
          </Button>
        ))}
      </div>
    </div>
  );
}
