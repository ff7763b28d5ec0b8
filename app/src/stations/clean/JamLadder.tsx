import { nanoid } from 'nanoid';
import type { Jam } from '@loose-pulley/core/work/cleaning';
import {
  directionWords,
  handTurns,
  ladderOf,
  nextRung,
  RUNG_RESULT_NAMES,
  RUNG_RESULTS,
  SIDE_NAMES,
  SIDES,
  TURN_WAYS,
  turnsWords,
  type Rung,
  type RungResult,
} from '@loose-pulley/core/work/jams';
import { forLoader, DRIVEN, loaderOf } from '@loose-pulley/core/base/loaders';
import { lidNow, newChange } from '@loose-pulley/core/work/strip';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { parseLength } from '@loose-pulley/core/base/units';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { sayMoment } from '../../state/persistence/moments';
import { useBench } from '../../state/store/assumptions';
import { useAppDispatch } from '../../state/store/hooks';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { Discs } from '../../parts/ticket/Discs';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';

const EMPTY_JAM: Jam = {
  what: '',
  travelLeftMm: null,
  opens: 'unknown',
  viewedFrom: 'unknown',
  tried: [],
  lay: '',
  cameBy: '',
  out: false,
};

/** Something is in the way: the ladder of this kind of loader, the gentlest rung first, and what came of each. */
export function JamLadder() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { jam } = ticket.cleaning;
  const put = (changes: Partial<Jam>, gesture?: string) =>
    dispatch(recordEvent({ type: 'jamPut', jam: { ...(jam ?? EMPTY_JAM), ...changes } }, gesture));
  if (!jam)
    return (
      <Button className="justify-self-start" disabled={!canWrite} onClick={() => put({})}>
        Something is in the way
      </Button>
    );
  return (
    <section aria-label="The way out" className="grid gap-4">
      <h3 className="border-b border-ink pb-1 text-lg">Something is in the way: the gentlest way out</h3>
      <div className="grid gap-4 xl:grid-cols-2">
        <div className="grid content-start gap-3">
          <TextLine
            label="What is in the way"
            hint="Such as: a disc under the tray, a spring, a child’s card."
            value={jam.what}
            maxLength={400}
            disabled={!canWrite}
            onText={(what, gesture) => put({ what }, gesture)}
          />
          <Ladder jam={jam} put={put} />
        </div>
        <div className="grid content-start gap-3">
          <ByHand jam={jam} put={put} />
          <TextLine
            label="Where it lay"
            value={jam.lay}
            maxLength={400}
            disabled={!canWrite}
            onText={(lay, gesture) => put({ lay }, gesture)}
          />
          <TextLine
            label="How it got there"
            value={jam.cameBy}
            maxLength={400}
            disabled={!canWrite}
            onText={(cameBy, gesture) => put({ cameBy }, gesture)}
          />
          <Discs />
          {jam.tried.length === 0 && jam.what === '' && (
            <Button
              look="quiet"
              className="justify-self-start"
              disabled={!canWrite}
              onClick={() => dispatch(recordEvent({ type: 'jamPut', jam: null }))}
            >
              Nothing is in the way after all
            </Button>
          )}
        </div>
      </div>
    </section>
  );
}

type Put = (changes: Partial<Jam>, gesture?: string) => unknown;

