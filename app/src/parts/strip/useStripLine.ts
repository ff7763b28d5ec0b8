import { nanoid } from 'nanoid';
import { useNavigate } from 'react-router';
import {
  applyStrip,
  cannotEnd,
  goneBack,
  isOpen,
  newChange,
  newStep,
  offAgain,
  openRemoval,
  TEMPORARY_CHANGES,
  type StepDraft,
  type TemporaryChangeKind,
} from '@loose-pulley/core/work/strip';
import { readLine, type Deed, type Way } from '@loose-pulley/core/work/stripLine';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { recordEvents } from '../../state/persistence/recording';
import { sayMoment } from '../../state/persistence/moments';
import { saidAloud } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';

/** Does what a typed line says, all of it or nothing. A refusal is said in the strip below. */
export function useStripLine() {
  const { ticket } = useTicket();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const refuse = (text: string): false => {
    dispatch(saidAloud({ text, to: null }));
    return false;
  };

  /** The events of deeds, each on the strip that those before it leave; or a sentence. */
  const bodiesOf = (
    deeds: readonly Deed[],
    pictureIds: readonly string[],
    beforeId: string | undefined,
  ): readonly EventBody[] | string => {
    const at = new Date().toISOString();
    const bodies: EventBody[] = [];
    let { strip } = ticket;
    const put = (body: Extract<EventBody, { type: 'stepPut' | 'temporaryChangePut' }>): void => {
      bodies.push(body);
      const next = applyStrip(strip, body);
      if (next.ok) strip = next.value;
    };
    for (const deed of deeds) {
      switch (deed.type) {
        case 'step': {
          const step = { ...newStep(strip, deed.step, nanoid(10), at), pictureIds };
          put({ type: 'stepPut', step, ...(beforeId && { beforeId }) });
          // Pads bridged before a plug comes off are freed only once that plug is back.
          const pads = strip.temporaryChanges.find(
            (change) => change.kind === 'laserBridged' && isOpen(change) && change.afterStepId === null,
          );
          if (pads && step.kind === 'connector' && openRemoval(step))
            put({ type: 'temporaryChangePut', change: { ...pads, afterStepId: step.id } });
          break;
        }
        case 'change':
          put({ type: 'temporaryChangePut', change: newChange(deed.kind, deed.words, strip, nanoid(10), at) });
          break;
        case 'changeEnds': {
          const change = strip.temporaryChanges.findLast((one) => one.kind === deed.kind && isOpen(one));
          if (!change) return `${TEMPORARY_CHANGES[deed.kind].name}: no such change is open here.`;
          put({ type: 'temporaryChangePut', change: { ...change, closedAt: at } });
          break;
        }
        case 'again':
        case 'back': {
          const step = strip.steps.find(({ number }) => number === deed.number);
          if (!step) return `There is no number ${deed.number} on this strip.`;
          if (deed.type === 'back') {
            const off = openRemoval(step);
            if (!off) return `Number ${deed.number} is not off.`;
            put({ type: 'stepPut', step: goneBack(step, off.off, at) });
            break;
          }
          const off = offAgain(strip, step, at);
          if (!off.ok) return off.problem;
          put({ type: 'stepPut', step: off.value });
          break;
        }
        case 'found':
          bodies.push({
            type: 'foundPut',
            found: {
              id: nanoid(10),
              kind: deed.kind,
              what: deed.what,
              where: deed.where,
              guess: '',
              homed: false,
              pictureIds: [],
            },
          });
          break;
        case 'disc':
          bodies.push({
            type: 'discPut',
            disc: {
              id: nanoid(10),
              whose: '',
              where: deed.where.slice(0, 200),
              condition: deed.condition,
              out: 'at Strip',
              returned: false,
            },
          });
          break;
        case 'moment':
          break;
      }
    }
    return bodies;
  };

  const doWay = ({ does }: Way, beforeId?: string): boolean => {
    const [first] = does;
    if (first?.type === 'moment') {
      if (first.moment === 'handBack') void navigate(`/t/${ticket.id}/handBack`);
      else dispatch(sayMoment(first.moment));
      if (does.length === 1) return true;
    }
    const bodies = bodiesOf(does, [], beforeId);
    return typeof bodies === 'string' ? refuse(bodies) : dispatch(recordEvents(bodies));
  };
  const addStep = (step: StepDraft, pictureIds: readonly string[] = []): boolean => {
    const bodies = bodiesOf([{ type: 'step', step }], pictureIds, undefined);
    return typeof bodies === 'string' ? refuse(bodies) : dispatch(recordEvents(bodies));
  };
  const putChange = (kind: TemporaryChangeKind, words: string): boolean => {
    const change = newChange(kind, words, ticket.strip, nanoid(10), new Date().toISOString());
    const done = dispatch(recordEvents([{ type: 'temporaryChangePut', change }]));
    const never = done && cannotEnd(change, ticket.strip.temporaryChanges);
    if (never) refuse(never);
    return done;
  };
  const again = (number: number): boolean => doWay({ echo: '', does: [{ type: 'again', number }] });
  /** Does a line that is sure; one that is in doubt does nothing, and is asked about where it was typed. */
  const doLine = (typed: string, beforeId?: string): boolean => {
    const read = readLine(typed);
    const [way, other] = read?.ways ?? [];
    return way !== undefined && other === undefined && doWay(way, beforeId);
  };
  return { doLine, doWay, addStep, putChange, again };
}
