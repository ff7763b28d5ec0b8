import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { findMethod, type DriveFacts } from '@loose-pulley/core/belts/measuring';
import type { RuleOfThumb } from '@loose-pulley/core/belts/sizing';
import type { LengthUnit } from '@loose-pulley/core/base/units';
import type { RulerRow } from '../../parts/draw/rulerLayout';
import { figure } from '@loose-pulley/core/belts/measuring';

/** The ruler's lines: each reading as a bar, each rule that would buy as a flag. */
export function rulerRows(facts: DriveFacts, found: readonly RuleOfThumb[], unit: LengthUnit): RulerRow[] {
  const readings = facts.results.flatMap(({ reading, read, odd }): RulerRow[] => {
    if (!read || (reading.measurand !== 'oldBelt' && reading.measurand !== 'stringPath')) return [];
    const path = reading.measurand === 'stringPath';
    const how = path ? 'string' : (findMethod(reading.method)?.label ?? reading.method);
    const label = `${path ? '' : read.lowerBound ? 'at least, ' : 'old belt, '}${how} ${figure(reading.measurand, reading.amount, unit)}`;
    const kind = read.lowerBound ? 'bound' : odd ? 'odd' : path ? 'path' : 'reading';
    return [{ id: reading.id, label, valueMm: read.value, halfMm: 2 * read.std, kind }];
  });
  // RulesOfThumb that would buy the same belt share a flag.
  const buyers = new Map<string, { names: string[]; pick: CatalogueBelt }>();
  for (const { name, pick } of found) {
    if (!pick) continue;
    const buyer = buyers.get(pick.id) ?? { names: [], pick };
    buyer.names.push(name);
    buyers.set(pick.id, buyer);
  }
  const flags = [...buyers.values()].map(({ names, pick }): RulerRow => {
    const [first = '', ...others] = names;
    const label = others.length > 1 ? `${first} and ${others.length} more` : names.join(', ');
    return { id: pick.id, label, valueMm: pick.innerLengthMm, kind: 'rule' };
  });
  return [...readings, ...flags];
}
