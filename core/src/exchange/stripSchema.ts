import { GEAR_ENDS, GEAR_RESULTS, TEMPORARY_CHANGE_KINDS, CHANGE_LIMITS, STEP_FACTS, STEP_KINDS } from '../strip';
import { flag, id, listOf, number, one, pictureId, shape, some, text, time } from './fields';

/* What the stored format says of a strip. */

export const step = () =>
  shape({
    id: id(),
    at: time(),
    number: number(0, 10_000),
    kind: one(STEP_KINDS),
    what: text(400),
    line: text(400),
    count: number(0, 1000),
    missing: number(0, 1000),
    drive: text(40),
    lengthMm: number(0, 1000).nullable(),
    where: text(400),
    orientation: text(400),
    facts: some(Object.fromEntries(STEP_FACTS.map((fact) => [fact, text(200)]))),
    leaveAlone: text(400),
    notNextTime: text(400),
    pictureIds: listOf(pictureId(), 20),
    removals: listOf(shape({ opening: number(1, 1000), off: number(0, 1000), back: number(0, 1000).nullable() }), 200),
  });
export const temporaryChange = () =>
  shape({
    id: id(),
    kind: one(TEMPORARY_CHANGE_KINDS),
    words: text(400),
    closes: text(400),
    before: one(CHANGE_LIMITS),
    openedAt: time(),
    closedAt: time().nullable(),
    afterStepId: id().nullable(),
    afterChangeId: id().nullable(),
  });
export const order = () => shape({ id: id(), firstId: id(), thenId: id(), why: text(400) });
export const found = () =>
  shape({
    id: id(),
    what: text(400),
    where: text(400),
    guess: text(400),
    homed: flag(),
    pictureIds: listOf(pictureId(), 20),
  });
export const gearTrial = () =>
  shape({
    id: id(),
    at: time(),
    what: text(400),
    parkedAt: one(GEAR_ENDS),
    teeth: number(-99, 99),
    result: one(GEAR_RESULTS),
  });
export const park = () => shape({ since: time(), lies: text(1000), awaited: text(1000) });
/** Everything about taking one machine apart. */
export const strip = () =>
  shape({
    steps: listOf(step(), 5000),
    lastNumber: number(0, 10_000),
    opening: number(1, 1000),
    temporaryChanges: listOf(temporaryChange(), 500),
    orders: listOf(order(), 2000),
    found: listOf(found(), 500),
    gearTrials: listOf(gearTrial(), 500),
    park: park().nullable(),
  });
