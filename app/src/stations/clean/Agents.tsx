import {
  AGENT_NAMES,
  GRADE_NAMES,
  isLubricant,
  type Agent,
  type AgentChoice,
} from '@loose-pulley/core/work/compatibility';
import { agentsFor, type CleanDeed } from '@loose-pulley/core/work/cleaning';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import type { Cleaner } from '../../parts/clean/useClean';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';

const SHOWN = 3;
const STROKES = 20;

/** What a press on an agent does at a place. */
function deedOf(
  agent: Agent,
  kind: PlaceView['place']['kind'],
): { readonly deed: CleanDeed; readonly strokes: number } {
  if (agent === 'contactCleaner' && (kind === 'switch' || kind === 'pot')) return { deed: 'strokes', strokes: STROKES };
  return { deed: agent === 'soapyWater' ? 'wash' : 'wipe', strokes: 0 };
}

/** What to clean with here, the gentlest that does it first; what would harm comes last, with its reason. */
export function Agents({ view, cleaner }: { readonly view: PlaceView; readonly cleaner: Cleaner }) {
  const { canWrite } = useTicket();
  const { place, state } = view;
  const dirts = state.standing.filter((dirt) => dirt !== 'dry');
  const agents = agentsFor(cleaner.table, place, dirts).filter(({ agent }) => !isLubricant(agent));
  const one = ({ agent, grade, effect, happens }: AgentChoice) => (
    <li key={agent} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 border-b border-hair py-1">
      <span>
        <strong className="inline-block first-letter:uppercase">{AGENT_NAMES[agent]}</strong>{' '}
        <span className={grade === 'no' ? 'text-[15px] text-live' : 'text-[15px] text-soft'}>
          {grade === 'no' ? '✕ ' : ''}
          {[
            grade === 'fine' ? '' : GRADE_NAMES[grade],
            happens,
            dirts.length > 0 && effect === 'loosens' ? 'only loosens it' : '',
          ]
            .filter(Boolean)
            .join('; ')}
        </span>
      </span>
      <Button
        disabled={!canWrite}
        aria-label={`Use ${AGENT_NAMES[agent]} on the ${place.name}`}
        onClick={() =>
          cleaner.say([
            {
              type: 'treat',
              place: { id: place.id, kind: place.kind, name: place.name },
              told: { ...deedOf(agent, place.kind), agent, way: '', amount: '', swabs: [], outcome: 'unknown' },
            },
          ])
        }
      >
        Use
      </Button>
    </li>
  );
  return (
    <div>
      <h4 className="text-soft">
        {dirts.length > 0 ? 'What takes it off, the gentlest first' : 'What to wipe it with'}
      </h4>
      <ul>{agents.slice(0, SHOWN).map(one)}</ul>
      {agents.length > SHOWN && (
        <Fold title={`${agents.length - SHOWN} more`}>
          <ul>{agents.slice(SHOWN).map(one)}</ul>
        </Fold>
      )}
    </div>
  );
}
