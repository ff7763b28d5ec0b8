import { createHash } from 'node:crypto';
import { SECTION_SHAPES, type SectionShape } from '@loose-pulley/core/base/shapes';
import express, { Router, type Request, type Response } from 'express';

/*
 * The demo's parts counter: a supplier that is made up. It keeps nothing: what it has, what it costs, how long it takes and
 * whether the right belt is in the bag all follow from the size that is asked for, so that every demo finds the same.
 */

interface Belt {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  readonly widthMm: number | null;
  readonly innerLengthMm: number;
}
interface Line {
  readonly lineId: string;
  readonly belt: Belt;
  readonly quantity: number;
}

const LINES_MAX = 100;
const DAY_MS = 86_400_000;

const isNumber = (value: unknown, min: number, max: number): value is number =>
  typeof value === 'number' && value >= min && value <= max;

function isLine(value: unknown): value is Line {
  const { lineId, belt, quantity } = (value ?? {}) as Partial<Line>;
  return (
    typeof lineId === 'string' &&
    /^[\w-]{1,64}$/.test(lineId) &&
    isNumber(quantity, 1, 10_000) &&
    Number.isInteger(quantity) &&
    SECTION_SHAPES.some((shape) => shape === belt?.shape) &&
    isNumber(belt?.thicknessMm, 0.3, 8) &&
    isNumber(belt?.innerLengthMm, 1, 2000) &&
    (belt?.widthMm === null || isNumber(belt?.widthMm, 0.3, 20))
  );
}

/** A whole number below a bound that follows from a belt alone. */
function drawn(of: string, { shape, thicknessMm, innerLengthMm }: Belt, below: number): number {
  const key = `${of} ${shape} ${thicknessMm.toFixed(2)} ${innerLengthMm.toFixed(1)}`;
  return createHash('sha256').update(key).digest().readUInt32BE() % below;
}

/** What the counter has of a belt. One in six is sold out, one in six nearly; the next size is offered then. */
function offerOf({ lineId, belt, quantity }: Line) {
  const fate = drawn('stock', belt, 6);
  const inStock = fate === 0 ? 0 : fate === 1 ? Math.max(1, Math.floor(quantity / 2)) : 12 + drawn('many', belt, 40);
  const state = inStock === 0 ? 'soldOut' : inStock < quantity ? 'few' : 'has';
  const price = (60 + drawn('price', belt, 140)) / 100;
  return {
    lineId,
    state,
    inStock,
    price,
    days: 1 + drawn('days', belt, 5),
    substitute:
      state === 'has'
        ? null
        : { belt: { ...belt, innerLengthMm: belt.innerLengthMm + 4 }, price: price + 0.1, inStock: 20 },
  };
}

/** One bag in five holds the next size down: belts are put back into the wrong box everywhere. */
const inBagMm = (belt: Belt): number => (drawn('bag', belt, 5) === 0 ? belt.innerLengthMm - 4 : belt.innerLengthMm);

/** What a caliper reads across a belt doubled flat: half of its inner length and two of its thickness. */
const doubledMm = (belt: Belt): number => Math.round(10 * (inBagMm(belt) / 2 + 2 * belt.thicknessMm)) / 10;

const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/** The counter's own words for what it cannot read. */
function linesOf(req: Request, res: Response): readonly Line[] | undefined {
  const { lines } = (req.body ?? {}) as { readonly lines?: unknown };
  if (
    Array.isArray(lines) &&
    lines.length > 0 &&
    lines.length <= LINES_MAX &&
    lines.every(isLine) &&
    // A line stands on a list once.
    new Set(lines.map(({ lineId }) => lineId)).size === lines.length
  )
    return lines;
  res
    .status(400)
    .type('text/plain')
    .send(
      'The parts counter cannot read that list: each line needs a belt, how many in whole pieces, and stands there once.\n',
    );
  return undefined;
}

/** The reference of an order says when it was placed, and two letters that only this counter gives: nothing else is kept. */
const sealOf = (when: string): string =>
  createHash('sha256').update(`counter ${when}`).digest('hex').slice(0, 2).toUpperCase();
