/** Bench conditions that a cycle or a clean run may be run under; a bench adds its own. */
export const CONDITIONS: readonly string[] = [
  'cold',
  'warm',
  'lid on',
  'lid off',
  'tapped',
  'on its side',
  'dark',
  'screwed down',
  'pin in',
  'pin out',
];
