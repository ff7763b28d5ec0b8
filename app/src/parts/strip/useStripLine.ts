import { nanoid } from 'nanoid';
import { useNavigate } from 'react-router';
import { cannotEnd, newChange, type StepDraft, type TemporaryChangeKind } from '@loose-pulley/core/work/strip';
import { readLine, type Deed, type Way } from '@loose-pulley/core/work/stripLine';
import { stripSaid } from '@loose-pulley/core/views/said';
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

  const happen = (deeds: readonly Deed[], pictureIds: readonly string[] = [], beforeId?: string): boolean => {
    const at = new Date().toISOString();
    const said = stripSaid(ticket, deeds, { newId: () => nanoid(10), at, pictureIds, beforeId });
    if (!said.ok) return refuse(said.problem);
    const { bodies } = said.value;
    return bodies.length === 0 || dispatch(recordEvents(bodies));
  };

  /** Mains, lid, power: what is said of the machine itself. @returns whether that was all */
  const sayMoments = (does: readonly Deed[]): boolean => {
    const [first] = does;
    if (first?.type !== 'moment') return false;
    if (first.moment === 'handBack') void navigate(`/t/${ticket.id}/handBack`);
    else dispatch(sayMoment(first.moment));
    return does.length === 1;
  };
  const doWay = ({ does }: Way, beforeId?: string): boolean => {
    if (sayMoments(does)) return true;
    return happen(does, [], beforeId);
  };
  const addStep = (step: StepDraft, pictureIds: readonly string[] = []): boolean =>
    happen([{ type: 'step', step }], pictureIds);
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
  return { doLine, doWay, sayMoments, addStep, putChange, again };
}
