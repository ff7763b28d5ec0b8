import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  AGENT_NAMES,
  agentCaution,
  AGENTS,
  checkCompatibility,
  chooseAgents,
  COMPATIBILITY,
  DIRTS,
  DRY_MINUTES_MAX,
  EFFECTS,
  gradeOf,
  GRADES,
  isLubricant,
  MATERIALS,
  pictogramsOf,
  STATEMENTS,
  statementsOf,
  whatHappens,
  type Compatibility,
  type Effect,
  type Grade,
  type KnownMaterial,
} from '.';

const KNOWN = MATERIALS.filter((one): one is KnownMaterial => one !== 'unknown');
const agent = fc.constantFrom(...AGENTS);
const material = fc.constantFrom(...KNOWN);
const dirts = fc.uniqueArray(fc.constantFrom(...DIRTS), { maxLength: 4 });
/** The worse, the higher. */
const WORSE: Readonly<Record<Grade, number>> = { fine: 0, brief: 1, unknown: 2, no: 3 };
const LESS: Readonly<Record<Effect, number>> = { takes: 0, loosens: 1, nothing: 2 };

/** A table in which some pairs stand otherwise, as a bench may have changed them. */
const changedTable = fc
  .record({
    grades: fc.array(fc.tuple(agent, material, fc.constantFrom(...GRADES)), { maxLength: 12 }),
    effects: fc.array(fc.tuple(agent, fc.constantFrom(...DIRTS), fc.constantFrom(...EFFECTS)), { maxLength: 12 }),
    dry: fc.array(fc.tuple(agent, fc.integer({ min: 0, max: DRY_MINUTES_MAX })), { maxLength: 5 }),
  })
  .map(({ grades, effects, dry }): Compatibility => {
    const table = structuredClone(COMPATIBILITY) as {
      name: string;
      grades: Record<string, Record<string, Grade>>;
      effects: Record<string, Record<string, Effect>>;
      dryMinutes: Record<string, number>;
    };
    for (const [of, on, grade] of grades) (table.grades[of] ??= {})[on] = grade;
    for (const [of, on, effect] of effects) (table.effects[of] ??= {})[on] = effect;
    for (const [of, minutes] of dry) table.dryMinutes[of] = minutes;
    return table as Compatibility;
  });

describe('laws of a table', () => {
  test('one that this bench wrote comes back as it went out', () => {
    fc.assert(
      fc.property(changedTable, (table) => {
        const read = checkCompatibility(JSON.parse(JSON.stringify(table)) as Compatibility);
        expect(read.ok && read.value).toEqual(table);
      }),
      { numRuns: 50 },
    );
  });
  test('a part of one is filled up with ours, and says nothing else than it said', () => {
    fc.assert(
      fc.property(agent, material, fc.constantFrom(...GRADES), (of, on, grade) => {
        const read = checkCompatibility({
          name: 'ours',
          grades: { [of]: { [on]: grade } },
          effects: {},
          dryMinutes: {},
        });
        if (!read.ok) throw new Error(read.problem);
        for (const other of AGENTS)
          for (const one of KNOWN)
            expect(gradeOf(read.value, other, one)).toBe(
              other === of && one === on ? grade : gradeOf(COMPATIBILITY, other, one),
            );
      }),
      { numRuns: 60 },
    );
  });
});

