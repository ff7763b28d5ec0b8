/** How clean a pulley is where the belt lies. */
export const SURFACES = ['clean', 'glazed', 'dusty', 'wet', 'oily'] as const;
export type Surface = (typeof SURFACES)[number];
