import { useEffect, useRef, useState, lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { PLACE_KINDS, PLACE_KNOWN, type PlaceKind } from '@loose-pulley/core/work/cleaning';
import { cleanView } from '@loose-pulley/core/views/clean';
import { agentCaution, type Agent } from '@loose-pulley/core/work/compatibility';
import { MachineMap } from '../../parts/clean/MachineMap';
import { mapDrives } from '../../parts/clean/mapDrives';
import { useClean } from '../../parts/clean/useClean';
import { useCompatibility } from '../../parts/clean/useCompatibility';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { useNow } from '../../parts/clock/useNow';
import { useWidth } from '../../parts/draw/useWidth';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Caution } from '../../parts/ui/Caution';
import { Fold } from '../../parts/ui/Fold';
import { useMedia } from '../../parts/ui/useMedia';
import { AskFirst } from '../../parts/clean/AskFirst';
import { BeforeAfter } from './BeforeAfter';
import { BeforeTheBelt, PutRight, Worked } from './Heard';
import { CleanLine } from './CleanLine';
import { JamLadder } from './JamLadder';
import { PlacePanel } from './PlacePanel';
import { LubricantRule } from './LubricantRule';

// It floats: fetched with the page that has one.
const Menu = lazy(() => import('../../parts/ui/Menu'));

/** Causes at which something is in the way. */
const JAMS: readonly string[] = ['discJammed', 'loosePart'];

/** Clean and clear: a map of the machine, a line that says what was done, and what has to dry before the belt goes on. */
export function CleanPage() {
  const { ticket, canWrite } = useTicket();
  const table = useCompatibility();
  const cleaner = useClean(table);
  const nowMs = useNow();
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const panel = useRef<HTMLDivElement>(null);
  const { places } = cleanView(ticket);
  const chosen = places.find(({ place }) => place.id === chosenId);
  const choose = (id: string): void => setChosenId((now) => (now === id ? null : id));
  useEffect(() => {
    const element = panel.current;
    // On a phone the panel lies under the map.
    if (chosenId && element && element.getBoundingClientRect().top > innerHeight - 120)
      element.scrollIntoView({ block: 'start' });
  }, [chosenId]);
  const agents = [...new Set(ticket.cleaning.treatments.flatMap(({ agent }) => agent ?? []))];
  const wide = useMedia('(min-width: 1024px)');
  const jammed =
    (ticket.cleaning.jam !== null && !ticket.cleaning.jam.out) ||
    ticket.verdicts.some(({ causeId, state }) => state === 'found' && JAMS.includes(causeId));
  const said = ticket.cleaning.places.length;
  const clean = places.filter(({ state }) => state.clean).length;
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_360px] lg:grid-rows-[auto_1fr]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">Clean</h2>
          <p className="text-soft">
            {said === 0 ? 'Nothing said yet' : `${said} ${said === 1 ? 'place' : 'places'}, ${clean} clean`}
          </p>
        </div>
        <PluggedCaution ticket={ticket} />
        <CleanLine cleaner={cleaner} chosenId={chosenId} />
        <div ref={ref}>
          <MachineMap
            places={places}
            drives={mapDrives(ticket)}
            widthPx={widthPx}
            nowMs={nowMs}
            chosenId={chosenId}
            onChoose={choose}
          />
        </div>
        {canWrite && (
          <AddPlace
            onAdd={(kind) => cleaner.say([{ type: 'place', place: { id: null, kind, name: PLACE_KNOWN[kind].name } }])}
          />
        )}
      </div>
      <aside
        ref={panel}
        aria-label="Place and cautions"
        className="grid scroll-mt-2 content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:row-span-2 lg:border-l"
      >
        {chosen && cleaner.waiting && <AskFirst cleaner={cleaner} onDone={() => undefined} />}
        {chosen ? (
          <PlacePanel key={chosen.place.id} view={chosen} cleaner={cleaner} onClose={() => setChosenId(null)} />
        ) : (
          <p className="text-soft">
            Choose a place on the map: what takes its dirt off, what harms it, and how it is gone about.
          </p>
        )}
        <BeforeTheBelt />
        <PutRight />
        <Cautions agents={agents} />
        {wide && <Beside />}
        {/* Known only once the other tickets are: last, so that nothing moves when it comes. */}
        <Worked />
      </aside>
      <div className="grid grid-cols-1 content-start gap-6 bg-sheet px-5 pb-5">
        {jammed && <JamLadder />}
        <BeforeAfter />
        {!jammed && <JamLadder />}
        {!wide && <Beside />}
      </div>
    </div>
  );
}

/** What stands beside the work, and after it on a phone. */
function Beside() {
  return (
    <div className="grid content-start gap-4">
      <Fold title="Oil or grease">
        <LubricantRule />
      </Fold>
      <Link
        to="/compatibility"
        className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
      >
        What may touch what
      </Link>
      <StationFoot station="clean" note />
    </div>
  );
}

/** Cautions of what was used, each once; the plain ones until something was. */
function Cautions({ agents }: { readonly agents: readonly Agent[] }) {
  const own = agentCaution(...agents);
  return (
    <Caution>
      {own !== '' ? own : 'Solvent vapour burns and harms: air, gloves, no flame.'} Dissolved rubber stains skin; old
      dust is not for lungs. Try it where it does not show.
    </Caution>
  );
}

/** A place more by touch. */
function AddPlace({ onAdd }: { readonly onAdd: (kind: PlaceKind) => void }) {
  return (
    <Suspense fallback={null}>
      <Menu
        label="One more place"
        className="justify-self-start"
        items={PLACE_KINDS.map((kind) => [PLACE_KNOWN[kind].name, () => onAdd(kind)] as const)}
      />
    </Suspense>
  );
}