const referenceOf = (atMs: number): string => {
  const when = atMs.toString(36).toUpperCase();
  return `CB-${when}-${sealOf(when)}`;
};
const placedAtMs = (reference: string): number | undefined => {
  const [, when = '', seal = ''] = /^CB-([0-9A-Z]{6,10})-([0-9A-F]{2})$/.exec(reference) ?? [];
  return when !== '' && sealOf(when) === seal ? parseInt(when, 36) : undefined;
};

interface Placed {
  readonly reference: string;
  readonly expectedOn: string;
  /** What was ordered with it, which a list that changed since no longer says. */
  readonly lines: readonly Line[];
}
/** Orders by the numbers that benches gave them, the newest kept: what is asked twice is ordered once. */
const NUMBERS_KEPT = 2000;
const NUMBER = /^[\w-]{1,64}$/;

/** So many questions a second are answered, from all benches together. */
const A_SECOND = 20;

const daysOf = (lines: readonly Line[]): number => Math.max(...lines.map((line) => offerOf(line).days));

/**
 * The counter's routes. A belt of 66.6 mm finds it closed and one of 77.7 mm finds it slow, so that both can be seen and
 * tested.
 */
export function counterRoutes(): Router {
  const router = Router();
  router.use(express.json({ limit: '200kb' }));
  const placed = new Map<string, Placed>();
  let second = 0;
  let asked = 0;
  router.use((_, res, next) => {
    const now = Math.floor(Date.now() / 1000);
    asked = now === second ? asked + 1 : 1;
    second = now;
    if (asked <= A_SECOND) {
      next();
      return;
    }
    res
      .status(429)
      .type('text/plain')
      .send('The parts counter is asked too often. Wait a moment. Nothing was ordered.\n');
  });
  router.post('/quote', (req, res) => {
    const lines = linesOf(req, res);
    if (!lines) return;
    if (lines.some(({ belt }) => belt.innerLengthMm === 66.6)) {
      res
        .status(503)
        .type('text/plain')
        .send('The parts counter is closed for stocktaking. Try again later, or send the list by hand.\n');
      return;
    }
    const slow = lines.some(({ belt }) => belt.innerLengthMm === 77.7);
    setTimeout(() => res.json(lines.map(offerOf)), slow ? 9000 : 250);
  });
  router.post('/orders', (req, res) => {
    const lines = linesOf(req, res);
    if (!lines) return;
    const { number } = req.body as { readonly number?: unknown };
    if (typeof number !== 'string' || !NUMBER.test(number)) {
      res
        .status(400)
        .type('text/plain')
        .send('The parts counter needs a number for the order, to know it again. Nothing was ordered.\n');
      return;
    }
    const known = placed.get(number);
    if (known) {
      res.json(known);
      return;
    }
    if (lines.some((line) => offerOf(line).state === 'soldOut')) {
      res
        .status(409)
        .type('text/plain')
        .send('Something on the list is sold out. Take it off, or take the other one. Nothing was ordered.\n');
      return;
    }
    const now = Date.now();
    const order = { reference: referenceOf(now), expectedOn: dayOf(now + daysOf(lines) * DAY_MS), lines };
    placed.set(number, order);
    const [oldest] = placed.keys();
    if (placed.size > NUMBERS_KEPT && oldest !== undefined) placed.delete(oldest);
    // A list with a belt of 88.8 mm is ordered, and the answer is lost on its way: the first time.
    const lost = lines.some(({ belt }) => belt.innerLengthMm === 88.8);
    setTimeout(() => res.json(order), lost ? 9000 : 0);
  });
  router.post('/orders/:reference', (req, res) => {
    const lines = linesOf(req, res);
    if (!lines) return;
    const atMs = placedAtMs(req.params.reference);
    if (atMs === undefined) {
      res.status(404).type('text/plain').send('The parts counter knows no such order.\n');
      return;
    }
    const dueMs = atMs + daysOf(lines) * DAY_MS;
    if (Date.now() < dueMs && req.query.hurry !== '1') {
      res.json({ state: 'onItsWay', expectedOn: dayOf(dueMs) });
      return;
    }
    res.json({
      state: 'here',
      // What was short comes in part.
      bags: lines.map((line) => ({
        lineId: line.lineId,
        count: Math.min(line.quantity, offerOf(line).inStock),
        readsDoubledMm: doubledMm(line.belt),
      })),
    });
  });
  return router;
}
