import type { Agent } from './schema';

/*
 * Hazard statements by the harmonised classification of substances (GHS; in Europe Regulation (EC) No 1272/2008, Annex
 * VI): acetone, propan-2-ol, ethanol, and hydrocarbon mixtures of low-boiling naphtha type. From memory; the label of the bottle in the
 * hand comes first.
 */

/** The pictograms of GHS that these agents carry, by their codes. */
export const PICTOGRAMS = {
  GHS02: 'flame',
  GHS07: 'exclamation mark',
  GHS08: 'health hazard',
  GHS09: 'environment',
} as const;
export type Pictogram = keyof typeof PICTOGRAMS;

interface Statement {
  readonly pictogram: Pictogram | null;
  /** What the bench does about it, in a few words. */
  readonly caution: string;
}
/** What each statement means at a bench. */
export const STATEMENTS = {
  H222: { pictogram: 'GHS02', caution: 'the spray burns: no flame, no hot iron, nothing live' },
  H225: {
    pictogram: 'GHS02',
    caution: 'its vapour catches fire from across the bench: no flame, no hot iron, unplugged',
  },
  H304: { pictogram: 'GHS08', caution: 'may kill if swallowed and breathed in: never by mouth' },
  H315: { pictogram: 'GHS07', caution: 'irritates skin: gloves' },
  H319: { pictogram: 'GHS07', caution: 'irritates eyes: keep it off them' },
  H336: { pictogram: 'GHS07', caution: 'makes drowsy: open a window' },
  H411: { pictogram: 'GHS09', caution: 'not down the drain' },
} as const satisfies Readonly<Record<string, Statement>>;
export type StatementCode = keyof typeof STATEMENTS;

const OF_AGENT: Readonly<Partial<Record<Agent, readonly StatementCode[]>>> = {
  isopropanol: ['H225', 'H319', 'H336'],
  ethanol: ['H225', 'H319'],
  acetone: ['H225', 'H319', 'H336'],
  petroleumSpirit: ['H225', 'H304', 'H315', 'H336', 'H411'],
  // Mixtures differ; these are what such sprays usually carry.
  contactCleaner: ['H222', 'H319', 'H336'],
  ammoniaCleaner: ['H319'],
};

/** The hazard statements of an agent. @example statementsOf('acetone') // ['H225', 'H319', 'H336'] */
export const statementsOf = (agent: Agent): readonly StatementCode[] => OF_AGENT[agent] ?? [];

/** The pictograms of an agent, each once. @example pictogramsOf('acetone') // ['GHS02', 'GHS07'] */
export const pictogramsOf = (agent: Agent): readonly Pictogram[] => [
  ...new Set(statementsOf(agent).flatMap((code) => STATEMENTS[code].pictogram ?? [])),
];

/**
 * What to mind with an agent, in one sentence; empty where it carries no hazard statement.
 *
 * @example agentCaution('ethanol').startsWith('Flame: ') // true
 */
export function agentCaution(agent: Agent): string {
  const codes = statementsOf(agent);
  if (codes.length === 0) return '';
  const [first = ''] = codes.map((code) => STATEMENTS[code].caution);
  const others = codes.slice(1).map((code) => STATEMENTS[code].caution);
  const flame = pictogramsOf(agent).includes('GHS02') ? 'Flame: ' : '';
  return `${flame}${[first, ...others].join('; ')}.`;
}
