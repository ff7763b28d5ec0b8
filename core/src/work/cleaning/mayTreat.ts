import {
  AGENT_NAMES,
  chooseAgents,
  gradeOf,
  isLubricant,
  MATERIAL_NAMES,
  whatHappens,
  type Agent,
  type AgentChoice,
  type Compatibility,
  type Dirt,
  type KnownMaterial,
  type Material,
} from '../compatibility';
import { capital, listed } from '../../base/units';
import { PLACE_KNOWN } from './kinds';
import type { Place } from './schema';
import type { PlaceState } from './state';

/** Whether an agent may go on a place now, and what it takes until it may. */
export type Leave =
  | { readonly may: true; readonly caution: string }
  /** What it is of has to be said first: some of what it may be would be harmed. */
  | { readonly may: false; readonly ask: 'material'; readonly why: string; readonly likely: readonly Material[] }
  /** Harmful, until a spot test at this place came away clean. */
  | { readonly may: false; readonly ask: 'spotTest'; readonly why: string }
  /** Not at all. */
  | { readonly may: false; readonly ask: null; readonly why: string };

const yes = (caution = ''): Leave => ({ may: true, caution });

/**
 * Whether an agent may go on a place: by its material, by the bench’s table, and by what a spot test said there.
 *
 * @param materialAsked whether it was asked already: unknown then counts as unknown, and asks for a spot test
 * @example mayTreat(COMPATIBILITY, 'acetone', { ...place, material: 'abs' }, placeState(place, [], null), true).may // false
 */
export function mayTreat(
  table: Compatibility,
  agent: Agent,
  place: Pick<Place, 'kind' | 'name' | 'material'>,
  { spots }: Pick<PlaceState, 'spots'>,
  materialAsked = false,
): Leave {
  const known = PLACE_KNOWN[place.kind];
  const name = AGENT_NAMES[agent];
  if (isLubricant(agent) && known.keepFreeOfOil)
    return {
      may: false,
      ask: null,
      why: `Nothing that lubricates goes on the ${place.name}. What got there is taken off: say “${place.name} oily”.`,
    };
  if (spots[agent] === 'black')
    return {
      may: false,
      ask: null,
      why: `The spot test of ${name} on the ${place.name} took colour: stop. Take another agent.`,
    };
  const spotted = spots[agent] === 'clean';
  if (place.material === 'unknown') {
    const harmed = known.materials.filter(
      (one): one is KnownMaterial => one !== 'unknown' && gradeOf(table, agent, one) === 'no',
    );
    const unnamed = known.materials.includes('unknown') && agent !== 'dry' && agent !== 'water';
    if (spotted || (harmed.length === 0 && !unnamed)) return yes(spotted ? '' : '');
    if (harmed.length === 0) return yes(`What the ${place.name} is of is not known: try it where it does not show.`);
    const why = `${capital(name)} harms ${listed(
      harmed.map((one) => MATERIAL_NAMES[one]),
      'or',
    )}, of which the ${place.name} may be.`;
    return materialAsked
      ? { may: false, ask: 'spotTest', why: `${why} Try it where it does not show, and look at the swab.` }
      : { may: false, ask: 'material', why, likely: known.materials.filter((one) => one !== 'unknown') };
  }
  const material = MATERIAL_NAMES[place.material];
  const happens = whatHappens(table, agent, place.material);
  const effect = happens === '' ? '' : `: ${happens}`;
  switch (gradeOf(table, agent, place.material)) {
    case 'fine':
      return yes();
    case 'brief':
      return yes(`A brief wipe only, ${name} on ${material}${effect}.`);
    case 'unknown':
      return yes(spotted ? '' : `${capital(name)} on ${material} is unknown${effect}. Try it where it does not show.`);
    case 'no':
      return spotted
        ? yes(`The spot test came away clean; even so, wipe briefly and never soak: ${name} on ${material}${effect}.`)
        : { may: false, ask: 'spotTest', why: `${capital(name)} on ${material}${effect}.` };
  }
}

/**
 * The agents for a place, in the order in which to try them. Of a place without a material they are graded by what it
 * may be of: fine only where that is fine with all of it.
 *
 * @example agentsFor(COMPATIBILITY, { kind: 'drivenPulley', material: 'unknown' }, ['oily'])[0]?.agent // 'soapyWater'
 */
export function agentsFor(
  table: Compatibility,
  { kind, material }: Pick<Place, 'kind' | 'material'>,
  dirts: readonly Dirt[],
): readonly AgentChoice[] {
  if (material !== 'unknown') return chooseAgents(table, [material], dirts);
  const likely = PLACE_KNOWN[kind].materials.filter((one): one is KnownMaterial => one !== 'unknown');
  return chooseAgents(table, likely.length > 0 ? likely : ['unknown'], dirts);
}