function Ladder({ jam, put }: { readonly jam: Jam; readonly put: Put }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const next = jam.out ? undefined : nextRung(ticket.loader, jam.tried);
  const plugged = ticket.mains !== null && ticket.mains.state !== 'unplugged';
  const lidOff = lidNow(ticket.lid, ticket.strip.steps)?.state === 'off';
  const came = (rung: Rung, result: RungResult): void => {
    const at = new Date().toISOString();
    const known = ladderOf(ticket.loader).find((one) => one.rung === rung);
    const bodies: EventBody[] = [
      {
        type: 'jamPut',
        jam: {
          ...jam,
          tried: [...jam.tried, { id: nanoid(10), at, rung, result, note: '' }],
          out: result === 'out',
        },
      },
    ];
    // Hooked up open only to eject: what it leaves is to be reversed.
    if (
      known?.power === 'plugged' &&
      lidOff &&
      !ticket.strip.temporaryChanges.some(({ kind, closedAt }) => kind === 'hookedUp' && closedAt === null)
    )
      bodies.push({
        type: 'temporaryChangePut',
        change: newChange('hookedUp', 'hooked up open, only to eject', ticket.strip, nanoid(10), at),
      });
    const found = /\bdis[ck]s?\b/i.test(jam.what);
    if (result === 'out' && found && !ticket.discs.some(({ returned }) => !returned))
      bodies.push({
        type: 'discPut',
        disc: {
          id: nanoid(10),
          whose: '',
          where: jam.lay.slice(0, 200),
          condition: '',
          out: known?.name ?? '',
          returned: false,
        },
      });
    dispatch(recordEvents(bodies));
  };
  return (
    <ol aria-label="The ladder" className="border-t border-ink">
      {ladderOf(ticket.loader).map(({ rung, name, how, hurts, stopWhen, power, lidOff: needsLid }, index) => {
        const tried = jam.tried.filter((one) => one.rung === rung);
        const now = rung === next;
        return (
          <li key={rung} className="grid gap-1 border-b border-hair py-2" aria-current={now ? 'step' : undefined}>
            <p>
              <span className="text-soft">{index + 1}</span> <strong className={now ? 'text-live' : ''}>{name}</strong>
              {tried.map((one) => (
                <span key={one.id} className="text-soft">
                  {' '}
                  · {RUNG_RESULT_NAMES[one.result]}
                </span>
              ))}
            </p>
            {now && (
              <>
                <p>{forLoader(how, ticket.loader)}</p>
                <p className="text-[15px]">
                  <span className="text-soft">Can hurt:</span> {hurts} <span className="text-soft">Stop when:</span>{' '}
                  {stopWhen}
                </p>
                {power === 'unplugged' && plugged && (
                  <p role="alert" className="border-l-4 border-live pl-3 font-semibold text-live">
                    It is plugged in. Unplugged for this.{' '}
                    <Button disabled={!canWrite} onClick={() => dispatch(sayMoment('unplugged'))}>
                      It is unplugged now
                    </Button>
                  </p>
                )}
                {power === 'plugged' && !plugged && (
                  <p className="border-l-4 border-ink pl-3">
                    It needs its power for this
                    {lidOff ? ', and the lid is off: mains are in reach, and laser light' : ''}.{' '}
                    <Button disabled={!canWrite} onClick={() => dispatch(sayMoment(lidOff ? 'poweredOpen' : 'power'))}>
                      It is plugged in now
                    </Button>
                  </p>
                )}
                {needsLid && !lidOff && <p className="text-soft">The lid has to be off for it.</p>}
                <div className="flex flex-wrap gap-2">
                  {RUNG_RESULTS.map((result) => (
                    <Button key={result} disabled={!canWrite} onClick={() => came(rung, result)}>
                      {RUNG_RESULT_NAMES[result]}
                    </Button>
                  ))}
                </div>
              </>
            )}
          </li>
        );
      })}
      {jam.out && (
        <li className="py-2 font-semibold">
          It is out. Say where it lay and how it got there, and see why it went in.{' '}
          <Button look="quiet" disabled={!canWrite} onClick={() => put({ out: false })}>
            Not out yet
          </Button>
        </li>
      )}
      {!jam.out && !next && (
        <li className="py-2">Every rung was tried. Leave it, and ask somebody who knows this one.</li>
      )}
    </ol>
  );
}

/** How many turns by hand, and which way from where. */
function ByHand({ jam, put }: { readonly jam: Jam; readonly put: Put }) {
  const { ticket, canWrite } = useTicket();
  const { drive, facts } = useDriveView();
  const { priors } = useBench();
  if (!ladderOf(ticket.loader).some(({ rung }) => rung === 'pulleyByHand')) return null;
  const moved = DRIVEN[loaderOf(ticket.loader).driven].word;
  const measured = facts.trayTravel;
  const per = measured ?? { value: priors.travelPerTurnMm.best, std: priors.travelPerTurnMm.std };
  const turns =
    jam.travelLeftMm === null ? undefined : handTurns({ travelLeftMm: jam.travelLeftMm, travelPerTurnMm: per });
  const way = directionWords(jam.opens, jam.viewedFrom, drive.crossed);
  return (
    <div className="grid gap-2 border-l-4 border-hair pl-3">
      <h4 className="font-semibold">The pulley by hand</h4>
      <NumberLine
        label={`Travel that is left for the ${moved}`}
        unit="mm"
        value={jam.travelLeftMm}
        max={2000}
        parse={(text) => {
          const parsed = parseLength(text, 'mm');
          return parsed.ok ? { ok: true, value: parsed.value.lengthMm } : parsed;
        }}
        disabled={!canWrite}
        onNumber={(travelLeftMm, gesture) => put({ travelLeftMm }, gesture)}
      />
      {turns && (
        <p>
          {turns.ok ? (
            <>
              <strong className="text-xl">{turnsWords(turns.value.turns)}</strong> of the motor pulley, between{' '}
              {turnsWords(turns.value.fewest)} and {turnsWords(turns.value.most)}
              {measured ? ', by the travel measured' : ', by an assumed travel per turn: count ten turns at Measure'}.
            </>
          ) : (
            turns.problem
          )}
        </p>
      )}
      <Segments
        label="Which way the motor pulley opens it"
        value={jam.opens}
        disabled={!canWrite}
        options={TURN_WAYS.map((one) => [one, one] as const)}
        onChoose={(opens) => put({ opens })}
        className="justify-self-start"
      />
      <Segments
        label="Viewed"
        value={jam.viewedFrom}
        disabled={!canWrite}
        options={SIDES.map((side) => [side, SIDE_NAMES[side]] as const)}
        onChoose={(viewedFrom) => put({ viewedFrom })}
        className="justify-self-start"
      />
      {way && <p className="font-semibold first-letter:uppercase">{way}.</p>}
    </div>
  );
}
