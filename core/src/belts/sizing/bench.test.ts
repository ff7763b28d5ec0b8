import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SURFACES } from '../../physics/drive';
import {
  checkPriors,
  checkRequirements,
  DEFAULT_PRIORS,
  DEFAULT_REQUIREMENTS,
  FRICTION_FIELD,
  PRIOR_FIGURES,
  PRIOR_SPREADS,
  priorsOfLimits,
  REQUIREMENT_FIELDS,
  requirementsOfLimits,
  type FigureKey,
  type SpreadKey,
} from '.';

/* What a bench believes and demands, as its browser keeps it: of any age, and changed by anybody. */

const SPREADS = Object.keys(PRIOR_SPREADS) as SpreadKey[];
const FIGURES = Object.keys(PRIOR_FIGURES) as FigureKey[];
const REQUIREMENTS = Object.keys(REQUIREMENT_FIELDS) as Array<keyof typeof REQUIREMENT_FIELDS>;
const JUNK = [undefined, null, 0, 'much', [], NaN, { best: 'wide' }] as const;

describe('what is believed', () => {
  test('of nothing, and of nonsense, is the app’s own', () => {
    for (const kept of JUNK) expect(checkPriors(kept)).toEqual(DEFAULT_PRIORS);
    const nonsense = Object.fromEntries([...SPREADS, ...FIGURES, 'friction'].map((key) => [key, 'much']));
    expect(checkPriors(nonsense)).toEqual(DEFAULT_PRIORS);
  });
  test.each(SPREADS)('%s of the bench’s own is kept within its bounds, best and spread each by itself', (key) => {
    const { min, max } = PRIOR_SPREADS[key];
    const own = { best: (min + max) / 2, std: max / 4 };
    expect(checkPriors({ [key]: own })).toEqual({ ...DEFAULT_PRIORS, [key]: own });
    for (const best of [min - 1e-6, max + 1e-6, NaN, Infinity]) {
      expect(checkPriors({ [key]: { ...own, best } })[key]).toEqual({ ...own, best: DEFAULT_PRIORS[key].best });
    }
    for (const std of [-1e-6, max + 1e-6, NaN]) {
      expect(checkPriors({ [key]: { ...own, std } })[key]).toEqual({ ...own, std: DEFAULT_PRIORS[key].std });
    }
  });
  test.each(FIGURES)('%s of the bench’s own is kept within its bounds', (key) => {
    const { min, max } = PRIOR_FIGURES[key];
    for (const own of [min, (min + max) / 2, max]) expect(checkPriors({ [key]: own })[key]).toBe(own);
    for (const beyond of [min - 1e-6, max + 1e-6, NaN, '1']) {
      expect(checkPriors({ [key]: beyond })[key]).toBe(DEFAULT_PRIORS[key]);
    }
  });
  test('friction is kept surface by surface', () => {
    for (const surface of SURFACES) {
      const own = { best: 0.33, std: 0.04 };
      expect(checkPriors({ friction: { [surface]: own } }).friction).toEqual({
        ...DEFAULT_PRIORS.friction,
        [surface]: own,
      });
      expect(
        checkPriors({ friction: { [surface]: { best: FRICTION_FIELD.max + 1, std: 0.04 } } }).friction[surface],
      ).toEqual({
        best: DEFAULT_PRIORS.friction[surface].best,
        std: 0.04,
      });
    }
  });
});

describe('what is demanded', () => {
  test('of nothing, and of nonsense, is the app’s own', () => {
    for (const kept of JUNK) expect(checkRequirements(kept)).toEqual(DEFAULT_REQUIREMENTS);
  });
  test.each(REQUIREMENTS)('%s of the bench’s own is kept within its bounds, and beside it nothing changes', (key) => {
    const { min, max } = REQUIREMENT_FIELDS[key];
    const own = key === 'strainComfortable' ? min : max;
    expect(checkRequirements({ [key]: own })).toEqual({ ...DEFAULT_REQUIREMENTS, [key]: own });
    for (const beyond of [min - 1e-6, max + 1e-6, NaN, null]) {
      expect(checkRequirements({ [key]: beyond })).toEqual(DEFAULT_REQUIREMENTS);
    }
  });
  test('rubber is never trusted with less than is comfortable', () => {
    expect(checkRequirements({ strainComfortable: 0.3, strainMax: 0.1 })).toMatchObject({
      strainComfortable: 0.3,
      strainMax: 0.3,
    });
  });
});

test('made whole, either stays as it is, whatever was kept', () => {
  const anything = fc.dictionary(
    fc.constantFrom(...SPREADS, ...FIGURES, ...REQUIREMENTS, 'friction'),
    fc.oneof(fc.double(), fc.record({ best: fc.double(), std: fc.double() }), fc.string(), fc.constant(null)),
  );
  fc.assert(
    fc.property(anything, (kept) => {
      const [believed, demanded] = [checkPriors(kept), checkRequirements(kept)];
      expect(checkPriors(believed)).toEqual(believed);
      expect(checkRequirements(demanded)).toEqual(demanded);
      expect(demanded.strainMax).toBeGreaterThanOrEqual(demanded.strainComfortable);
    }),
  );
});

test('the one list of limits that older versions kept is parted, and nothing of it is lost', () => {
  const limits = {
    stretchComfortable: 0.1,
    stretchMost: 0.25,
    gripLeast: 1.3,
    gripWanted: 2,
    motorLeast: 1.2,
    motorWanted: 1.4,
    bendLeast: 5,
    trayPullN: { best: 2, std: 0.5 },
    driveDiameterMm: { best: 30, std: 6 },
    friction: { clean: { best: 0.7, std: 0.1 } },
  };
  expect(checkRequirements(requirementsOfLimits(limits))).toEqual({
    strainComfortable: 0.1,
    strainMax: 0.25,
    gripMin: 1.3,
    gripWanted: 2,
    motorMin: 1.2,
    motorWanted: 1.4,
    bendMin: 5,
  });
  expect(checkPriors(priorsOfLimits(limits))).toEqual({
    ...DEFAULT_PRIORS,
    trayPullN: { best: 2, std: 0.5 },
    drivenDiameterMm: { best: 30, std: 6 },
    friction: { ...DEFAULT_PRIORS.friction, clean: { best: 0.7, std: 0.1 } },
  });
});
