import { nanoid } from 'nanoid';
import { useState } from 'react';
import { WAY_PLACE_KINDS, type WayPlace, type WayPlaceKind } from '@loose-pulley/core/physics/train';
import { parseForce, parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { NumberLine } from '../ui/NumberLine';
import { Segments } from '../ui/Segments';

const KINDS: Readonly<Record<WayPlaceKind, string>> = {
  binds: 'binds',
  lifts: 'lifts',
  clamps: 'clamps',
  clicks: 'clicks',
};
const MOST = 12;

/** Where on its way it binds, lifts, is clamped or clicks: from where it is in. */
export function WayPanel() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { places = [] } = ticket.train;
  const [kind, setKind] = useState<WayPlaceKind>('binds');
  const [atMm, setAtMm] = useState<number | null>(null);
  const put = (next: readonly WayPlace[], gesture?: string) =>
    dispatch(recordEvent({ type: 'placesPut', places: next }, gesture));
  const change = (id: string, changes: Partial<WayPlace>, gesture: string) =>
    put(
      places.map((one) => (one.id === id ? { ...one, ...changes } : one)),
      gesture,
    );
  const add = (): void => {
    if (atMm === null) return;
    void put([...places, { id: nanoid(10), kind, atMm, overMm: null, forceN: null }]);
    setAtMm(null);
  };
  const sorted = [...places].sort((a, b) => a.atMm - b.atMm);
  return (
    <div className="grid gap-3">
      <p className="text-soft">Counted from where it is in. What nobody measured may stay empty.</p>
      {sorted.length > 0 && (
        <ul>
          {sorted.map((one) => (
            <li key={one.id} className="flex flex-wrap items-end gap-3 border-b border-hair py-2">
              <span className="min-h-11 self-center pt-3 font-semibold">
                {KINDS[one.kind]} at {one.atMm} mm
              </span>
              {one.kind !== 'clicks' && (
                <>
                  <NumberLine
                    label="over"
                    unit="mm"
                    value={one.overMm}
                    min={0.5}
                    max={400}
                    parse={parseNumber}
                    disabled={!canWrite}
                    onNumber={(overMm, gesture) => change(one.id, { overMm }, gesture)}
                  />
                  <NumberLine
                    label="so much more"
                    unit="N"
                    value={one.forceN}
                    min={0.02}
                    max={60}
                    parse={parseForce}
                    disabled={!canWrite}
                    onNumber={(forceN, gesture) => change(one.id, { forceN }, gesture)}
                  />
                </>
              )}
              <Button
                look="quiet"
                disabled={!canWrite}
                aria-label={`Remove: ${KINDS[one.kind]} at ${one.atMm} mm`}
                onClick={() => void put(places.filter(({ id }) => id !== one.id))}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      {canWrite && places.length < MOST && (
        <div className="flex flex-wrap items-end gap-3">
          <Segments
            label="What it does there"
            value={kind}
            options={WAY_PLACE_KINDS.map((one) => [one, KINDS[one]] as const)}
            onChoose={setKind}
          />
          <NumberLine label="at" unit="mm" value={atMm} max={1000} parse={parseNumber} onNumber={setAtMm} />
          <Button disabled={atMm === null} onClick={add}>
            Put it there
          </Button>
        </div>
      )}
    </div>
  );
}
