/** What is asked before a belt counts as fitted. Common practice, no source. */
export const BELT_POINTS = [
  'residue out of both grooves',
  'pulleys dry, fingers clean',
  'large pulley first',
  'untwisted',
  'in both grooves',
  'nothing pinched',
  'spun by hand',
] as const;
