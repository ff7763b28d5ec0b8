import { lastRemoval, offSince } from './removals';
import type { Step } from './schema';

const LID = /^(?:the )?(?:top )?(?:lid|case|casing|hood|top cover|upper cover|top case|top)$/i;

/** The step that is the machine's own lid, where one came off: the first cover called so. */
export const lidStep = (steps: readonly Step[]): Step | undefined =>
  steps.find(
    ({ kind, what, fate }) =>
      kind === 'cover' && fate !== 'noted' && fate !== 'marked' && LID.test(what.replace(/ off$/, '')),
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
