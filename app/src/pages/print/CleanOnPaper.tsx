import { treatmentWords } from '@loose-pulley/core/work/cleaning';
import { cleanView } from '@loose-pulley/core/views/clean';
import { DIRT_NAMES, MATERIAL_NAMES } from '@loose-pulley/core/work/compatibility';
import { RUNG_RESULT_NAMES, ladderOf } from '@loose-pulley/core/work/jams';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { MachineMap } from '../../parts/clean/MachineMap';
import { mapDrives } from '../../parts/clean/mapDrives';

/** About the width of the sheet between its margins, in CSS pixels. */
const PAPER_PX = 660;

/** The map of the machine, what was found at each place, what was done, and the way out of a jam. */
export function CleanOnPaper({ ticket }: { readonly ticket: Ticket }) {
  const { treatments, jam } = ticket.cleaning;
  const places = cleanView(ticket).places.filter(({ suggested }) => !suggested);
  if (places.length === 0 && !jam) return null;
  const loose = treatments.filter(({ placeId, line }) => placeId === null && line !== '');
  return (
    <section className="border-b border-hair py-2">
      <h3 className="text-base">Cleaned and cleared</h3>
      {places.length > 0 && (
        <div className="break-inside-avoid py-1">
          <MachineMap places={places} drives={mapDrives(ticket)} widthPx={PAPER_PX} nowMs={0} />
        </div>
      )}
      {places.map(({ place, state }) => (
        <p key={place.id}>
          {place.number} {place.name}
          {place.material !== 'unknown' && `, ${MATERIAL_NAMES[place.material]}`}
          {place.seen.length > 0 &&
            `; found ${[...new Set(place.seen.map(({ dirt }) => DIRT_NAMES[dirt]))].join(', ')}`}
          {state.treatments.length > 0 && `; ${state.treatments.map((one) => treatmentWords(one, '')).join('; ')}`}
          {place.left !== '' && `; left: ${place.left}`}.
        </p>
      ))}
      {loose.map((one) => (
        <p key={one.id}>{treatmentWords(one, '')}</p>
      ))}
      {jam && (
        <p>
          In the way: {jam.what || 'not known'}.{' '}
          {jam.tried
            .map(
              ({ rung, result }) =>
                `${ladderOf(ticket.loader).find((one) => one.rung === rung)?.name ?? rung}: ${RUNG_RESULT_NAMES[result]}`,
            )
            .join('. ')}
          {jam.lay && ` Lay ${jam.lay}.`}
          {jam.cameBy && ` ${jam.cameBy}`}
        </p>
      )}
    </section>
  );
}
