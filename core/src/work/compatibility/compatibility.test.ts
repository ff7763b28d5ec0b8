import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  agentCaution,
  AGENTS,
  checkCompatibility,
  chooseAgents,
  COMPATIBILITY,
  DIRTS,
  gradeOf,
  GRADES,
  isLubricant,
  MATERIALS,
  PICTOGRAMS,
  pictogramsOf,
  STATEMENTS,
  statementsOf,
  whatHappens,
  type Agent,
  type KnownMaterial,
} from '.';

const KNOWN = MATERIALS.filter((one): one is KnownMaterial => one !== 'unknown');

/**
 * Ratings of chemical-resistance tables at room temperature, A (none) to D (severe), as they are remembered: none was
 * open while this was written. Rubbers: ISO/TR 7620:2005 and “Rubber Technologist’s Handbook” (2001). Plastics:
 * “Chemical Resistance of Plastics and Elastomers” (4th ed.) and “Plastics Materials” (7th ed.). Metals: “Corrosion Data
 * Survey, Metals Section” (6th ed.) and “Metals Handbook” volume 13 (9th ed.).
 */
const PUBLISHED: ReadonlyArray<readonly [Agent, KnownMaterial, first: string, second: string]> = [
  ['acetone', 'nitrile', 'D', 'D'],
  ['acetone', 'chloroprene', 'C', 'B'],
  ['acetone', 'naturalRubber', 'B', 'B'],
  ['acetone', 'ethylenePropylene', 'A', 'A'],
  ['acetone', 'siliconeRubber', 'C', 'B'],
  ['acetone', 'polyurethane', 'D', 'D'],
  ['isopropanol', 'nitrile', 'B', 'B'],
  ['isopropanol', 'chloroprene', 'B', 'A'],
  ['isopropanol', 'naturalRubber', 'A', 'A'],
  ['isopropanol', 'ethylenePropylene', 'A', 'A'],
  ['isopropanol', 'siliconeRubber', 'A', 'A'],
  ['isopropanol', 'polyurethane', 'C', 'B'],
  ['fineOil', 'nitrile', 'A', 'A'],
  ['fineOil', 'chloroprene', 'B', 'B'],
  ['fineOil', 'naturalRubber', 'D', 'D'],
  ['fineOil', 'ethylenePropylene', 'D', 'D'],
  ['fineOil', 'siliconeRubber', 'B', 'C'],
  ['fineOil', 'polyurethane', 'A', 'A'],
  ['petroleumSpirit', 'nitrile', 'A', 'B'],
  ['petroleumSpirit', 'chloroprene', 'C', 'B'],
  ['petroleumSpirit', 'naturalRubber', 'D', 'D'],
  ['petroleumSpirit', 'ethylenePropylene', 'D', 'D'],
  ['petroleumSpirit', 'siliconeRubber', 'D', 'D'],
  ['petroleumSpirit', 'polyurethane', 'B', 'C'],
  ['water', 'ethylenePropylene', 'A', 'A'],
  ['water', 'nitrile', 'A', 'A'],
  ['acetone', 'acetal', 'A', 'B'],
  ['acetone', 'nylon', 'A', 'A'],
  ['acetone', 'abs', 'D', 'D'],
  ['acetone', 'polystyrene', 'D', 'D'],
  ['acetone', 'polycarbonate', 'D', 'D'],
  ['acetone', 'acrylic', 'D', 'D'],
  ['isopropanol', 'acetal', 'A', 'A'],
  ['isopropanol', 'nylon', 'A', 'B'],
  ['isopropanol', 'abs', 'A', 'B'],
  ['isopropanol', 'polystyrene', 'A', 'B'],
  ['isopropanol', 'polycarbonate', 'A', 'B'],
  ['isopropanol', 'acrylic', 'C', 'B'],
  ['ethanol', 'acrylic', 'C', 'B'],
  ['ethanol', 'acetal', 'A', 'A'],
  ['petroleumSpirit', 'acetal', 'A', 'A'],
  ['petroleumSpirit', 'nylon', 'A', 'A'],
  ['petroleumSpirit', 'acrylic', 'A', 'B'],
  ['petroleumSpirit', 'abs', 'C', 'B'],
  ['petroleumSpirit', 'polystyrene', 'D', 'D'],
  ['petroleumSpirit', 'polycarbonate', 'D', 'C'],
  ['ammoniaCleaner', 'polycarbonate', 'D', 'D'],
  ['ammoniaCleaner', 'abs', 'A', 'A'],
  ['fineOil', 'acetal', 'A', 'A'],
  ['fineOil', 'nylon', 'A', 'A'],
  ['fineOil', 'polycarbonate', 'B', 'C'],
  ['acetone', 'copperAlloy', 'A', 'A'],
  ['acetone', 'steel', 'A', 'A'],
  ['acetone', 'aluminium', 'A', 'A'],
  ['isopropanol', 'copperAlloy', 'A', 'A'],
  ['isopropanol', 'aluminium', 'A', 'B'],
  ['ammoniaCleaner', 'copperAlloy', 'D', 'D'],
  ['ammoniaCleaner', 'aluminium', 'C', 'D'],
  ['turpentine', 'nitrile', 'B', 'C'],
  ['turpentine', 'naturalRubber', 'D', 'D'],
  ['turpentine', 'ethylenePropylene', 'D', 'D'],
  ['turpentine', 'siliconeRubber', 'D', 'D'],
  ['turpentine', 'chloroprene', 'D', 'D'],
  ['petroleumJelly', 'nitrile', 'A', 'A'],
  ['petroleumJelly', 'chloroprene', 'B', 'B'],
  ['petroleumJelly', 'naturalRubber', 'D', 'D'],
  ['petroleumJelly', 'ethylenePropylene', 'D', 'D'],
];

