import { nanoid } from 'nanoid';
import { useMemo, useRef, useState } from 'react';
import {
  failedKinds,
  type Cycle,
  type CycleAction,
  type CycleResult,
  type TestDisc,
} from '@loose-pulley/core/work/proving';
import { countingNow, machineView } from '@loose-pulley/core/views/machine';
import { recordEvents } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { sound } from './tones';
import { ofLoaders, type Loader } from '@loose-pulley/core/base/loaders';

/** What a cycle is, by the kind of loader; counted in turn. */
const ACTIONS: Readonly<Record<Loader, readonly CycleAction[]>> = ofLoaders('actions');
export const actionsOf = (loader: Loader): readonly CycleAction[] => ACTIONS[loader];

/** What goes one way and then the other; all else is done again and again. */
const TO_AND_FRO: ReadonlySet<CycleAction> = new Set(['open', 'close', 'load', 'eject']);

/** Conditions set once and kept while counting. */
export interface Setting {
  readonly disc: TestDisc;
  readonly place: string;
  readonly conditions: readonly string[];
}

/** Longest time that a watch may show; a forgotten one is no measurement. */
const LONGEST_S = 600;

/**
 * Counting cycles: the action in turn, the conditions, and the watch between a press at eject and the verdict. The
 * watch is the browser's monotonic clock, so a changed wall clock cannot make a time negative.
 */
export function useCounting(
  loader: Loader,
  cleanRunId: string | null,
  cycles: readonly Cycle[],
  /** The first verdict begins a clean run by itself, where none runs. */
  begins = false,
) {
  const dispatch = useAppDispatch();
  const { record, ticket } = useTicket();
  const may = useMemo(() => countingNow(machineView(record)), [record]);
  /** For what the bench said that cycles are kept as a trial. */
  const [trialFor, setTrialFor] = useState('');
  /** A verdict that waits for that word. */
  const [held, setHeld] = useState<CycleResult | null>(null);
  const [firstKind] = useMemo(() => failedKinds(ticket.cycles, undefined), [ticket.cycles]);
  const actions = actionsOf(loader);
  const [chosen, setChosen] = useState<{ readonly afterId: string | undefined; readonly action: CycleAction }>();
  const [setting, setSetting] = useState<Setting>(() => {
    const last = cycles[cycles.length - 1];
    return last
      ? {
          disc: last.disc === 'unknown' ? (last.loaded ? 'junk' : 'none') : last.disc,
          place: last.place,
          conditions: last.conditions,
        }
      : // A clean run begins under what it failed under.
        (cleanRunId !== null || begins) && firstKind
        ? { disc: firstKind.loaded ? 'junk' : 'none', place: firstKind.place, conditions: firstKind.conditions }
        : { disc: 'none', place: '', conditions: [] };
  });
  const startedMs = useRef<number | null>(null);
  const [running, setRunning] = useState(false);
  const last = cycles[cycles.length - 1];
  // What failed is still as it was: a tray that did not open is shut, and opens next.
  const turn = !last
    ? ((cleanRunId !== null || begins ? firstKind?.action : undefined) ?? actions[0])
    : last.result === 'bad' || !TO_AND_FRO.has(last.action)
      ? last.action
      : actions[(actions.indexOf(last.action) + 1) % 2];
  // After a cycle, an undo or a change of machine the turn is taken anew.
  const action = (chosen?.afterId === last?.id ? chosen?.action : undefined) ?? turn ?? 'open';
  const setAction = (next: CycleAction): void => setChosen({ afterId: last?.id, action: next });

  const start = (): void => {
    startedMs.current = performance.now();
    setRunning(true);
  };
  const verdict = (result: CycleResult): void => {
    if (may.may === 'no' || (may.may === 'trial' && trialFor !== may.because)) {
      setHeld(result);
      return;
    }
    log(result, may.may === 'trial' ? may.because : undefined);
  };
  const keepAsTrial = (): void => {
    if (may.may !== 'trial') return;
    setTrialFor(may.because);
    if (held) log(held, may.because);
  };
  const log = (result: CycleResult, trial: string | undefined): void => {
    setHeld(null);
    const elapsedS = startedMs.current === null ? null : (performance.now() - startedMs.current) / 1000;
    startedMs.current = null;
    setRunning(false);
    const at = new Date().toISOString();
    const newRun = begins && cleanRunId === null ? { id: nanoid(10), startedAt: at } : null;
    const counted = dispatch(
      recordEvents([
        ...(newRun ? [{ type: 'cleanRunBegun', cleanRun: newRun } as const] : []),
        {
          type: 'cycleLogged',
          cycle: {
            id: nanoid(10),
            at,
            action,
            result,
            seconds: elapsedS === null || elapsedS > LONGEST_S ? null : Math.round(elapsedS * 100) / 100,
            ...setting,
            loaded: setting.disc !== 'none',
            cleanRunId: newRun?.id ?? cleanRunId,
            ...(trial !== undefined && { trial: trial.slice(0, 120) }),
          },
        },
      ]),
    );
    if (counted) sound(result);
  };
  return {
    action,
    actions,
    setAction,
    setting,
    setSetting,
    running,
    start,
    verdict,
    may,
    held,
    dropHeld: () => setHeld(null),
    keepAsTrial,
  };
}
