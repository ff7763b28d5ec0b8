import { nanoid } from 'nanoid';
import { useEffect, useState } from 'react';
import { DRIVEN_OF, DRIVEN_WORDS } from '@loose-pulley/core/loaders';
import {
  clicksFrom,
  memberWords,
  MEMBER_KINDS,
  MEMBER_NAMES,
  playAtEndMm,
  readTrain,
  type Member,
} from '@loose-pulley/core/train';
import { trainView } from '@loose-pulley/core/trainView';
import { parseNumber } from '@loose-pulley/core/units';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';
import { PluggedCaution } from '../../parts/clock/MainsLine';
import { useWidth } from '../../parts/draw/useWidth';
import { beltSizes } from '../../parts/train/beltSizes';
import { RollersPanel } from '../../parts/train/RollersPanel';
import { TrainDrawing } from '../../parts/train/TrainDrawing';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Caution } from '../../parts/ui/Caution';
import { Fold } from '../../parts/ui/Fold';
import { NumberLine } from '../../parts/ui/NumberLine';
import { useMedia } from '../../parts/ui/useMedia';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { MemberPanel } from './MemberPanel';
import { ModePanel } from './ModePanel';
import { SquarePanel } from './SquarePanel';

/** What moves behind the belt, and machines without one: from the motor to what moves the disc. */
export function TrainPage() {
  const { ticket } = useTicket();
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [motorTurns, setMotorTurns] = useState(0);
  const { train, loader } = ticket;
  const { figures, problem, counted, countedMm } = trainView(ticket);
  const moved = DRIVEN_WORDS[DRIVEN_OF[loader]];
  const chosen = train.members.find(({ id }) => id === chosenId);
  const slot = loader === 'slot';
  const most = Math.max(1, Math.ceil(figures?.turnsEndToEnd ?? 10));
  const number = (one: number): string => (one >= 10 ? one.toFixed(1) : one.toFixed(2));
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">The train, motor to {moved}</h2>
          {figures?.travelPerTurnMm !== undefined && (
            <p className="text-soft">
              s = {figures.travelPerTurnMm.toFixed(2)} mm a turn
              {figures.turnsEndToEnd !== undefined && ` · ${number(figures.turnsEndToEnd)} turns end to end`}
            </p>
          )}
        </div>
        <PluggedCaution ticket={ticket} />
        {slot && <RollersPanel />}
        <TrainLine />
        {problem && (
          <p role="alert" className="border-l-4 border-live pl-3 text-live">
            {problem.words}
          </p>
        )}
        <div ref={ref}>
          {train.members.length > 0 && (
            <TrainDrawing
              turns={figures?.turns ?? []}
              members={train.members}
              belts={beltSizes(ticket)}
              widthPx={widthPx}
              motorTurns={motorTurns}
              travelPerTurnMm={figures?.travelPerTurnMm}
              chosenId={chosenId}
              problemId={problem?.memberId}
              onChoose={(id) => setChosenId((now) => (now === id ? null : id))}
            />
          )}
        </div>
        {figures && train.members.length > 1 && (
          <Turning
            most={most}
            turns={motorTurns}
            onTurns={setMotorTurns}
            moved={moved}
            whole={figures.turnsEndToEnd !== undefined}
          />
        )}
        {counted && countedMm && (
          <p className={counted.agrees ? '' : 'border-l-4 border-live pl-3'}>
            {counted.agrees
              ? `Ten turns counted at Measure give ${countedMm.value.toFixed(2)} mm a turn: the train agrees.`
              : `Ten turns counted at Measure give ${countedMm.value.toFixed(2)} mm a turn, the train ${figures?.travelPerTurnMm?.toFixed(2) ?? ''}. The bench counts. What would explain it: ${counted.explained.join('; ')}.`}
          </p>
        )}
        {figures && <Figures />}
        <Square loaders={['tray', 'twinTray', 'carousel', 'lift', 'wire']} />
        <Fold title="Mode gear: where the mechanism believes it is" open={train.mode.states.length > 0}>
          <ModePanel />
        </Fold>
        {!slot && (
          <Fold title="Rollers and link" open={train.rollers.list.length > 0}>
            <RollersPanel />
          </Fold>
        )}
      </div>
      <aside aria-label="Member" className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        {chosen ? (
          <MemberPanel key={chosen.id} member={chosen} onClose={() => setChosenId(null)} />
        ) : (
          <p className="text-soft">
            Choose a member in the drawing: its teeth, its mark, what one tooth either way does, and a replacement.
          </p>
        )}
        <Clicks />
        <Caution>
          Turn by hand only unplugged, and never push the {moved} to turn the train. Fingers out of gears; clips fly:
          eyes.
        </Caution>
      </aside>
    </div>
  );
}

