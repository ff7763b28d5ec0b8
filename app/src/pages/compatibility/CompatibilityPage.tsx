import { useState } from 'react';
import {
  AGENT_NAMES,
  agentCaution,
  AGENTS,
  checkCompatibility,
  COMPATIBILITY,
  DIRT_NAMES,
  DIRTS,
  EFFECT_NAMES,
  EFFECTS,
  GRADE_NAMES,
  gradeOf,
  GRADES,
  isLubricant,
  MATERIAL_NAMES,
  MATERIALS,
  PICTOGRAMS,
  pictogramsOf,
  statementsOf,
  whatHappens,
  type Agent,
  type Compatibility,
  type Effect,
  type Grade,
  type KnownMaterial,
} from '@loose-pulley/core/work/compatibility';
import { readCompatibilityFile, writeCompatibilityFile } from '@loose-pulley/core/files/exchange';
import { parseNumber } from '@loose-pulley/core/base/units';
import { Keeping } from '../../parts/own/Keeping';
import { useOwn } from '../../parts/own/useOwn';
import { NumberLine } from '../../parts/ui/NumberLine';
import { keepOwnCompatibility, loadOwnCompatibility } from '../../state/persistence/compatibility';
import { Select } from '../../parts/ui/Select';

const KNOWN = MATERIALS.filter((one): one is KnownMaterial => one !== 'unknown');
/** A sign beside each grade, so that the whole table is read without its colours. */
const SIGNS: Readonly<Record<Grade, string>> = { fine: '●', brief: '◐', no: '✕', unknown: '?' };

/** What may touch what: every agent on every material, what it takes off, how long it dries; to read, change and hand on. */
export function CompatibilityPage() {
  const own = useOwn({
    defaults: COMPATIBILITY,
    load: loadOwnCompatibility,
    keep: keepOwnCompatibility,
    check: checkCompatibility,
    read: readCompatibilityFile,
  });
  const [agent, setAgent] = useState<Agent>('acetone');
  const { held: table } = own;
  if (!table) return <p className="p-5">One moment.</p>;
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid min-w-0 grid-cols-1 content-start gap-6 bg-sheet px-5 py-5 lg:px-7">
        <h1 className="text-[30px] leading-tight font-bold">What may touch what</h1>
        <p className="max-w-prose">
          Three grades: fine; a brief wipe, tried where it does not show; no. What no table tells is unknown, and is
          tried where it does not show. The grades are read off general chemical-resistance tables, from memory, and a
          plastic is not always the plastic that it looks like. The label of the bottle in your hand comes first.
        </p>
        <Whole table={table} chosen={agent} onChoose={setAgent} />
        <OneAgent table={table} agent={agent} onChange={own.change} />
      </div>
      <Keeping own={own} fileName="what-may-touch-what.json" write={writeCompatibilityFile} />
    </div>
  );
}

