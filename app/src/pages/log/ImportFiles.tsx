import { lazy, Suspense } from 'react';
import { useDropzone } from 'react-dropzone';
import type { Keep } from '../../state/exchange/conflict';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { Input } from '../../parts/ui/Input';
import { damagedIn, useImport, type Importing } from './useImport';

const ArrivedBench = lazy(() => import('./ArrivedBench'));

/** Taking files in: what is damaged is named, what differs is asked. */
export function ImportFiles() {
  const importing = useImport();
  const { state, bench, read, compare, drop } = importing;
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    onDrop: (files) => void read(files),
    noClick: true,
    noKeyboard: true,
  });

  return (
    <section
      aria-labelledby="import"
      {...getRootProps({ role: 'region' })}
      className={isDragActive ? 'outline-3 outline-offset-8 outline-live outline-dashed' : ''}
    >
      <h2 id="import" className="text-lg">
        Bring it in
      </h2>
      <Input {...getInputProps({ 'aria-label': 'Ticket or archive files', accept: '.json,.zip' })} />
      <p className="my-2">
        Drop a ticket’s .json, or a copy of everything (.zip), here, or choose it. It is imported whole; what is damaged
        in it is named first.
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
        {state.status === 'asking' && <Asked state={state} importing={importing} />}
        {Object.keys(bench).length > 0 && (
          <Suspense fallback={null}>
            <ArrivedBench bench={bench} />
          </Suspense>
        )}
      </div>
    </section>
  );
}

/** What is here already and differs: whose is kept, for each and for all. */
function Asked({
  state,
  importing: { choose, take, drop },
}: {
  readonly state: Extract<Importing, { status: 'asking' }>;
  readonly importing: ReturnType<typeof useImport>;
}) {
  return (
    <>
      <p>
        {state.conflicts.length} of them {state.conflicts.length === 1 ? 'is' : 'are'} here already and differ
        {state.conflicts.length === 1 ? 's' : ''}
        {state.fresh > 0 && `; ${state.fresh} new`}. Nothing is merged by itself.
      </p>
      {state.conflicts.length > 1 && (
        <KeepChoice label="For all of them" value={null} onChoose={(which) => choose(Object.keys(state.keep), which)} />
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