describe('what may touch what', () => {
  test('holds to two published tables a pair, for more than forty pairs', () => {
    expect(PUBLISHED.length).toBeGreaterThanOrEqual(40);
    const off = PUBLISHED.filter(([agent, material, ...ratings]) => {
      const worst = [...ratings].sort().at(-1) ?? 'D';
      switch (gradeOf(COMPATIBILITY, agent, material)) {
        case 'fine':
          return worst > 'B';
        case 'brief':
          // A wipe is seconds: what immersion limits is wiped; what it destroys is not.
          return worst < 'B' || worst === 'D';
        case 'no':
          return worst !== 'D';
        case 'unknown':
          return true;
      }
    });
    expect(off).toEqual([]);
  });

  test('a material that nobody named is unknown to every agent', () => {
    for (const agent of AGENTS) expect(gradeOf(COMPATIBILITY, agent, 'unknown')).toBe('unknown');
  });

  test('what harms says how, and what is fine says nothing', () => {
    for (const agent of AGENTS)
      for (const material of KNOWN) {
        const grade = gradeOf(COMPATIBILITY, agent, material);
        expect(whatHappens(COMPATIBILITY, agent, material) === '', `${agent} on ${material}`).toBe(grade === 'fine');
      }
  });

  test('a harmful agent never comes before one that is not, whatever the table and the dirt', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KNOWN),
        fc.uniqueArray(fc.constantFrom(...DIRTS), { maxLength: 3 }),
        fc.array(fc.tuple(fc.constantFrom(...AGENTS), fc.constantFrom(...KNOWN), fc.constantFrom(...GRADES)), {
          maxLength: 20,
        }),
        (material, dirts, changed) => {
          const grades = structuredClone(COMPATIBILITY.grades) as Record<
            string,
            Record<string, (typeof GRADES)[number]>
          >;
          for (const [agent, of, grade] of changed) (grades[agent] ?? {})[of] = grade;
          const order = chooseAgents({ ...COMPATIBILITY, grades }, [material], dirts).map(
            ({ grade }) => grade === 'no',
          );
          expect(order).toEqual([...order].sort((a, b) => Number(a) - Number(b)));
        },
      ),
    );
  });

  test('the gentlest that does it stands first', () => {
    const first = (material: KnownMaterial, dirt: (typeof DIRTS)[number]) =>
      chooseAgents(COMPATIBILITY, [material], [dirt])[0]?.agent;
    expect(first('acetal', 'fluff')).toBe('dry');
    expect(first('chloroprene', 'oily')).toBe('soapyWater');
    // Acetone takes it off too, and would take the pulley with it.
    expect(first('abs', 'sludge')).toBe('isopropanol');
    expect(first('copperAlloy', 'residue')).toBe('petroleumSpirit');
    expect(chooseAgents(COMPATIBILITY, ['abs'], ['residue']).find(({ agent }) => agent === 'acetone')?.grade).toBe(
      'no',
    );
    expect(isLubricant(first('steel', 'dry') ?? 'dry')).toBe(true);
    // Of what it may be, part would be harmed: not fine, and not refused either.
    const unsure = chooseAgents(COMPATIBILITY, ['acetal', 'abs'], ['residue']).find(({ agent }) => agent === 'acetone');
    expect(unsure).toMatchObject({ grade: 'unknown', happens: 'it harms ABS, which this may be' });
  });
});

