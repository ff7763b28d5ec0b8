import { useId } from 'react';
import { CLEAN_SWABS, PLACE_KNOWN, SWABS, treatmentWords, type Place } from '@loose-pulley/core/work/cleaning';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import {
  DIRT_NAMES,
  DIRTS,
  MATERIAL_NAMES,
  MATERIALS,
  type Dirt,
  type Material,
} from '@loose-pulley/core/work/compatibility';
import { timerState, timerWords } from '@loose-pulley/core/base/timers';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import type { Cleaner } from '../../parts/clean/useClean';
import { useNow } from '../../parts/clock/useNow';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { TextLine } from '../../parts/ui/TextLine';
import { Agents } from './Agents';
import { Lubrication } from './Lubrication';
import { Select } from '../../parts/ui/Select';

/** One place: what it is of, what was found, what takes it off, swab by swab until it is clean. */
export function PlacePanel({
  view,
  cleaner,
  onClose,
}: {
  readonly view: PlaceView;
  readonly cleaner: Cleaner;
  readonly onClose: () => void;
}) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const id = useId();
  const { place, state, suggested, timer, off } = view;
  const known = PLACE_KNOWN[place.kind];
  const named = { id: place.id, kind: place.kind, name: place.name };
  const put = (changes: Partial<Place>, gesture?: string): boolean =>
    // Said of for the first time, it gets its number with it.
    suggested
      ? cleaner.say([{ type: 'place', place: named }]) === 'done'
      : dispatch(recordEvent({ type: 'placePut', place: { ...place, ...changes } }, gesture));
  const material = (of: Material): void => {
    cleaner.say([{ type: 'place', place: named }], '', { materials: { [place.id]: of } });
  };
  return (
    <section aria-label={`Place: ${place.name}`} className="grid content-start gap-3">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-xl">
          {place.number > 0 && <span className="mr-2 text-soft">{place.number}</span>}
          <span className="inline-block first-letter:uppercase">{place.name}</span>
        </h3>
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      {off && <p className="text-soft">It is off the machine: done on the bench.</p>}
      <p className="text-[15px]">{known.manner}</p>
      <div className="flex items-center justify-between gap-2 border-b border-hair pb-2">
        <label htmlFor={`${id}-of`}>It is of</label>
        <Select
          id={`${id}-of`}
          value={place.material}
          disabled={!canWrite}
          onChoose={(chosen) => material(MATERIALS.find((one) => one === chosen) ?? 'unknown')}
          look="line"
          options={[
            ...[...new Set<Material>(['unknown', ...known.materials, ...MATERIALS])].map(
              (one) => [one, MATERIAL_NAMES[one]] as const,
            ),
          ]}
        />
      </div>
      <Found view={view} cleaner={cleaner} onSeen={(seen) => put({ seen })} />
      <Agents view={view} cleaner={cleaner} />
      <SwabCameAway view={view} cleaner={cleaner} />
      {place.kind === 'switch' && <Levers cleaner={cleaner} />}
      <Lubrication view={view} cleaner={cleaner} />
      {timer && <Dries view={view} cleaner={cleaner} />}
      <div className="grid gap-1.5">
        <div className="flex flex-wrap gap-2">
          {known.worn.map((worn) => (
            <Chip
              key={worn}
              on={place.left.includes(worn)}
              disabled={!canWrite}
              onClick={() => cleaner.say([{ type: 'left', place: named, words: worn }])}
            >
              {worn}
            </Chip>
          ))}
        </div>
        <TextLine
          label="Left as it is, and why: it goes on the papers"
          value={place.left}
          maxLength={400}
          disabled={!canWrite || suggested}
          onText={(left, gesture) => put({ left }, gesture)}
        />
      </div>
      <DoneHere view={view} />
      {!suggested && (
        <div className="grid gap-2 border-t border-hair pt-2">
          <TextLine
            label="Called"
            value={place.name}
            maxLength={80}
            disabled={!canWrite}
            onText={(name, gesture) => name.trim() !== '' && put({ name }, gesture)}
          />
          {state.treatments.length === 0 && (
            <Button
              look="quiet"
              className="justify-self-start"
              disabled={!canWrite}
              onClick={() => {
                if (dispatch(recordEvent({ type: 'placeRemoved', placeId: place.id }))) onClose();
              }}
            >
              Take it off the map
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

/** One of several that may be so: filled where it is. */
function Chip({
  on,
  disabled,
  onClick,
  children,
}: {
  readonly on: boolean;
  readonly disabled: boolean;
  readonly onClick: () => void;
  readonly children: string;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      disabled={disabled}
      onClick={onClick}
      className={`min-h-11 border border-ink px-3 disabled:opacity-50 ${on ? 'bg-ink text-paper' : ''}`}
    >
      {children}
    </button>
  );
}

/** The levers of a switch stand in the way, and are the thing that a tray tears off. */
function Levers({ cleaner }: { readonly cleaner: Cleaner }) {
  const { ticket, canWrite } = useTicket();
  const out = ticket.strip.temporaryChanges.some(
    ({ kind, closedAt }) => kind === 'switchLeversOff' && closedAt === null,
  );
  return (
    <Button disabled={!canWrite} onClick={() => cleaner.say([{ type: 'levers', out: !out }])}>
      {out ? 'Put the levers in again' : 'Take the levers out: to reverse before power'}
    </Button>
  );
}

/** What dries here, to the second. */
function Dries({ view, cleaner }: { readonly view: PlaceView; readonly cleaner: Cleaner }) {
  const { canWrite } = useTicket();
  const nowMs = useNow();
  const { place, timer } = view;
  if (!timer) return null;
  const state = timerState(timer, nowMs);
  return (
    <p className="flex flex-wrap items-center justify-between gap-2 border-l-4 border-ink pl-3">
      <span className="first-letter:uppercase">{timerWords(timer.what, state)}</span>
      <Button
        disabled={!canWrite}
        onClick={() =>
          cleaner.say([
            {
              type: 'treat',
              place: { id: place.id, kind: place.kind, name: place.name },
              told: { deed: 'dried', agent: null, way: '', strokes: 0, amount: '', swabs: [], outcome: 'unknown' },
            },
          ])
        }
      >
        It is dry
      </Button>
    </p>
  );
}

/** What stands on it: said and taken back by a press. */
function Found({
  view: { place, state },
  cleaner,
  onSeen,
}: {
  readonly view: PlaceView;
  readonly cleaner: Cleaner;
  readonly onSeen: (seen: Place['seen']) => void;
}) {
  const { canWrite } = useTicket();
  const known = PLACE_KNOWN[place.kind];
  const dirts: readonly Dirt[] = [
    ...known.dirts,
    ...DIRTS.filter((one) => !known.dirts.includes(one) && (one !== 'dry' || known.lubrication)),
  ];
  const toggle = (dirt: Dirt): void => {
    if (state.standing.includes(dirt) && place.seen.some((one) => one.dirt === dirt))
      onSeen(place.seen.filter((one) => one.dirt !== dirt));
    else cleaner.say([{ type: 'seen', place: { id: place.id, kind: place.kind, name: place.name }, dirt }]);
  };
  return (
    <fieldset className="grid gap-1.5">
      <legend className="text-soft">Found</legend>
      <div className="flex flex-wrap gap-2">
        {dirts.slice(0, Math.max(4, known.dirts.length)).map((dirt) => (
          <Chip key={dirt} on={state.standing.includes(dirt)} disabled={!canWrite} onClick={() => toggle(dirt)}>
            {DIRT_NAMES[dirt]}
          </Chip>
        ))}
      </div>
      {dirts.length > 4 && (
        <Fold title="Something else">
          <div className="flex flex-wrap gap-2">
            {dirts.slice(Math.max(4, known.dirts.length)).map((dirt) => (
              <Chip key={dirt} on={state.standing.includes(dirt)} disabled={!canWrite} onClick={() => toggle(dirt)}>
                {DIRT_NAMES[dirt]}
              </Chip>
            ))}
          </div>
        </Fold>
      )}
    </fieldset>
  );
}

/** Swab by swab, until it is clean. */
function SwabCameAway({ view: { place, state }, cleaner }: { readonly view: PlaceView; readonly cleaner: Cleaner }) {
  const { canWrite } = useTicket();
  const named = { id: place.id, kind: place.kind, name: place.name };
  return (
    <div className="grid gap-1.5">
      <p>
        <span className="text-soft">Swab came away</span>{' '}
        {state.clean === 'twice' ? (
          <strong>clean, {CLEAN_SWABS} swabs running</strong>
        ) : state.clean === 'said' ? (
          <strong>clean, by your word</strong>
        ) : state.cleanSwabs > 0 ? (
          <strong>
            {state.cleanSwabs} of {CLEAN_SWABS} clean
          </strong>
        ) : null}
      </p>
      <div className="flex flex-wrap gap-2">
        {SWABS.map((swab) => (
          <Button key={swab} disabled={!canWrite} onClick={() => cleaner.say([{ type: 'swab', place: named, swab }])}>
            {swab}
          </Button>
        ))}
        {place.kind === 'roller' && (
          <Button
            disabled={!canWrite}
            onClick={() =>
              cleaner.say([
                {
                  type: 'treat',
                  place: named,
                  told: { deed: 'wipe', agent: null, way: '', strokes: 0, amount: '', swabs: [], outcome: 'tacky' },
                },
              ])
            }
          >
            tacky
          </Button>
        )}
      </div>
    </div>
  );
}

/** What was done here, the last at the end. */
function DoneHere({ view: { state } }: { readonly view: PlaceView }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  if (state.treatments.length === 0) return null;
  return (
    <div>
      <h4 className="text-soft">Done here</h4>
      <ol>
        {state.treatments.map((one) => (
          <li key={one.id} className="flex items-center justify-between gap-2 border-b border-hair">
            <span className="first-letter:uppercase">{treatmentWords(one, '')}</span>
            <Button
              look="quiet"
              disabled={!canWrite}
              aria-label={`Remove: ${treatmentWords(one, '')}`}
              onClick={() => dispatch(recordEvent({ type: 'treatmentRemoved', treatmentId: one.id }))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ol>
    </div>
  );
}
