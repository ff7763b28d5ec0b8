import { CAUSES } from './causes';
import { INSIDE } from './inside';
import { SYMPTOMS } from './symptoms';
import type { Knowledge } from '../schema';

/** What comes with the app. Judgement of common practice, no source; docs/KNOWLEDGE.md tells how to read and change it. */
export const KNOWLEDGE: Knowledge = {
  name: 'as it comes',
  pairShare: 0.12,
  causes: CAUSES,
  tests: [...SYMPTOMS, ...INSIDE],
};
