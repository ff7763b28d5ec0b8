import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  figure,
  findMethod,
  isForce,
  methodsFor,
  parseAmount,
  type Aux,
  type AuxKey,
  type DriveFacts,
  type Measurand,
  type Method,
  type Reading,
  takeReading,
} from '@loose-pulley/core/belts/measuring';
import { formatEntered, type LengthUnit } from '@loose-pulley/core/base/units';
import { pullRound } from '@loose-pulley/core/work/cleaning';
import { recordEvent } from '../../state/persistence/recording';
import { RepeatWatch } from '../keys/repeat';
import { drafted } from '../../state/store/openTicket';
import { useAppDispatch, useAppSelector, useNowState, useUnit } from '../../state/store/hooks';
import type { DriveRecord } from '@loose-pulley/core/record/stations';

const NO_AUX: Aux = {};
/** One caliper serves all fields. */
const watch = new RepeatWatch();

/** A field for one reading of a drive: what it shows, what was refused, and how it takes a text. */
export interface ReadingControl {
  readonly measurand: Measurand;
  readonly method: Method;
  readonly text: string;
  readonly dirty: boolean;
  readonly refusal: string | null;
  /** A length that contradicts the others may be kept all the same. */
  readonly mayKeep: boolean;
  readonly aux: Aux;
  type(text: string): void;
  /** Takes what is typed. @returns whether it was taken */
  commit(text?: string, keepAnyway?: boolean): boolean;
  forget(): void;
  chooseMethod(id: string): void;
  /** Sets a tool's size; null takes it away again. */
  setAux(key: AuxKey, value: number | null): void;
  /** One reading's standard uncertainty, k = 1; null takes the method's. */
  setOwnStd(std: number | null): void;
  readonly remove: () => void;
}

/**
 * One reading's control. With a reading it edits that one; without, it takes a new one. Drafts live in the store, so
 * that the drawing and the list show the same typing, and nothing refused is lost.
 *
 * @param slot tells apart several fields of one measurand; the reading's id, or a word for a new one
 * @param direct the field is a dimension of the drawing: it shows what the reading comes to, and what is typed there
 * is the dimension itself, however it was measured before
 */
export function useReading(
  drive: DriveRecord,
  facts: DriveFacts,
  measurand: Measurand,
  reading: Reading | undefined,
  slot = 'first',
  firstMethod?: string,
  direct = false,
): ReadingControl {
  const dispatch = useAppDispatch();
  const nowState = useNowState();
  const unit = useUnit();
  const field = `${drive.id}/${measurand}/${slot}${direct ? '/drawn' : ''}`;
  const draft = useAppSelector(({ openTicket }) => openTicket.drafts[field]);
  const [newMethod, setNewMethod] = useState(firstMethod ?? '');
  const [newAux, setNewAux] = useState<Aux>({});
  const [mayKeep, setMayKeep] = useState(false);
  const usual = methodsFor(measurand)[0];
  const method = direct ? usual : (findMethod(reading?.method ?? newMethod) ?? usual);
  if (!method) throw new Error(`No method measures ${measurand}.`);
  const aux = direct ? NO_AUX : (reading?.aux ?? newAux);
  const drawn = direct ? facts.results.find((one) => one.reading.id === reading?.id)?.read?.value : undefined;

  const refuse = (text: string, refusal: string): false => {
    dispatch(drafted({ field, draft: { text, refusal } }));
    return false;
  };
  const put = (next: Reading): boolean => {
    const taken = dispatch(recordEvent({ type: 'readingTaken', driveId: drive.id, reading: next }));
    if (taken) {
      watch.taken(next.typed, field, performance.now());
      dispatch(drafted({ field, draft: null }));
      setMayKeep(false);
    }
    return taken;
  };

  const commit: ReadingControl['commit'] = (typed, keepAnyway = false) => {
    // Asked of the store, not of this drawing: Enter takes the reading and the blur that follows must find it taken.
    const text = typed ?? nowState().openTicket.drafts[field]?.text;
    if (text === undefined) return true;
    if (text.trim() === '') {
      dispatch(drafted({ field, draft: null }));
      if (reading) dispatch(recordEvent({ type: 'readingRemoved', driveId: drive.id, readingId: reading.id }));
      return true;
    }
    if (!keepAnyway && watch.repeats(text, field, performance.now())) {
      setMayKeep(true);
      return refuse(text, `Read ${text.trim()} twice at once. Does the caliper repeat? Measure this one, or keep it.`);
    }
    const { section, stringWraps: wraps, path, geometricPath, oldBelt } = facts;
    const known = { unit, aux, section, wraps, path, geometricPath, oldBelt, keep: keepAnyway };
    const taken = takeReading(text, method, known);
    if (taken.state === 'doubt') setMayKeep(true);
    if (taken.state !== 'reading') return refuse(text, taken.problem);
    // A pull is of the state that the machine is in now; one that is corrected stays of its own.
    const { ticket } = nowState().openTicket;
    const round =
      reading?.round ?? (isForce(measurand) && ticket.status === 'open' ? pullRound(ticket.record.ticket.cleaning) : 0);
    return put({
      ...(round > 0 && { round }),
      id: reading?.id ?? nanoid(10),
      measurand,
      method: method.id,
      typed: text.trim().slice(0, 200),
      amount: taken.amount,
      aux,
      ownStd: direct && reading?.method !== method.id ? null : (reading?.ownStd ?? null),
    });
  };

  return {
    measurand,
    method,
    text: draft?.text ?? (reading ? figure(measurand, drawn ?? reading.amount, unit) : ''),
    dirty: draft !== undefined,
    refusal: draft?.refusal ?? null,
    mayKeep: mayKeep && draft?.refusal != null,
    aux,
    type(text) {
      setMayKeep(false);
      dispatch(drafted({ field, draft: { text, refusal: null } }));
    },
    commit,
    forget: () => {
      setMayKeep(false);
      dispatch(drafted({ field, draft: null }));
    },
    chooseMethod(id) {
      if (reading) put({ ...reading, method: id });
      else setNewMethod(id);
    },
    setAux(key, value) {
      const { [key]: _old, ...others } = aux;
      const next: Aux = value === null ? others : { ...others, [key]: value };
      if (reading) put({ ...reading, aux: next });
      else setNewAux(next);
    },
    setOwnStd(std) {
      if (reading && std !== reading.ownStd) put({ ...reading, ownStd: std });
    },
    remove: () => {
      if (reading) dispatch(recordEvent({ type: 'readingRemoved', driveId: drive.id, readingId: reading.id }));
    },
  };
}

/** What was understood of a text, where that is not plain from the text itself: another unit, a fraction, a sum. */
export function echoOf(control: Pick<ReadingControl, 'method' | 'text' | 'dirty'>, unit: LengthUnit): string | null {
  const plain = /^[+-]?[\d.,]+$/;
  if (!control.dirty || plain.test(control.text.trim())) return null;
  const amount = parseAmount(control.method, control.text, unit);
  if (!amount.ok) return null;
  if (isForce(control.method.measurand)) return `${amount.value.toFixed(2)} N`;
  const inMm = `${formatEntered(amount.value, 'mm')} mm`;
  return unit === 'mm' ? inMm : `${formatEntered(amount.value, 'in')} in, ${inMm}`;
}