/** The train by typing, or from a sister machine. */
function TrainLine() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const past = usePastTickets();
  const [typed, setTyped] = useState('');
  useUnsaved('enter', typed.trim() !== '');
  const read = typed.trim() === '' ? undefined : readTrain(typed);
  const put = (members: readonly Member[]): boolean => dispatch(recordEvent({ type: 'trainPut', members }));
  const take = (): void => {
    if (!read?.ok) return;
    const drives = [...ticket.drives];
    const members = read.value.map((draft, at): Member => ({
      ...draft,
      id: nanoid(10),
      number: at + 1,
      // The belts of the ticket in their order.
      driveId: draft.kind === 'beltDrive' ? (drives.shift()?.id ?? null) : null,
    }));
    if (put(members)) setTyped('');
  };
  const add = (kind: Member['kind']): void => {
    const { members } = ticket.train;
    dispatch(
      recordEvent({
        type: 'memberPut',
        member: {
          id: nanoid(10),
          number: members.length + 1,
          kind,
          name: '',
          // A first guess to be changed: what is drawn is seen to be wrong.
          teeth:
            kind === 'gear' || kind === 'doubleGear' || kind === 'cam'
              ? 24
              : kind === 'worm'
                ? 1
                : kind === 'motor'
                  ? 10
                  : 0,
          second: kind === 'doubleGear' || kind === 'beltDrive' ? 10 : 0,
          moduleMm: null,
          shift: null,
          diameterMm: null,
          driveId: kind === 'beltDrive' ? (ticket.drives[0]?.id ?? null) : null,
          from: [],
          stepId: null,
          faults: [],
          reference: '',
        },
      }),
    );
  };
  const sister = past.find(({ train }) => train.members.length > 0);
  return (
    <section aria-label="Its members" className="grid gap-2">
      <label htmlFor="train-line" className="text-sm text-soft">
        From the motor on
        {ticket.train.members.length > 0 ? ': typed again, it takes the place of what stands there' : ''}
      </label>
      <div className="flex gap-2">
        <input
          id="train-line"
          value={typed}
          autoComplete="off"
          disabled={!canWrite}
          placeholder="motor 8T, gear 32/10, gear 28, rack 0.8"
          className="field w-full min-w-0 text-xl"
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
        />
        <Button look="strong" className="shrink-0" disabled={!canWrite || !read?.ok} onClick={take}>
          Draw it
        </Button>
      </div>
      <p aria-live="polite" className={read && !read.ok ? 'text-live' : 'text-soft'}>
        {read
          ? read.ok
            ? read.value.map((one) => memberWords({ ...one, id: '', number: 0 })).join(' → ')
            : read.problem
          : 'Such as “motor, belt 12T, gear 36/10, rack 0.8”, “motor, worm 1, gear 30, mode gear 40”, “motor 10T, gear 30, rollers 8”. A machine may have no belt at all.'}
      </p>
      {canWrite && (
        <label className="flex flex-wrap items-center gap-3">
          <span className="text-soft">Or one by one</span>
          <select
            value=""
            className="min-h-11 border-b border-ink bg-transparent"
            onChange={(event) => {
              const kind = MEMBER_KINDS.find((one) => one === event.target.value);
              if (kind) add(kind);
            }}
          >
            <option value="" className="bg-sheet text-ink">
              Choose…
            </option>
            {MEMBER_KINDS.map((kind) => (
              <option key={kind} value={kind} className="bg-sheet text-ink">
                {MEMBER_NAMES[kind]}
              </option>
            ))}
          </select>
        </label>
      )}
      {ticket.train.members.length === 0 && sister && (
        <Button
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() =>
            put(
              sister.train.members.map((one) => ({
                ...one,
                stepId: null,
                faults: [],
                driveId: one.kind === 'beltDrive' ? (ticket.drives[0]?.id ?? null) : null,
              })),
            )
          }
        >
          Take the train of {sister.number}: {sister.train.members.map(memberWords).join(', ')}
        </Button>
      )}
    </section>
  );
}

