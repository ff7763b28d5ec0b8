import { nanoid } from 'nanoid';
import { useNavigate } from 'react-router';
import {
  isOpen,
  TEMPORARY_CHANGES,
  newStep,
  offAgain,
  readLine,
  type TemporaryChangeKind,
  type StepDraft,
} from '@loose-pulley/core/strip';
import { recordEvent } from '../../state/persistence/actions';
import { sayMoment } from '../../state/persistence/moments';
import { saidAloud } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';

/** Does what a typed line says. @returns whether it was done; a refusal is said in the strip below */
export function useStripLine() {
  const { ticket } = useTicket();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  const addStep = (draft: StepDraft, pictureIds: readonly string[] = [], beforeId?: string): boolean => {
    const step = { ...newStep(ticket.strip, draft, nanoid(10), new Date().toISOString()), pictureIds };
    if (!dispatch(recordEvent({ type: 'stepPut', step, ...(beforeId && { beforeId }) }))) return false;
    // Pads bridged before a plug comes off are freed only once that plug is back.
    const pads = ticket.strip.temporaryChanges.find(
      (change) => change.kind === 'laserBridged' && isOpen(change) && change.afterStepId === null,
    );
    if (pads && step.kind === 'connector')
      dispatch(recordEvent({ type: 'temporaryChangePut', change: { ...pads, afterStepId: step.id } }));
    return true;
  };
  const putChange = (kind: TemporaryChangeKind, words: string): boolean => {
    return dispatch(
      recordEvent({
        type: 'temporaryChangePut',
        change: {
          id: nanoid(10),
          kind,
          words: words || TEMPORARY_CHANGES[kind].name,
          closes: TEMPORARY_CHANGES[kind].closes,
          before: TEMPORARY_CHANGES[kind].before,
          openedAt: new Date().toISOString(),
          closedAt: null,
          afterStepId: null,
          afterChangeId: null,
        },
      }),
    );
  };
  const again = (number: number): boolean => {
    const step = ticket.strip.steps.find((one) => one.number === number);
    const off = step && offAgain(ticket.strip, step);
    if (!step || !off) {
      dispatch(saidAloud({ text: `There is no number ${number} on this strip.`, to: null }));
      return false;
    }
    if (!off.ok) {
      dispatch(saidAloud({ text: off.problem, to: null }));
      return false;
    }
    return dispatch(recordEvent({ type: 'stepPut', step: off.value }));
  };
  const doLine = (typed: string, beforeId?: string): boolean => {
    const read = readLine(typed);
    switch (read?.type) {
      case 'step':
        return addStep(read.step, [], beforeId);
      case 'change':
        return putChange(read.kind, read.words);
      case 'again':
        return again(read.number);
      case 'found':
        return dispatch(
          recordEvent({
            type: 'foundPut',
            found: { id: nanoid(10), what: read.what, where: read.where, guess: '', homed: false, pictureIds: [] },
          }),
        );
      case 'moment':
        if (read.moment === 'handBack') {
          void navigate(`/t/${ticket.id}/handBack`);
          return true;
        }
        dispatch(sayMoment(read.moment));
        return true;
      default:
        return false;
    }
  };
  return { doLine, addStep, putChange, again };
}