describe('laws of choosing', () => {
  test('whatever the table: each agent once, none without an effect, what harms stands last', () => {
    fc.assert(
      fc.property(changedTable, material, dirts, (table, on, found) => {
        const choices = chooseAgents(table, [on], found);
        expect(new Set(choices.map((one) => one.agent)).size).toBe(choices.length);
        if (found.length > 0) for (const { effect } of choices) expect(effect).not.toBe('nothing');
        const harmful = choices.map(({ grade }) => grade === 'no');
        expect(harmful).toEqual([...harmful].sort());
      }),
    );
  });
  test('one more dirt never makes an agent do more, nor brings one that did nothing', () => {
    fc.assert(
      fc.property(material, dirts, fc.constantFrom(...DIRTS), (on, found, more) => {
        fc.pre(found.length > 0);
        const before = new Map(chooseAgents(COMPATIBILITY, [on], found).map((one) => [one.agent, one.effect]));
        for (const { agent: of, effect } of chooseAgents(COMPATIBILITY, [on], [...found, more])) {
          const was = before.get(of);
          expect(was).toBeDefined();
          expect(LESS[effect]).toBeGreaterThanOrEqual(LESS[was ?? 'nothing']);
        }
      }),
    );
  });
  test('one more thing that it may be of never makes an agent safer', () => {
    fc.assert(
      fc.property(fc.uniqueArray(material, { minLength: 1, maxLength: 4 }), material, dirts, (maybe, more, found) => {
        fc.pre(!maybe.includes(more));
        const before = new Map(chooseAgents(COMPATIBILITY, maybe, found).map((one) => [one.agent, one.grade]));
        for (const { agent: of, grade } of chooseAgents(COMPATIBILITY, [...maybe, more], found)) {
          const was = before.get(of);
          // What harmed all that it may be, and not this, is no longer known to harm: that is no safety, but a question.
          if (was === 'no') expect(['no', 'unknown']).toContain(grade);
          else expect(WORSE[grade]).toBeGreaterThanOrEqual(WORSE[was ?? 'fine']);
        }
      }),
    );
  });
  test('the order in which materials or dirts are named changes nothing', () => {
    fc.assert(
      fc.property(fc.uniqueArray(material, { minLength: 2, maxLength: 4 }), dirts, (maybe, found) => {
        const plain = (list: ReturnType<typeof chooseAgents>) =>
          list.map((one) => [one.agent, one.grade, one.effect].join(' '));
        expect(plain(chooseAgents(COMPATIBILITY, [...maybe].reverse(), [...found].reverse()))).toEqual(
          plain(chooseAgents(COMPATIBILITY, maybe, found)),
        );
      }),
    );
  });
  test('no dirt of ours is without something that takes it off or loosens it', () => {
    for (const dirt of DIRTS)
      expect(
        AGENTS.some((of) => (COMPATIBILITY.effects[of]?.[dirt] ?? 'nothing') !== 'nothing'),
        dirt,
      ).toBe(true);
  });
  test('with nothing seen only what cleans is offered, and nothing that is only for a reason', () => {
    for (const on of KNOWN)
      for (const { agent: of } of chooseAgents(COMPATIBILITY, [on], [])) {
        expect(isLubricant(of), of).toBe(false);
        expect(['turpentine', 'brakeCleaner', 'rubberRestorer']).not.toContain(of);
      }
  });
});

describe('what every agent says of itself', () => {
  test.each(AGENTS)('%s: a name, grades for all, a drying time unless it stays, and its cautions', (of) => {
    expect(AGENT_NAMES[of]).toMatch(/^[a-z]/);
    for (const on of KNOWN) {
      expect(GRADES).toContain(COMPATIBILITY.grades[of]?.[on]);
      const words = whatHappens(COMPATIBILITY, of, on);
      expect(words).not.toMatch(/undefined|^\s|[.]$/);
    }
    const minutes = COMPATIBILITY.dryMinutes[of];
    if (isLubricant(of)) expect(minutes ?? 0).toBe(0);
    else expect(minutes).toBeGreaterThanOrEqual(0);
    // A statement is said with its sign, a sign only with a statement.
    expect(pictogramsOf(of).length > 0).toBe(statementsOf(of).some((code) => STATEMENTS[code].pictogram !== undefined));
    expect(agentCaution(of) === '').toBe(statementsOf(of).length === 0);
  });
  test('to say an agent twice cautions once; in whatever order, the flame stands first', () => {
    fc.assert(
      fc.property(fc.uniqueArray(agent, { maxLength: 5 }), (list) => {
        expect(agentCaution(...list, ...list)).toBe(agentCaution(...list));
        expect(agentCaution(...list).startsWith('Flame:')).toBe(
          list.some((one) => pictogramsOf(one).includes('GHS02')),
        );
      }),
    );
  });
});
