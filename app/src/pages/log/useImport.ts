import { useState } from 'react';
import { counted, type Result } from '@loose-pulley/core/base/units';
import { storeProblem } from '../../state/persistence/storage';
import { tellTabs, withHolds } from '../../state/persistence/tabs';
import { leaveTicket } from '../../state/persistence/opening';
import { loadBench } from '../../state/persistence/bench';
import { beginWith, type ExchangeSession } from '../../state/exchange/session';
import type { Compared, Conflict, ReadFiles } from '../../state/exchange/work';
import type { BenchTexts } from '@loose-pulley/core/files/exchange';
import type { Keep } from '../../state/exchange/conflict';
import { useAppDispatch } from '../../state/store/hooks';

/** Where an import stands: what is asked waits with its session, in which the files lie read. */
export type Importing =
  | { readonly status: 'idle' }
  | { readonly status: 'reading' }
  | { readonly status: 'refused'; readonly problem: string }
  | {
      readonly status: 'asking';
      readonly session: ExchangeSession;
      readonly fresh: number;
      readonly conflicts: readonly Conflict[];
      readonly keep: Readonly<Record<string, Keep>>;
    }
  | { readonly status: 'damaged'; readonly session: ExchangeSession; readonly damaged: readonly string[] }
  | { readonly status: 'done'; readonly words: string };

const MAX_BYTES = 200_000_000;
const SHOWN_DAMAGED = 4;
/** What is damaged of what was chosen, in words. */
export const damagedIn = (damaged: readonly string[]): string =>
  `Damaged: ${damaged.slice(0, SHOWN_DAMAGED).join('; ')}${damaged.length > SHOWN_DAMAGED ? `; ${damaged.length - SHOWN_DAMAGED} more` : ''}. Nothing was changed.`;

/** What was thrown, in words. */
const wordsOf = (error: unknown): string =>
  `The file could not be read: ${error instanceof Error ? error.message : 'unknown'}. Nothing was changed.`;

/** Takes files in, in a worker: whole or refused in words, and nothing overwritten without being asked. */
export function useImport() {
  const dispatch = useAppDispatch();
  const [state, setState] = useState<Importing>({ status: 'idle' });
  /** The bench's own files that came along: each is asked about by itself. */
  const [bench, setBench] = useState<BenchTexts>({});
  const refuse = (problem: string): void => setState({ status: 'refused', problem });

  const take = async (session: ExchangeSession, keep: Readonly<Record<string, Keep>>): Promise<void> => {
    // An open ticket that is replaced under the screen would be written back over its replacement.
    dispatch(leaveTicket());
    const replaced = Object.keys(keep).filter((id) => keep[id] === 'theirs');
    const left = Object.values(keep).filter((which) => which === 'mine').length;
    try {
      const taken = await withHolds(replaced, () => session.ask<Result<number>>((work) => work.take(keep)));
      if (!taken.ok) {
        refuse(`Nothing was imported. ${taken.problem}`);
        return;
      }
      setState({
        status: 'done',
        words: `${counted(taken.value, 'ticket')} imported${left > 0 ? `, ${left} left as they were` : ''}.`,
      });
      tellTabs({ type: 'imported' });
      await dispatch(loadBench());
    } catch (error) {
      refuse(`Nothing was imported. ${error instanceof Error ? error.message : storeProblem(error).sentence}`);
    } finally {
      session.end();
    }
  };

  const read = async (files: readonly File[]): Promise<void> => {
    if (files.length === 0) return;
    if (state.status === 'damaged' || state.status === 'asking') state.session.end();
    setState({ status: 'reading' });
    setBench({});
    try {
      const large = files.find(({ size }) => size > MAX_BYTES);
      if (large) {
        refuse(`“${large.name}” is larger than 200 MB. Nothing was changed.`);
        return;
      }
      const { session, answer } = await beginWith<Result<ReadFiles>>((work) => work.read(files));
      if (answer.ok) setBench(answer.value.bench);
      if (!answer.ok) {
        session.end();
        refuse(answer.problem);
      } else if (answer.value.damaged.length === 0) await compare(session);
      else if (answer.value.whole > 0) setState({ status: 'damaged', session, damaged: answer.value.damaged });
      else {
        session.end();
        refuse(`Nothing in it is whole. ${damagedIn(answer.value.damaged)}`);
      }
    } catch (error) {
      refuse(wordsOf(error));
    }
  };
  /** Takes what is not here yet, and asks about what is here and differs. */
  const compare = async (session: ExchangeSession): Promise<void> => {
    try {
      const { fresh, conflicts } = await session.ask<Compared>((work) => work.compare());
      if (conflicts.length > 0) {
        const keep = Object.fromEntries(conflicts.map(({ id }): [string, Keep] => [id, 'mine']));
        setState({ status: 'asking', session, fresh, conflicts, keep });
      } else if (fresh > 0) await take(session, {});
      else {
        session.end();
        setState({ status: 'done', words: 'Nothing new: all of it is here already, just the same.' });
      }
    } catch (error) {
      session.end();
      refuse(wordsOf(error));
    }
  };
  /** Lets go of what was read. */
  const drop = (session: ExchangeSession): void => {
    session.end();
    setState({ status: 'idle' });
  };
  const choose = (ids: readonly string[], which: Keep): void =>
    setState((now) =>
      now.status === 'asking'
        ? { ...now, keep: { ...now.keep, ...Object.fromEntries(ids.map((id) => [id, which])) } }
        : now,
    );

  return { state, bench, read, compare, take, drop, choose };
}