describe('hazards by their statements', () => {
  test('each agent that GHS calls flammable says so, and none that it does not', () => {
    // H225 and H222 carry GHS02: Regulation (EC) No 1272/2008, Annex I and VI, from memory.
    const flames = (agent: Agent) => pictogramsOf(agent).includes('GHS02');
    for (const agent of [
      'isopropanol',
      'ethanol',
      'contactCleaner',
      'petroleumSpirit',
      'acetone',
      'turpentine',
      'brakeCleaner',
      'rubberRestorer',
      'penetratingOil',
    ] as const)
      expect(flames(agent), agent).toBe(true);
    for (const agent of [
      'dry',
      'water',
      'soapyWater',
      'glassCleaner',
      'ammoniaCleaner',
      'abrasive',
      'graphite',
      'talc',
    ] as const)
      expect(flames(agent), agent).toBe(false);
    for (const agent of AGENTS) expect(agentCaution(agent).startsWith('Flame:')).toBe(flames(agent));
  });
  test('every statement has its pictogram, and every one is known by name', () => {
    for (const agent of AGENTS)
      for (const code of statementsOf(agent)) expect(PICTOGRAMS[STATEMENTS[code].pictogram], code).toBeTruthy();
    // H304 is aspiration: the health hazard pictogram, as for hydrocarbons of low viscosity.
    expect(pictogramsOf('petroleumSpirit')).toContain('GHS08');
    expect(agentCaution('water')).toBe('');
    // Two flammable ones are cautioned of once.
    expect(agentCaution('acetone', 'isopropanol')).toBe(agentCaution('acetone'));
  });
});

describe('a table from elsewhere', () => {
  test('is filled up where it says nothing, and refused in words where it says what cannot be', () => {
    const partly = checkCompatibility({
      name: 'ours',
      grades: { acetone: { abs: 'brief' } },
      effects: {},
      dryMinutes: { acetone: 3 },
    });
    expect(
      partly.ok && [
        partly.value.grades.acetone?.abs,
        partly.value.grades.acetone?.acrylic,
        partly.value.dryMinutes.acetone,
      ],
    ).toEqual(['brief', 'no', 3]);
    expect(partly.ok && whatHappens(partly.value, 'acetone', 'abs')).toBe('by this bench’s own table');
    const said = (given: object) => {
      const result = checkCompatibility({ ...COMPATIBILITY, ...given });
      return result.ok ? '' : result.problem;
    };
    expect(said({ grades: { benzol: {} } })).toContain('“benzol” is no agent');
    expect(said({ grades: { acetone: { wood: 'fine' } } })).toContain('“wood” is not known');
    expect(said({ grades: { acetone: { abs: 'maybe' } } })).toContain('“maybe” is not one of');
    expect(said({ dryMinutes: { acetone: 20_000 } })).toContain('0 to 10080');
  });
});
