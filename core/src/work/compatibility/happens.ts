import { COMPATIBILITY } from './table';
import type { Agent, Compatibility, Grade, KnownMaterial } from './schema';

type Group = 'metal' | 'plastic' | 'clear' | 'rubber' | 'lens' | 'paint' | 'glass';
const GROUP: Readonly<Record<KnownMaterial, Group>> = {
  copperAlloy: 'metal',
  steel: 'metal',
  aluminium: 'metal',
  acetal: 'plastic',
  nylon: 'plastic',
  abs: 'plastic',
  polystyrene: 'plastic',
  polycarbonate: 'clear',
  acrylic: 'clear',
  glass: 'glass',
  coatedLens: 'lens',
  painted: 'paint',
  nitrile: 'rubber',
  chloroprene: 'rubber',
  naturalRubber: 'rubber',
  ethylenePropylene: 'rubber',
  siliconeRubber: 'rubber',
  polyurethane: 'rubber',
};

/** What an agent does where it does harm, by what is harmed. */
const HARM: Readonly<Record<Agent, Readonly<Partial<Record<Group, string>>>>> = {
  dry: { lens: 'a dry swab scratches the coating' },
  water: { metal: 'it rusts where it stays wet' },
  soapyWater: { metal: 'it rusts where it stays wet' },
  glassCleaner: { metal: 'it rusts where it stays wet', paint: 'may soften it' },
  isopropanol: {
    clear: 'crazes where it stays, above all at edges under stress',
    rubber: 'swells it a little',
    paint: 'may take print off',
  },
  ethanol: {
    clear: 'crazes where it stays, above all at edges under stress',
    plastic: 'may dull it',
    rubber: 'swells it a little',
    paint: 'may take print off',
  },
  contactCleaner: {},
  petroleumSpirit: {
    plastic: 'softens and crazes it',
    clear: 'crazes and cracks it',
    rubber: 'swells it',
    paint: 'may soften it',
  },
  acetone: {
    plastic: 'dissolves it and leaves it dull and sticky',
    clear: 'clouds and cracks it at once',
    rubber: 'swells it and draws out what keeps it supple',
    lens: 'takes the coating off',
    paint: 'dissolves it',
  },
  ammoniaCleaner: {
    metal: 'corrodes and cracks it',
    clear: 'crazes it',
    lens: 'attacks the coating',
    paint: 'may take print off',
  },
  abrasive: {
    metal: 'scratches it: only across the contact, and blow off the dust',
    plastic: 'scores it',
    clear: 'scores it',
    lens: 'destroys it',
    glass: 'scores it',
    rubber: 'takes the skin off: lightly, and only where it is glazed',
    paint: 'takes it off',
  },
  fineOil: {
    plastic: 'may crack it under stress',
    clear: 'may crack it under stress',
    rubber: 'swells it and lets it slip',
    lens: 'leaves a film',
    paint: '',
  },
  lithiumGrease: {
    plastic: 'its oil may crack it under stress',
    clear: 'its oil may crack it under stress',
    rubber: 'its oil swells it and lets it slip',
    lens: 'leaves a film',
  },
  siliconeGrease: { rubber: 'swells silicone, as like takes up like', lens: 'leaves a film that creeps' },
};

/**
 * How an agent and a material get on. A material that nobody named, and a pair that the table does not hold, count as
 * unknown.
 *
 * @example gradeOf(COMPATIBILITY, 'acetone', 'abs') // 'no'
 */
export const gradeOf = (table: Compatibility, agent: Agent, material: KnownMaterial | 'unknown'): Grade =>
  material === 'unknown' ? 'unknown' : (table.grades[agent]?.[material] ?? 'unknown');

/**
 * What happens where an agent meets a material; empty where nothing does. A grade that the bench has changed is its own.
 *
 * @example whatHappens(COMPATIBILITY, 'acetone', 'abs') // 'dissolves it and leaves it dull and sticky'
 */
export function whatHappens(table: Compatibility, agent: Agent, material: KnownMaterial | 'unknown'): string {
  const grade = gradeOf(table, agent, material);
  if (material === 'unknown') return 'what it is made of is not known';
  if (grade !== gradeOf(COMPATIBILITY, agent, material)) return grade === 'fine' ? '' : 'by this bench’s own table';
  if (grade === 'fine') return '';
  if (grade === 'unknown') return agent === 'contactCleaner' ? 'as its label says' : 'no table that we know tells';
  return HARM[agent][GROUP[material]] ?? 'it may harm it';
}
