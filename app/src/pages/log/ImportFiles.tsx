import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { picturesNamed, type TicketRecord } from '@loose-pulley/core/ticket';
import type { PictureBytes } from '@loose-pulley/core/exchange';
import { counted, type Result } from '@loose-pulley/core/units';
import { storeProblem } from '../../state/persistence/storage';
import { tellTabs, withHolds } from '../../state/persistence/tabs';
import { savePicture, whilePicturesStay } from '../../state/persistence/pictures';
import { saveAll } from '../../state/persistence/archive';
import { loadTicket } from '../../state/persistence/tickets';
import { leaveTicket } from '../../state/persistence/actions';
import { asCopy } from '../../state/persistence/copy';
import { Stale } from '../../state/persistence/commit';
import { summariesChanged } from '../../state/store/bench';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Choice } from '../../parts/ui/Choice';
import { withExchange } from '../../workers/exchange';
import type { ReadFiles } from '../../workers/exchange.worker';
import { conflictWords, type Conflict, type Keep } from './conflict';

type State =
  | { readonly status: 'idle' }
  | { readonly status: 'reading' }
  | { readonly status: 'refused'; readonly problem: string }
  | {
      readonly status: 'asking';
      readonly fresh: readonly TicketRecord[];
      readonly conflicts: readonly Conflict[];
      readonly pictures: PictureBytes;
    }
  | { readonly status: 'damaged'; readonly whole: ReadFiles }
  | { readonly status: 'done'; readonly words: string };

const MAX_BYTES = 200_000_000;
const SHOWN_DAMAGED = 4;
/** What is damaged of what was chosen, in words. */
const damagedIn = ({ damaged }: ReadFiles): string =>
  `Damaged: ${damaged.slice(0, SHOWN_DAMAGED).join('; ')}${damaged.length > SHOWN_DAMAGED ? `; ${damaged.length - SHOWN_DAMAGED} more` : ''}. Nothing was changed.`;

