/*
 * Hazard statements by the harmonised classification of substances (GHS; in Europe Regulation (EC) No 1272/2008, Annex
 * VI): acetone, propan-2-ol, ethanol, turpentine, and hydrocarbon mixtures of low-boiling naphtha type. From memory; the label of the bottle in the
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
  H225: { pictogram: 'GHS02', caution: 'its vapour catches fire across the bench: no flame, no hot iron, unplugged' },
  H226: { pictogram: 'GHS02', caution: 'its vapour burns: no flame, no hot iron, unplugged' },
  H302: { pictogram: 'GHS07', caution: 'never by mouth' },
  H304: { pictogram: 'GHS08', caution: 'never by mouth: what goes down the wrong way may kill' },
  H315: { pictogram: 'GHS07', caution: 'gloves' },
  H317: { pictogram: 'GHS07', caution: 'gloves: skin may take against it for good' },
  H319: { pictogram: 'GHS07', caution: 'keep it off your eyes' },
  H336: { pictogram: 'GHS07', caution: 'open a window, it makes drowsy' },
  H411: { pictogram: 'GHS09', caution: 'not down the drain' },
} as const satisfies Readonly<Record<string, Statement>>;
export type StatementCode = keyof typeof STATEMENTS;
