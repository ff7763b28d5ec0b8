import { ok, refuse, type Result } from '../../base/units';
import { COMPATIBILITY } from './table';
import { AGENTS, DIRTS, EFFECTS, GRADES, MATERIALS, type Compatibility } from './schema';

/** Longer than a week nothing dries. */
export const DRY_MINUTES_MAX = 10_080;

/**
 * A table that can be reasoned with: every agent and material known, every figure in range. What a bench left out is the
 * app’s own.
 *
 * @returns the table made whole; or a sentence that names what is not known or out of range
 * @example checkCompatibility({ ...COMPATIBILITY, grades: {} }).ok // true
 */
export function checkCompatibility(given: Compatibility): Result<Compatibility> {
  for (const [kind, rows, columns, values] of [
    ['grades', given.grades, MATERIALS.filter((one) => one !== 'unknown'), GRADES],
    ['effects', given.effects, DIRTS, EFFECTS],
  ] as const) {
    for (const [agent, row] of Object.entries(rows)) {
      if (!(AGENTS as readonly string[]).includes(agent))
        return refuse(`${kind}: “${agent}” is no agent that is known here. Known are ${AGENTS.join(', ')}.`);
      for (const [column, value] of Object.entries(row as Readonly<Record<string, string>>)) {
        if (!(columns as readonly string[]).includes(column))
          return refuse(`${kind} of ${agent}: “${column}” is not known here. Known are ${columns.join(', ')}.`);
        if (!(values as readonly string[]).includes(value))
          return refuse(`${kind} of ${agent} on ${column}: “${value}” is not one of ${values.join(', ')}.`);
      }
    }
  }
  for (const [agent, minutes] of Object.entries(given.dryMinutes)) {
    if (!(AGENTS as readonly string[]).includes(agent))
      return refuse(`drying: “${agent}” is no agent that is known here.`);
    if (!(minutes >= 0 && minutes <= DRY_MINUTES_MAX))
      return refuse(`drying of ${agent}: ${minutes} minutes. Allowed are 0 to ${DRY_MINUTES_MAX}, a week.`);
  }
  const filled = <Row>(own: Readonly<Record<string, Row>>, first: Readonly<Record<string, Row>>): Record<string, Row> =>
    Object.fromEntries(AGENTS.map((agent) => [agent, { ...(first[agent] as Row), ...own[agent] }]));
  return ok({
    name: given.name,
    grades: filled(given.grades, COMPATIBILITY.grades),
    effects: filled(given.effects, COMPATIBILITY.effects),
    dryMinutes: { ...COMPATIBILITY.dryMinutes, ...given.dryMinutes },
  });
}