/** Turned by hand or played: by whole turns of the motor pulley. */
function Turning({
  most,
  turns,
  onTurns,
  moved,
  whole,
}: {
  readonly most: number;
  readonly turns: number;
  readonly onTurns: (turns: number) => void;
  readonly moved: string;
  /** The slider runs from end to end. */
  readonly whole: boolean;
}) {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  const [plays, setPlays] = useState(false);
  useEffect(() => {
    if (!plays) return undefined;
    let last = performance.now();
    let now = turns;
    let frame = requestAnimationFrame(function step(at) {
      // A quarter of a turn a second: what it does can be seen.
      now = (now + (at - last) / 4000) % most;
      last = at;
      onTurns(now);
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
    // Played from where it stands; what it is drawn at meanwhile is its own doing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [plays, most]);
  return (
    <div className="flex flex-wrap items-center gap-4">
      <label htmlFor="by-hand" className="font-semibold">
        Turn by hand
      </label>
      <input
        id="by-hand"
        type="range"
        min={0}
        max={most}
        step={0.05}
        value={turns}
        className="h-11 min-w-48 grow accent-live"
        aria-valuetext={`${turns.toFixed(1)} turns of the motor`}
        onChange={(event) => onTurns(Number(event.target.value))}
      />
      <span className="tabular-nums">
        {turns.toFixed(1)} of {most} turns{whole ? `, ${moved} end to end` : ''}
      </span>
      {!calm && <Button onClick={() => setPlays(!plays)}>{plays ? 'Stop' : 'Play'}</Button>}
    </div>
  );
}

/** Play of one mesh of small moulded gears, until it is measured. No source. */
const PLAY_MM = 0.1;

/** Directions, turns and times of every member. */
function Figures() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { figures, belts } = trainView(ticket);
  const { travelMm, motorRpm } = ticket.train;
  const play = playAtEndMm(ticket.train, belts, PLAY_MM);
  if (!figures) return null;
  const say = (changes: { readonly travelMm: number | null; readonly motorRpm: number | null }, gesture: string) =>
    dispatch(recordEvent({ type: 'trainSaid', changes }, gesture));
  return (
    <section aria-label="As numbers" className="grid gap-3">
      <div className="flex flex-wrap gap-4">
        <NumberLine
          label="Travel, end to end"
          unit="mm"
          value={travelMm}
          max={1000}
          min={1}
          parse={parseNumber}
          disabled={!canWrite}
          onNumber={(value, gesture) => say({ travelMm: value, motorRpm }, gesture)}
        />
        <NumberLine
          label="Motor speed"
          unit="rpm"
          value={motorRpm}
          max={100_000}
          min={1}
          parse={parseNumber}
          disabled={!canWrite}
          onNumber={(value, gesture) => say({ travelMm, motorRpm: value }, gesture)}
        />
        {figures.opensInS !== undefined && (
          <p className="self-end pb-2">Opens in {figures.opensInS.toFixed(1)} s at that speed.</p>
        )}
      </div>
      {play !== undefined && (
        <p>
          Play at its end: about {play.toFixed(2)} mm, taking {PLAY_MM} mm for each mesh, which is assumed.
        </p>
      )}
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 font-semibold">Member</th>
            <th className="py-1 text-right font-semibold">turns a turn of the motor</th>
            <th className="py-1 text-right font-semibold">turns end to end</th>
            <th className="py-1 text-right font-semibold">way, motor clockwise</th>
          </tr>
        </thead>
        <tbody>
          {figures.turns.map(({ member, turns }, index) => (
            <tr key={member.id} className="border-b border-hair">
              <td className="py-1">
                {index + 1} {memberWords(member)}
              </td>
              <td className="py-1 text-right">{Math.abs(turns).toFixed(4)}</td>
              <td className="py-1 text-right">
                {figures.turnsEndToEnd === undefined ? '–' : (Math.abs(turns) * figures.turnsEndToEnd).toFixed(1)}
              </td>
              <td className="py-1 text-right">{turns >= 0 ? 'clockwise' : 'anticlockwise'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** A noise that comes so many times over a full travel names its member. */
function Clicks() {
  const { ticket } = useTicket();
  const { figures } = trainView(ticket);
  const [clicks, setClicks] = useState<number | null>(null);
  if (!figures || ticket.train.members.length < 2) return null;
  const found = clicks === null ? [] : clicksFrom(figures, clicks);
  return (
    <section aria-label="A click" className="grid gap-2">
      <h3 className="text-lg">A click that comes again</h3>
      <NumberLine label="Clicks over the full travel" unit="times" value={clicks} max={10_000} onNumber={setClicks} />
      {clicks !== null && (
        <p>
          {figures.turnsEndToEnd === undefined
            ? 'Type the travel end to end first.'
            : found.length === 0
              ? 'No member turns so often in it.'
              : found
                  .map(({ member, turns }) => `${memberWords(member)}, which turns ${turns.toFixed(1)} times`)
                  .join('; or ')}
          {found.length > 0 && '. Look for its cracked or missing tooth.'}
        </p>
      )}
    </section>
  );
}

function Square({ loaders }: { readonly loaders: readonly string[] }) {
  const { ticket } = useTicket();
  if (!loaders.includes(ticket.loader)) return null;
  return (
    <Fold
      title="How it sits: square, seated"
      open={ticket.train.square.steps.length > 0 || ticket.train.square.leftMm !== null}
    >
      <SquarePanel />
    </Fold>
  );
}