/** All of it at once, by sign; a row is pressed to be read and changed. */
function Whole({
  table,
  chosen,
  onChoose,
}: {
  readonly table: Compatibility;
  readonly chosen: Agent;
  readonly onChoose: (agent: Agent) => void;
}) {
  return (
    <section aria-labelledby="whole" className="grid min-w-0 grid-cols-1 gap-2">
      <h2 id="whole" className="border-b border-ink pb-1 text-lg">
        All of it
      </h2>
      <p className="text-sm text-soft">{GRADES.map((grade) => `${SIGNS[grade]} ${GRADE_NAMES[grade]}`).join(' · ')}</p>
      {/* Scrolled sideways on a phone, so the keyboard must be able to reach it. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Agents by materials">
        <table className="border-collapse text-[15px]">
          <thead>
            <tr className="border-b border-ink align-bottom">
              <td />
              {KNOWN.map((material) => (
                <th key={material} scope="col" className="h-48 px-1 font-normal">
                  <span className="inline-block rotate-180 whitespace-nowrap [writing-mode:vertical-rl]">
                    {MATERIAL_NAMES[material]}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {AGENTS.map((agent) => (
              <tr key={agent} className="border-b border-hair">
                <th scope="row" className="pr-2 text-left font-normal whitespace-nowrap">
                  <button
                    type="button"
                    aria-pressed={agent === chosen}
                    className={`min-h-11 text-left ${agent === chosen ? 'font-semibold underline decoration-live decoration-2 underline-offset-4' : ''}`}
                    onClick={() => onChoose(agent)}
                  >
                    {AGENT_NAMES[agent]}
                  </button>
                </th>
                {KNOWN.map((material) => {
                  const grade = gradeOf(table, agent, material);
                  return (
                    <td
                      key={material}
                      className={`px-1 text-center ${grade === 'no' ? 'text-live' : grade === 'fine' ? 'text-soft' : ''}`}
                    >
                      <span aria-hidden>{SIGNS[grade]}</span>
                      <span className="sr-only">{GRADE_NAMES[grade]}</span>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** One agent: what it does to each material and each dirt, how long it dries, what its label warns of. */
function OneAgent({
  table,
  agent,
  onChange,
}: {
  readonly table: Compatibility;
  readonly agent: Agent;
  readonly onChange: (table: Compatibility) => void;
}) {
  const caution = agentCaution(agent);
  const pictograms = pictogramsOf(agent);
  const select = <V extends string>(
    label: string,
    value: V,
    values: readonly V[],
    names: Readonly<Record<V, string>>,
    put: (value: V) => void,
  ) => (
    <Select
      aria-label={label}
      value={value}
      onChoose={put}
      look="line"
      className="max-w-56"
      options={values.map((one) => [one, names[one]] as const)}
    />
  );
  return (
    <section aria-labelledby="agent" className="grid gap-3">
      <h2 id="agent" className="border-b border-ink pb-1 text-lg first-letter:uppercase">
        {AGENT_NAMES[agent]}
      </h2>
      {caution && (
        <p className="border-l-4 border-live pl-3">
          <strong>Caution:</strong> {caution}{' '}
          <span className="text-soft">
            {statementsOf(agent).join(', ')}; {pictograms.map((code) => `${code} ${PICTOGRAMS[code]}`).join(', ')}.
          </span>
        </p>
      )}
      {!isLubricant(agent) && (
        <NumberLine
          label="Dry after"
          unit="minutes"
          value={table.dryMinutes[agent] ?? 0}
          max={10_080}
          parse={parseNumber}
          onNumber={(minutes) => onChange({ ...table, dryMinutes: { ...table.dryMinutes, [agent]: minutes ?? 0 } })}
        />
      )}
      <div className="grid gap-x-8 md:grid-cols-2">
        <ul>
          {KNOWN.map((material) => (
            <li key={material} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-hair">
              <span>
                {MATERIAL_NAMES[material]}
                <span className="block text-sm text-soft">{whatHappens(table, agent, material)}</span>
              </span>
              {select(
                `${AGENT_NAMES[agent]} on ${MATERIAL_NAMES[material]}`,
                gradeOf(table, agent, material),
                GRADES,
                GRADE_NAMES,
                (grade) =>
                  onChange({
                    ...table,
                    grades: { ...table.grades, [agent]: { ...table.grades[agent], [material]: grade } },
                  }),
              )}
            </li>
          ))}
        </ul>
        <ul>
          {DIRTS.map((dirt) => (
            <li key={dirt} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-hair">
              <span>{DIRT_NAMES[dirt]}</span>
              {select<Effect>(
                `${AGENT_NAMES[agent]} against ${DIRT_NAMES[dirt]}`,
                table.effects[agent]?.[dirt] ?? 'nothing',
                EFFECTS,
                EFFECT_NAMES,
                (effect) =>
                  onChange({
                    ...table,
                    effects: { ...table.effects, [agent]: { ...table.effects[agent], [dirt]: effect } },
                  }),
              )}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}
