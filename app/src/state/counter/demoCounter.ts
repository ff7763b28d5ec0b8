import { day, fits, id, list, number, shape, text } from '@loose-pulley/core/base/schema';
import { beltFields } from '@loose-pulley/core/shop/drawer';
import { ok, refuse, type Result } from '@loose-pulley/core/base/units';
import { MAY_BE_ORDERED, type Asked, type Offered, type Parcel, type PartsCounter, type Placed } from './port';

/** How long the counter may think before it counts as not answering. */
const PATIENCE_MS = 6000;
const NO_ANSWER = 'The parts counter does not answer. Nothing was ordered; the list stays, and can be sent by hand.';

async function call<T>(path: string, body?: unknown, silence = NO_ANSWER): Promise<Result<T>> {
  try {
    const response = await fetch(`/counter/${path}`, {
      ...(body !== undefined && {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    if (response.ok) return ok((await response.json()) as T);
    const said = response.headers.get('Content-Type')?.startsWith('text/plain') ? (await response.text()).trim() : '';
    // Broken on its way back, an order may have been taken all the same.
    if (response.status >= 500 && said === '') return refuse(silence);
    return refuse(said || `The parts counter could not answer (${response.status}). Nothing was ordered.`);
  } catch {
    return refuse(silence);
  }
}

/** An answer that is none of ours says nothing of whether it was ordered. */
const placedShape = shape({
  reference: text(80, 1),
  expectedOn: day(),
  lines: list(shape({ lineId: id(), quantity: number(1, 10_000), belt: shape(beltFields) }), 500, 1),
});

/** The simulated counter of the demo's own server. */
export const demoCounter: PartsCounter = {
  name: 'Corrie Belts',
  ask: (lines: readonly Asked[]) => call<readonly Offered[]>('quote', { lines }),
  async order(number, lines) {
    const placed = await call<Placed>('orders', { number, lines }, MAY_BE_ORDERED);
    return !placed.ok || fits(placedShape, placed.value) ? placed : refuse(MAY_BE_ORDERED);
  },
  parcel: (reference, lines, hurry) =>
    call<Parcel>(`orders/${encodeURIComponent(reference)}${hurry ? '?hurry=1' : ''}`, { lines }),
};
