import { useMemo } from 'react';
import { Link } from 'react-router';
import { countsOf, layerCounts, rebuildOf, TEMPORARY_CHANGE } from '@loose-pulley/core/work/strip';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { LeftOver } from '../../parts/strip/LeftOver';
import { FoundParts } from '../../parts/strip/FoundParts';
import { LongList } from '../../parts/ui/LongList';
import { Caution } from '../../parts/ui/Caution';
import { BookIn } from './BookIn';
import { GearTiming } from './GearTiming';
import { Orders } from './Orders';
import { RebuildList } from './RebuildList';

/** Putting it together: the reverse of the strip except where it is not, counted in, with every temporary change on the way. */
export function RebuildPage() {
  const { ticket } = useTicket();
  const { strip } = ticket;
  const items = useMemo(() => rebuildOf(strip), [strip]);
  const counts = useMemo(() => countsOf(strip), [strip]);
  const layers = useMemo(
    () => layerCounts(strip.steps).map((layer, index) => ({ ...layer, key: `${layer.name}${index}` })),
    [strip],
  );
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_320px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">Rebuild</h2>
          <p className="text-soft">
            {counts.out === 0
              ? 'No screw is out'
              : `${counts.out} ${counts.out === 1 ? 'screw is' : 'screws are'} still out`}
            {counts.leftOver > 0 && `, ${counts.leftOver} left over`}
          </p>
        </div>
        <LeftOver />
        <PluggedCaution ticket={ticket} />
        <Caution>Nothing pinched, nothing bridged, no power while a hand is inside.</Caution>
        {items.length === 0 ? (
          <p className="text-lg">
            {strip.steps.length === 0 ? (
              <>
                Nothing was taken off in words.{' '}
                <Link className="underline" to={`/t/${ticket.id}/strip`}>
                  The strip
                </Link>{' '}
                makes this list by itself.
              </>
            ) : (
              `Everything is back, and every ${TEMPORARY_CHANGE} is reversed.`
            )}
          </p>
        ) : (
          <RebuildList items={items} />
        )}
        <BookIn />
        {strip.steps.length > 0 && (
          <section aria-labelledby="by-layer">
            <h3 id="by-layer" className="border-b border-ink pb-1 text-lg">
              Screws in, by layer
            </h3>
            <LongList as="ul" items={layers} keyOf={({ key }) => key} usualPx={37}>
              {({ name, off, back }) => (
                <div className="flex justify-between gap-3 border-b border-hair py-1.5">
                  <span className="first-letter:uppercase">{name}</span>
                  <span>
                    <strong>{back}</strong> of {off}
                    {back === off && ', all in'}
                  </span>
                </div>
              )}
            </LongList>
          </section>
        )}
      </div>
      <aside
        aria-label="Order and timing"
        className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        <FoundParts />
        <Orders />
        <GearTiming />
        <StationFoot station="rebuild" note />
      </aside>
    </div>
  );
}
