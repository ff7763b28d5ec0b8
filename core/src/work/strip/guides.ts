import { ofLoaders, type Loader } from '../../base/loaders';

/** One line of a guide, as it would be typed; at which depth it is reached; and the other rule of it, where there is one. */
export interface GuideLine {
  readonly line: string;
  /** Reached only by the deep strip. */
  readonly deep?: boolean;
  readonly or?: string;
}

/** Generic strips by kind of loader, from outside in. Common practice, no source: every machine differs. */
export const GUIDES: Readonly<Record<Loader, readonly GuideLine[]>> = ofLoaders('guide');
