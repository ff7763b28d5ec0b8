import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { counted, type Result } from '@loose-pulley/core/base/units';
import { storeProblem } from '../../state/persistence/storage';
import { tellTabs, withHolds } from '../../state/persistence/tabs';
import { leaveTicket } from '../../state/persistence/opening';
import { loadBench } from '../../state/persistence/bench';
import { beginWith, type ExchangeSession } from '../../state/exchange/session';
import type { Compared, Conflict, ReadFiles } from '../../state/exchange/work';
import type { Keep } from '../../state/exchange/conflict';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { Input } from '../../parts/ui/Input';

type State =
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
const damagedIn = (damaged: readonly string[]): string =>
  `Damaged: ${damaged.slice(0, SHOWN_DAMAGED).join('; ')}${damaged.length > SHOWN_DAMAGED ? `; ${damaged.length - SHOWN_DAMAGED} more` : ''}. Nothing was changed.`;

/** What was thrown, in words. */
const wordsOf = (error: unknown): string =>
  `The file could not be read: ${error instanceof Error ? error.message : 'unknown'}. Nothing was changed.`;

/** Taking files in: read whole in a worker, refused whole in words, and nothing overwritten without being asked. */
export function ImportFiles() {
  const dispatch = useAppDispatch();
  const [state, setState] = useState<State>({ status: 'idle' });
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
    try {
      const large = files.find(({ size }) => size > MAX_BYTES);
      if (large) {
        refuse(`“${large.name}” is larger than 200 MB. Nothing was changed.`);
        return;
      }
      const { session, answer } = await beginWith<Result<ReadFiles>>((work) => work.read(files));
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
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    onDrop: (files) => void read(files),
    noClick: true,
    noKeyboard: true,
  });

  const choose = (ids: readonly string[], which: Keep): void =>
    setState((now) =>
      now.status === 'asking'
        ? { ...now, keep: { ...now.keep, ...Object.fromEntries(ids.map((id) => [id, which])) } }
        : now,
    );

  return (
    <section
      aria-labelledby="import"
      {...getRootProps()}
      className={isDragActive ? 'outline-3 outline-offset-8 outline-live outline-dashed' : ''}
    >
      <h2 id="import" className="text-lg">
        Import tickets
      </h2>
      <Input {...getInputProps({ 'aria-label': 'Ticket or archive files', accept: '.json,.zip' })} />
      <p className="my-2">
        Drop a ticket’s .json or an archive’s .zip here, or choose it. It is imported whole; what is damaged in it is
        named first.
      </p>
      <Button onClick={open} disabled={state.status === 'reading'}>
        {state.status === 'reading' ? 'Reading…' : 'Choose files'}
      </Button>
      <div aria-live="polite" className="mt-3 grid gap-3">
        {state.status === 'refused' && (
          <p role="alert" className="border-l-4 border-live pl-3 text-live">
            {state.problem}
          </p>
        )}
        {state.status === 'done' && <p className="border-l-4 border-ink pl-3">{state.words}</p>}
        {state.status === 'damaged' && (
          <div role="alert" className="grid gap-2 border-l-4 border-live pl-3">
            <p>{damagedIn(state.damaged)}</p>
            <p className="flex flex-wrap gap-2">
              <Button onClick={() => void compare(state.session)}>
                Import all but {state.damaged.length === 1 ? 'this' : `these ${state.damaged.length}`}
              </Button>
              <Button onClick={() => drop(state.session)}>Import nothing</Button>
            </p>
          </div>
        )}
        {state.status === 'asking' && (
          <>
            <p>
              {state.conflicts.length} of them {state.conflicts.length === 1 ? 'is' : 'are'} here already and differ
              {state.conflicts.length === 1 ? 's' : ''}
              {state.fresh > 0 && `; ${state.fresh} new`}. Nothing is merged by itself.
            </p>
            {state.conflicts.length > 1 && (
              <KeepChoice
                label="For all of them"
                value={null}
                onChoose={(which) => choose(Object.keys(state.keep), which)}
              />
            )}
            {state.conflicts.map((one) => (
              <div key={one.id} className="grid gap-2 border-t border-hair pt-2">
                <p className="font-semibold">
                  {one.number} {one.machine}
                </p>
                <table className="text-sm">
                  <thead>
                    <tr className="text-left text-soft">
                      <th className="pr-3 font-normal">where</th>
                      <th className="pr-3 font-normal">mine</th>
                      <th className="font-normal">theirs</th>
                    </tr>
                  </thead>
                  <tbody>
                    {one.words.rows.map((row) => (
                      <tr key={row.path} className="align-top">
                        <td className="pr-3">{row.path}</td>
                        <td className="pr-3">{row.mine}</td>
                        <td>{row.theirs}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
                {one.words.more && <p className="text-sm text-soft">{one.words.more}</p>}
                <KeepChoice
                  label={`Keep of ${one.number}`}
                  value={state.keep[one.id] ?? 'mine'}
                  onChoose={(which) => choose([one.id], which)}
                />
              </div>
            ))}
            <div className="flex gap-2">
              <Button look="strong" onClick={() => void take(state.session, state.keep)}>
                Import as chosen
              </Button>
              <Button onClick={() => drop(state.session)}>Leave it</Button>
            </div>
          </>
        )}
      </div>
    </section>
  );
}

function KeepChoice({
  label,
  value,
  onChoose,
}: {
  readonly label: string;
  readonly value: Keep | null;
  readonly onChoose: (keep: Keep) => void;
}) {
  return (
    <Segments<Keep | ''>
      label={label}
      value={value ?? ''}
      options={[
        ['mine', 'keep mine'],
        ['theirs', 'take theirs'],
        ['both', 'keep both'],
      ]}
      onChoose={(which) => which !== '' && onChoose(which)}
    />
  );
}
