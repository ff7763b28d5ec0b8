import { dictionary, number, one, text, type ShapeValue } from '../../base/schema';

/** What a place may be made of. Rubbers are named by their polymer. */
export const MATERIALS = [
  'unknown',
  'copperAlloy',
  'steel',
  'aluminium',
  'acetal',
  'nylon',
  'abs',
  'polystyrene',
  'polycarbonate',
  'acrylic',
  'glass',
  'coatedLens',
  'painted',
  'nitrile',
  'chloroprene',
  'naturalRubber',
  'ethylenePropylene',
  'siliconeRubber',
  'polyurethane',
] as const;
export type Material = (typeof MATERIALS)[number];
export type KnownMaterial = Exclude<Material, 'unknown'>;

/** What cleans, by its name in words. The gentlest first. */
const CLEANER_NAMES = {
  dry: 'dry swab or brush',
  water: 'distilled water',
  soapyWater: 'soapy water',
  glassCleaner: 'glass cleaner without ammonia',
  isopropanol: 'isopropyl alcohol',
  ethanol: 'ethyl alcohol',
  contactCleaner: 'contact cleaner',
  petroleumSpirit: 'light petroleum spirit',
  acetone: 'acetone',
  turpentine: 'turpentine',
  brakeCleaner: 'brake cleaner',
  rubberRestorer: 'rubber restorer',
  ammoniaCleaner: 'cleaner with ammonia',
  abrasive: 'glass-fibre pen or eraser',
} as const;
/** What lets a place run. */
const LUBRICANT_NAMES = {
  fineOil: 'fine oil',
  lithiumGrease: 'lithium grease',
  siliconeGrease: 'silicone grease',
  ptfeGrease: 'grease with PTFE',
  petroleumJelly: 'petroleum jelly',
  penetratingOil: 'penetrating oil',
  graphite: 'graphite',
  talc: 'talc',
} as const;
export type LubricantName = keyof typeof LUBRICANT_NAMES;
export type Agent = keyof typeof CLEANER_NAMES | LubricantName;
/** What is put on a place: to clean it, or to let it run. */
export const AGENT_NAMES: Readonly<Record<Agent, string>> = { ...CLEANER_NAMES, ...LUBRICANT_NAMES };
export const AGENTS = Object.keys(AGENT_NAMES) as readonly Agent[];

/** Whether it is put there to let something run. @example isLubricant('fineOil') // true */
export const isLubricant = (agent: Agent): agent is LubricantName => agent in LUBRICANT_NAMES;

/** What a place was found to be. All but the last are taken off; what is dry needs a lubricant. */
export const DIRTS = [
  'fluff',
  'oily',
  'glazed',
  'hardenedGrease',
  'residue',
  'sludge',
  'corroded',
  'sticky',
  'dry',
] as const;
export type Dirt = (typeof DIRTS)[number];

/** What an agent does to a material: nothing; bears a brief wipe, tried where it does not show; harms; or nobody knows. */
export const GRADES = ['fine', 'brief', 'no', 'unknown'] as const;
export type Grade = (typeof GRADES)[number];

/** What an agent does to a dirt: takes it off, loosens it for a pick or a brush, or neither. */
export const EFFECTS = ['takes', 'loosens', 'nothing'] as const;
export type Effect = (typeof EFFECTS)[number];

/** What may touch what, as a bench keeps it and hands it on. By agent, then by material or dirt. */
export const compatibilityFields = {
  name: text(120),
  grades: dictionary(dictionary(one(GRADES))),
  effects: dictionary(dictionary(one(EFFECTS))),
  /** Minutes until a place that was wetted by an agent is dry. */
  dryMinutes: dictionary(number(0, 10_080)),
};

export interface Compatibility extends ShapeValue<typeof compatibilityFields> {}
