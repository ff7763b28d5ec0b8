import { TICKET_VERSION } from '../ticket';
import { ok, refuse, type Result } from '../units';

/** Turns a document of one version into the next. Never edits what it is given. */
export type Upcaster = (document: Record<string, unknown>) => Record<string, unknown>;

/**
 * The upcasters by the version they read. Version 1 is the first, so there are none yet; a new version adds one here
 * and a frozen file of the old one to `core/fixtures`.
 */
const UPCASTERS: Readonly<Record<number, Upcaster>> = {};

/**
 * Brings a document up to the current version, one step at a time.
 *
 * @param upcasters, target replaced in tests only
 * @returns the document, or a sentence where a step is missing
 */
export function upcast(
  document: unknown,
  upcasters: Readonly<Record<number, Upcaster>> = UPCASTERS,
  target: number = TICKET_VERSION,
): Result<unknown> {
  let current = document as Record<string, unknown>;
  while (typeof current.version === 'number' && current.version < target) {
    const step = upcasters[current.version];
    if (!step) return refuse(`format ${String(current.version)} is not known here.`);
    current = { ...step(current), version: current.version + 1 };
  }
  return ok(current);
}
