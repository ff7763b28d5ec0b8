import { PLACE_KNOWN, type CleanDeed, type PlaceKind } from '../cleaning';
import { isLubricant } from '../compatibility';
import type { Choose } from './choices';
import type { Said } from './said';
import type { PlaceNamed, TreatmentDeed, TreatmentTold } from './types';

/** A treatment that says nothing but its line. */
export const NOTHING: TreatmentTold = {
  deed: 'other',
  agent: null,
  way: '',
  strokes: 0,
  amount: '',
  swabs: [],
  outcome: 'unknown',
};

/** What is worked to clean it; elsewhere a count is of wipes. */
const WORKED_KINDS: readonly PlaceKind[] = ['switch', 'pot', 'key', 'contact', 'part'];

/** The deed of a clause that names an agent and no deed. */
function deedOf({ deed, agent, strokes, outcome }: Said, kind: PlaceKind): CleanDeed {
  if (deed === 'spotTest') return deed;
  // Where nothing lubricates, there is no old grease but dirt.
  if (deed === 'oldGreaseOff') return PLACE_KNOWN[kind].lubrication ? deed : 'wipe';
  if (agent && isLubricant(agent)) return 'lubricate';
  if (deed && deed !== 'lubricate') return deed;
  if (deed === 'lubricate') return 'lubricate';
  if (strokes > 0 && agent !== null && WORKED_KINDS.includes(kind)) return 'strokes';
  if (agent === 'soapyWater') return 'wash';
  return agent !== null || outcome !== undefined ? 'wipe' : 'other';
}

/**
 * What a clause does at its places; one that only tells more of what was just done there is added to that.
 *
 * @param before what the clauses before it do, in their order; added to in place
 * @param fresh whether the clause names its places itself
 * @returns what it does besides
 * For instance deedsOf(saidIn('acetone', choose), [pulley], [], true, choose)[0].type: 'treat'
 */
export function deedsOf(
  said: Said,
  places: readonly PlaceNamed[],
  before: TreatmentDeed[],
  fresh: boolean,
  choose: Choose,
): readonly TreatmentDeed[] {
  const { deed, way, strokes, amount, swabs, outcome, minutes, dryMinutes, dirt, dried, dry } = said;
  const wetted = (deed === 'wash' || deed === 'soak') && said.agent === null;
  const washedAlready = wetted && before.some((one) => one.type === 'treat' && one.told.agent !== null && !fresh);
  const agent =
    wetted && !washedAlready && places.length > 0
      ? choose('In what?', ['soapyWater', 'water', 'isopropanol'] as const)
      : said.agent;
  if (washedAlready) return [];
  if (deed === 'lubricate' && said.agent === null && places.length > 0)
    return deedsOf(
      { ...said, agent: choose('With what?', ['fineOil', 'lithiumGrease', 'siliconeGrease'] as const) },
      places,
      before,
      fresh,
      choose,
    );
  const acts = agent !== null || (deed !== undefined && deed !== 'other');
  const tells =
    way !== '' ||
    strokes > 0 ||
    amount !== '' ||
    swabs.length > 0 ||
    outcome !== undefined ||
    minutes !== undefined ||
    dryMinutes !== undefined;
  const out: TreatmentDeed[] = [];
  const oils = agent !== null && isLubricant(agent) && places.some(({ kind }) => PLACE_KNOWN[kind].keepFreeOfOil);
  const oily = oils && choose('Is that how it was found?', [true, false]);
  const runs = places.some(({ kind }) => PLACE_KNOWN[kind].lubrication);
  const found =
    dry && !dirt && !acts && !tells && runs ? choose('Found dry, or dry again?', ['found', 'dried'] as const) : 'dried';
  for (const place of places) {
    const last = before.findLast(
      (one) =>
        one.type === 'treat' && one.place !== null && (one.place.id ?? one.place.name) === (place.id ?? place.name),
    );
    // What only tells more of it, and the agent of a wipe that named none, belong to what was just done there.
    const completes =
      acts &&
      agent !== null &&
      last?.type === 'treat' &&
      last.told.agent === null &&
      (last.told.deed === 'wipe' || last.told.deed === 'other') &&
      !isLubricant(agent);
    if (((!acts && tells) || completes) && last?.type === 'treat' && !fresh) {
      before[before.indexOf(last)] = {
        ...last,
        told: {
          ...last.told,
          ...(completes && { agent, deed: deedOf(said, place.kind) }),
          ...(dryMinutes !== undefined && { dryMinutes }),
          ...(way !== '' && { way }),
          ...(strokes > 0 && {
            strokes,
            ...(last.told.agent !== null && WORKED_KINDS.includes(place.kind) && { deed: 'strokes' as const }),
          }),
          ...(amount !== '' && { amount }),
          ...(swabs.length > 0 && { swabs: [...last.told.swabs, ...swabs] }),
          ...(outcome !== undefined && { outcome }),
          ...(minutes !== undefined && { minutes }),
        },
      };
      continue;
    }
    const known = PLACE_KNOWN[place.kind];
    if (agent && isLubricant(agent) && known.keepFreeOfOil) {
      // Nobody oils a belt: it was found so, or it is a slip.
      out.push(oily ? { type: 'seen', place, dirt: 'oily' } : { type: 'treat', place, told: NOTHING });
      continue;
    }
    if (dirt) out.push({ type: 'seen', place, dirt });
    if (acts || (tells && (dirt === undefined || outcome !== undefined)))
      out.push({
        type: 'treat',
        place,
        told: {
          deed: deedOf(said, place.kind),
          agent,
          way,
          strokes,
          amount,
          swabs,
          outcome: outcome ?? 'unknown',
          ...(minutes !== undefined && { minutes }),
          ...(dryMinutes !== undefined && { dryMinutes }),
        },
      });
    else if (dried) out.push({ type: 'treat', place, told: { ...NOTHING, deed: 'dried' } });
    else if (dry && !dirt) {
      out.push(
        known.lubrication && found === 'found'
          ? { type: 'seen', place, dirt: 'dry' }
          : { type: 'treat', place, told: { ...NOTHING, deed: 'dried' } },
      );
    }
  }
  return out;
}
