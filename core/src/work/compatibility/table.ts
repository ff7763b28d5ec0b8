import {
  AGENTS,
  DIRTS,
  MATERIALS,
  type Agent,
  type Compatibility,
  type Dirt,
  type Effect,
  type Grade,
  type KnownMaterial,
} from './schema';

/*
 * What may touch what. Grades are read off general chemical-resistance tables, from memory: for plastics “Chemical
 * Resistance of Plastics and Elastomers” and “Plastics Materials”, for rubbers ISO/TR 7620 and “Rubber Technologist’s
 * Handbook”, for metals “Corrosion Data Survey, Metals Section” and “Metals Handbook, volume 13”. Those tables are of
 * days of immersion; a wipe is seconds, so what they rate as limited stands here as a brief wipe. The test beside this
 * file holds the table to two of them, pair by pair.
 */

/** The materials, in the order of the rows below. */
const COLUMNS = MATERIALS.filter((one): one is KnownMaterial => one !== 'unknown');
const GRADE_OF: Readonly<Record<string, Grade>> = { f: 'fine', b: 'brief', n: 'no', '?': 'unknown' };

/** A letter a material: fine, brief, no, or unknown. */
const ROWS: Readonly<Record<Agent, string>> = {
  dry: 'f f f f f f f f f f b f f f f f f f',
  water: 'f b f f f f f f f f f f f f f f f f',
  soapyWater: 'f b f f f f f f f f f f f f f f f f',
  glassCleaner: 'f b f f f f f f f f f b ? ? ? ? ? ?',
  isopropanol: 'f f f f f f f f b f f b f f f f f b',
  ethanol: 'f f f f f b f f b f f b f f f f f b',
  contactCleaner: 'f f f f f ? ? ? ? f ? ? ? ? ? ? ? ?',
  petroleumSpirit: 'f f f f f b n n f f ? b f b n n n b',
  acetone: 'f f f f f n n n n f n n n b b f b n',
  ammoniaCleaner: 'n f n f f f f n b f n b f f f f f ?',
  abrasive: 'b b b n n n n n n n n n b b b b b b',
  fineOil: 'f f f f f b b b f f n f f b n n b f',
  lithiumGrease: 'f f f f f b b b f f n f f b n n b f',
  siliconeGrease: 'f f f f f f f f f f n f f f f f n f',
};

const grades = Object.fromEntries(
  AGENTS.map((agent) => {
    const letters = ROWS[agent].split(/\s+/);
    return [agent, Object.fromEntries(COLUMNS.map((material, at) => [material, GRADE_OF[letters[at] ?? '?']]))];
  }),
) as Record<Agent, Record<KnownMaterial, Grade>>;

/** What takes a dirt off, and what only loosens it. Common practice, no source. */
const TAKEN: Readonly<Record<Dirt, { readonly takes: readonly Agent[]; readonly loosens: readonly Agent[] }>> = {
  fluff: { takes: ['dry', 'isopropanol', 'soapyWater'], loosens: ['water'] },
  oily: {
    takes: ['soapyWater', 'isopropanol', 'ethanol', 'petroleumSpirit', 'acetone'],
    loosens: ['dry', 'glassCleaner', 'contactCleaner'],
  },
  glazed: { takes: ['abrasive', 'acetone'], loosens: ['soapyWater', 'isopropanol', 'ethanol', 'petroleumSpirit'] },
  hardenedGrease: {
    takes: ['petroleumSpirit', 'acetone'],
    loosens: ['dry', 'isopropanol', 'ethanol', 'contactCleaner', 'soapyWater'],
  },
  residue: { takes: ['acetone', 'petroleumSpirit'], loosens: ['dry', 'isopropanol', 'ethanol'] },
  sludge: { takes: ['isopropanol', 'ethanol', 'petroleumSpirit', 'acetone'], loosens: ['dry'] },
  corroded: { takes: ['abrasive'], loosens: ['contactCleaner', 'isopropanol'] },
  sticky: { takes: ['water', 'soapyWater', 'isopropanol'], loosens: ['ethanol', 'glassCleaner'] },
  dry: { takes: ['fineOil', 'lithiumGrease', 'siliconeGrease'], loosens: [] },
};
const effects = Object.fromEntries(
  AGENTS.map((agent) => [
    agent,
    Object.fromEntries(
      DIRTS.map((dirt): readonly [Dirt, Effect] => {
        const { takes, loosens } = TAKEN[dirt];
        return [dirt, takes.includes(agent) ? 'takes' : loosens.includes(agent) ? 'loosens' : 'nothing'];
      }),
    ),
  ]),
);

/** Minutes until dry, in still air of a room. From memory, no source. */
const dryMinutes: Readonly<Record<Agent, number>> = {
  dry: 0,
  water: 10,
  soapyWater: 10,
  glassCleaner: 2,
  isopropanol: 2,
  ethanol: 2,
  contactCleaner: 5,
  petroleumSpirit: 5,
  acetone: 2,
  ammoniaCleaner: 5,
  abrasive: 0,
  fineOil: 0,
  lithiumGrease: 0,
  siliconeGrease: 0,
};

/** What the app believes until a bench says otherwise. */
export const COMPATIBILITY: Compatibility = { name: 'the app’s defaults', grades, effects, dryMinutes };
