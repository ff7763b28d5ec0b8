import { lastRemoval, offSince } from './removals';
import type { Step } from './schema';

/** However it went: straight up, to the back. */
const WENT = String.raw`(?: (?:off|up|straight|back|away|forwards?|backwards?|slid|lifted|out))*`;
const LID = new RegExp(
  String.raw`^(?:the )?(?:top )?(?:lid|case|casing|hood|top cover|upper cover|top case|top)${WENT}$`,
  'i',
);
/** The top of something inside is no lid. */
const OF_A_PART = /^of\b/i;

/** The step that is the machine's own lid, where one came off: the first cover called so. */
export const lidStep = (steps: readonly Step[]): Step | undefined =>
  steps.find(
    ({ kind, what, where, fate }) =>
      kind === 'cover' && fate !== 'noted' && fate !== 'marked' && LID.test(what) && !OF_A_PART.test(where),
  );

/**
 * What the strip says of the lid, and since when: off while its step is off, on again once that is back.
 *
 * @returns undefined where the lid was never logged
 * @example lidByStrip(steps) // { state: 'off', since: '2026-01-12T09:23:00Z' }
 */
export function lidByStrip(
  steps: readonly Step[],
): { readonly state: 'off' | 'on'; readonly since: string } | undefined {
  const step = lidStep(steps);
  const last = step && lastRemoval(step);
  if (!step || !last) return undefined;
  if (last.back === null) return { state: 'off', since: offSince(step) };
  return last.backAt === undefined ? undefined : { state: 'on', since: last.backAt };
}

/** The lid as it is now: the last word on it, said by itself or by the strip. */
export function lidNow(
  said: { readonly state: 'off' | 'on'; readonly since: string } | null,
  steps: readonly Step[],
): { readonly state: 'off' | 'on'; readonly since: string } | null {
  const strip = lidByStrip(steps);
  if (!strip) return said;
  return said === null || strip.since > said.since ? strip : said;
}
