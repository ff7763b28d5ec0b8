import { nanoid } from 'nanoid';
import { disagreement, homeByHand, type Mode } from '@loose-pulley/core/physics/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextLine } from '../../parts/ui/TextLine';

const USUAL = ['empty', 'taking in', 'loaded', 'giving out'] as const;

/** The states of a mode gear as a strip: which switch says what, turns between them, and the way home. */
export function ModePanel() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const past = usePastTickets();
  const { mode } = ticket.train;
  const put = (changes: Partial<Mode>, gesture?: string) =>
    dispatch(recordEvent({ type: 'modePut', mode: { ...mode, ...changes } }, gesture));
  const sister = past.find(({ train }) => train.mode.states.length > 0);
  if (mode.states.length === 0)
    return (
      <div className="flex flex-wrap gap-3">
        <Button
          disabled={!canWrite}
          onClick={() =>
            put({ states: USUAL.map((name) => ({ id: nanoid(10), name, switches: '', turnsToNext: null })) })
          }
        >
          It has one: empty, taking in, loaded, giving out
        </Button>
        {sister && (
          <Button disabled={!canWrite} onClick={() => put({ ...sister.train.mode, at: null })}>
            As {sister.number} has it
          </Button>
        )}
      </div>
    );
  const home = homeByHand(mode);
  const at = mode.states.find(({ id }) => id === mode.at);
  const should = mode.states.find(({ id }) => id === mode.home);
  const wrong = at && should && at.id !== should.id;
  const believes = at?.name.includes('load') ? 'disc' : 'empty';
  return (
    <div className="grid gap-3">
      <p className="text-[15px]">
        Learn it by turning the motor pulley by hand, unplugged, and ticking what each switch does. After work its state
        is asked before the lid.
      </p>
      <ol aria-label="States" className="grid gap-2 md:grid-cols-2 xl:grid-cols-4">
        {mode.states.map((state) => {
          const change = (changes: Partial<typeof state>, gesture?: string) =>
            put({ states: mode.states.map((one) => (one.id === state.id ? { ...one, ...changes } : one)) }, gesture);
          return (
            <li
              key={state.id}
              className={`grid content-start gap-2 border p-2 ${state.id === mode.at ? 'border-2 border-live' : 'border-hair'}`}
            >
              <TextLine
                label="State"
                value={state.name}
                maxLength={60}
                disabled={!canWrite}
                onText={(name, gesture) => change({ name }, gesture)}
              />
              <TextLine
                label="Its switches"
                value={state.switches}
                placeholder="S1 on, S2 off"
                maxLength={120}
                disabled={!canWrite}
                onText={(switches, gesture) => change({ switches }, gesture)}
              />
              <NumberLine
                label="Turns to the next"
                unit="turns"
                value={state.turnsToNext}
                max={1000}
                parse={parseNumber}
                disabled={!canWrite}
                onNumber={(turnsToNext, gesture) => change({ turnsToNext }, gesture)}
              />
              <Button aria-pressed={state.id === mode.at} disabled={!canWrite} onClick={() => put({ at: state.id })}>
                {state.id === mode.at ? 'It stands here' : 'Does it stand here?'}
              </Button>
              <Button
                look="quiet"
                aria-pressed={state.id === mode.home}
                disabled={!canWrite}
                onClick={() => put({ home: state.id })}
              >
                {state.id === mode.home ? 'This is home' : 'Home is here'}
              </Button>
            </li>
          );
        })}
      </ol>
      <Segments
        label="Which way the motor pulley leads on"
        value={mode.way}
        disabled={!canWrite}
        options={[
          ['unknown', 'unknown'],
          ['clockwise', 'clockwise'],
          ['anticlockwise', 'anticlockwise'],
        ]}
        onChoose={(way) => put({ way })}
        className="justify-self-start"
      />
      <TextLine
        label="Viewed from"
        value={mode.viewedFrom}
        maxLength={80}
        placeholder="above, motor at the left"
        disabled={!canWrite}
        onText={(viewedFrom, gesture) => put({ viewedFrom }, gesture)}
      />
      {wrong && (
        <p className="border-l-4 border-live pl-3">
          {disagreement(believes, ticket.discs.some(({ returned, out }) => !returned && out === '') ? 'disc' : 'empty')}
        </p>
      )}
      {(mode.at !== null || mode.home !== null) && (
        <p className="font-semibold">
          {home.ok
            ? home.value.turns === 0
              ? 'It is home.'
              : `Home by hand: ${home.value.turns} turns of the motor pulley${mode.way === 'unknown' ? '' : `, ${mode.way}`}${mode.viewedFrom === '' ? '' : `, viewed from ${mode.viewedFrom}`}, by ${home.value.by.join(', ')}.`
            : home.problem}
        </p>
      )}
      {home.ok && home.value.turns > 0 && (
        <Button
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() =>
            dispatch(
              recordEvents([
                { type: 'modePut', mode: { ...mode, at: mode.home } },
                {
                  type: 'treatmentRecorded',
                  treatment: { id: nanoid(10), at: new Date().toISOString(), what: 'Mode gear brought home' },
                },
              ]),
            )
          }
        >
          It is home now
        </Button>
      )}
    </div>
  );
}