/** Taking files in: read whole in a worker, refused whole in words, and nothing overwritten without being asked. */
export function ImportFiles() {
  const dispatch = useAppDispatch();
  const [state, setState] = useState<State>({ status: 'idle' });

  const keep = async (
    records: readonly TicketRecord[],
    pictures: PictureBytes,
    left = 0,
    replaced: ReadonlyMap<string, number> = new Map(),
  ): Promise<void> => {
    try {
      // An open ticket that is replaced under the screen would be written back over its replacement.
      dispatch(leaveTicket());
      const summaries = await whilePicturesStay(async () => {
        for (const id of records.flatMap(picturesNamed)) {
          const bytes = pictures[id];
          if (bytes) await savePicture(id, bytes);
        }
        return withHolds([...replaced.keys()], () => saveAll(records, (id) => replaced.get(id) ?? null));
      });
      dispatch(summariesChanged(summaries));
      records.forEach(({ ticket }) => tellTabs({ type: 'saved', id: ticket.id }));
      setState({
        status: 'done',
        words: `${counted(records.length, 'ticket')} imported${left > 0 ? `, ${left} left as they were` : ''}.`,
      });
    } catch (error) {
      const why =
        error instanceof Stale
          ? 'A ticket was changed here after its file was compared. Choose the file again.'
          : storeProblem(error).sentence;
      setState({ status: 'refused', problem: `Nothing was imported. ${why}` });
    }
  };

  const read = async (files: readonly File[]): Promise<void> => {
    if (files.length === 0) return;
    setState({ status: 'reading' });
    try {
      const large = files.find(({ size }) => size > MAX_BYTES);
      if (large) {
        setState({ status: 'refused', problem: `“${large.name}” is larger than 200 MB. Nothing was changed.` });
        return;
      }
      const picked = await Promise.all(
        files.map(async (file) => ({ name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) })),
      );
      const result = await withExchange<Result<ReadFiles>>(async (api) => api.readFiles(picked));
      if (!result.ok) {
        setState({ status: 'refused', problem: result.problem });
        return;
      }
      if (result.value.damaged.length > 0) {
        if (result.value.records.length > 0) setState({ status: 'damaged', whole: result.value });
        else setState({ status: 'refused', problem: `Nothing in it is whole. ${damagedIn(result.value)}` });
        return;
      }
      await compare(result.value);
    } catch (error) {
      setState({
        status: 'refused',
        problem: `The file could not be read: ${error instanceof Error ? error.message : 'unknown'}. Nothing was changed.`,
      });
    }
  };
  /** Takes what is not here yet, and asks about what is here and differs. */
  const compare = async ({ records, pictures }: ReadFiles): Promise<void> => {
    try {
      const byId = new Map(records.map((record) => [record.ticket.id, record]));
      const fresh: TicketRecord[] = [];
      const conflicts: Conflict[] = [];
      for (const theirs of byId.values()) {
        const read = await loadTicket(theirs.ticket.id);
        if (!read) fresh.push(theirs);
        else if (JSON.stringify(read.record) !== JSON.stringify(theirs)) {
          const { record: mine, revision } = read;
          conflicts.push({ mine, revision, theirs, keep: 'mine', words: await conflictWords(mine, theirs) });
        }
      }
      if (conflicts.length > 0) setState({ status: 'asking', fresh, conflicts, pictures });
      else if (fresh.length === 0)
        setState({ status: 'done', words: 'Nothing new: all of it is here already, just the same.' });
      else await keep(fresh, pictures);
    } catch (error) {
      setState({
        status: 'refused',
        problem: `The file could not be read: ${error instanceof Error ? error.message : 'unknown'}. Nothing was changed.`,
      });
    }
  };
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    onDrop: (files) => void read(files),
    noClick: true,
    noKeyboard: true,
  });

  const choose = (index: number | 'all', keepWhich: Keep): void =>
    setState((now) =>
      now.status === 'asking'
        ? {
            ...now,
            conflicts: now.conflicts.map((one, i) =>
              index === 'all' || i === index ? { ...one, keep: keepWhich } : one,
            ),
          }
        : now,
    );
  const finish = (): void => {
    if (state.status !== 'asking') return;
    const replacing = state.conflicts.filter(({ keep: which }) => which === 'theirs');
    const theirs = replacing.map((one) => one.theirs);
    const both = state.conflicts.filter(({ keep: which }) => which === 'both').map((one) => asCopy(one.theirs));
    void keep(
      [...state.fresh, ...theirs, ...both],
      state.pictures,
      state.conflicts.filter(({ keep: which }) => which === 'mine').length,
      new Map(replacing.map(({ theirs: { ticket }, revision }) => [ticket.id, revision])),
    );
  };

  return (
    <section
      aria-labelledby="import"
      {...getRootProps()}
      className={isDragActive ? 'outline-3 outline-offset-8 outline-live outline-dashed' : ''}
    >
      <h2 id="import" className="text-lg">
        Import tickets
      </h2>
      <input {...getInputProps({ 'aria-label': 'Ticket or archive files', accept: '.json,.zip' })} />
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
            <p>{damagedIn(state.whole)}</p>
            <p className="flex flex-wrap gap-2">
              <Button onClick={() => void compare(state.whole)}>
                Import all but {state.whole.damaged.length === 1 ? 'this' : `these ${state.whole.damaged.length}`}
              </Button>
              <Button onClick={() => setState({ status: 'idle' })}>Import nothing</Button>
            </p>
          </div>
        )}
        {state.status === 'asking' && (
          <>
            <p>
              {state.conflicts.length} of them {state.conflicts.length === 1 ? 'is' : 'are'} here already and differ
              {state.conflicts.length === 1 ? 's' : ''}
              {state.fresh.length > 0 && `; ${state.fresh.length} new`}. Nothing is merged by itself.
            </p>
            {state.conflicts.length > 1 && (
              <KeepChoice label="For all of them" value={null} onChoose={(which) => choose('all', which)} />
            )}
            {state.conflicts.map((one, index) => (
              <div key={one.mine.ticket.id} className="grid gap-2 border-t border-hair pt-2">
                <p className="font-semibold">
                  {one.mine.ticket.number} {one.mine.ticket.machine}
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
                  label={`Keep of ${one.mine.ticket.number}`}
                  value={one.keep}
                  onChoose={(which) => choose(index, which)}
                />
              </div>
            ))}
            <div className="flex gap-2">
              <Button look="strong" onClick={finish}>
                Import as chosen
              </Button>
              <Button onClick={() => setState({ status: 'idle' })}>Leave it</Button>
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
    <Choice<Keep | ''>
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
