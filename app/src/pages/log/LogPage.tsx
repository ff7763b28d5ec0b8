import { dayOf } from '../../state/written';
import { lazy, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { plantDemo } from '../../state/persistence/demo';
import { isDemo } from '../../state/boot';
import { TicketRow } from '../../parts/ticket/TicketRow';
import { leaveTicket } from '../../state/persistence/opening';
import { loadBench } from '../../state/persistence/bench';
import { loadBook } from '../../state/persistence/book';
import { askToPersist } from '../../state/persistence/persist';
import { storeProblem } from '../../state/persistence/storage';
import { tabsSeeEachOther } from '../../state/persistence/tabs';
import { counted } from '@loose-pulley/core/base/units';
import { cx } from '../../parts/ui/cx';
import { copyWords } from '../../parts/ticket/lastCopy';
import { copySaved } from '../../state/store/settings';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { LongList } from '../../parts/ui/LongList';
import { download } from '../../parts/ui/download';
import { packAll } from '../../state/exchange/packAll';
import { Fold } from '../../parts/ui/Fold';
import { returnedWithinYear } from '@loose-pulley/core/shop/lifetimes';
import { FIRST_COLUMNS, letsThrough, NO_FILTER, type LogColumn } from './logColumns';
import { Narrow } from './Narrow';
import { DeletedTickets } from './DeletedTickets';
import { ImportFiles } from './ImportFiles';
import { Input } from '../../parts/ui/Input';

// These lie folded away at first.
const Columns = lazy(async () => ({ default: (await import('./Columns')).Columns }));
const Totals = lazy(async () => ({ default: (await import('./Totals')).Totals }));
const Lasting = lazy(async () => ({ default: (await import('./Lasting')).Lasting }));
const Stock = lazy(async () => ({ default: (await import('./Stock')).Stock }));
const KeepingBook = lazy(async () => ({ default: (await import('../../parts/book/KeepingBook')).KeepingBook }));
const NOBODY: ReadonlySet<string> = new Set();
const COUNTING = 'Counting the tickets…';
const FOLD = 'border-t border-ink';

/** Every ticket ever, found by typing; and the archive's way in and out. */
export function LogPage() {
  const dispatch = useAppDispatch();
  const summaries = useAppSelector(selectSummaries);
  // Room for what comes, so that nothing moves when it does.
  const loading = useAppSelector(({ bench }) => bench.status === 'loading');
  const copiedAt = useAppSelector(({ settings }) => settings.copiedAt);
  const [text, setText] = useState('');
  const [packing, setPacking] = useState('');
  const [persisted, setPersisted] = useState<boolean | null>(null);
  useEffect(() => {
    void askToPersist().then(setPersisted);
  }, []);
  const words = useDeferredValue(text).toLowerCase().split(/\s+/).filter(Boolean);
  const [filter, setFilter] = useState(NO_FILTER);
  const [columns, setColumns] = useState<readonly LogColumn[]>(FIRST_COLUMNS);
  const returned = useMemo(
    () => (filter.state === 'returned' ? returnedWithinYear(summaries) : NOBODY),
    [filter.state, summaries],
  );
  const found = summaries.filter(
    (one) =>
      words.every((word) => one.searchText.includes(word)) &&
      (filter === NO_FILTER || letsThrough(filter, one, returned)),
  );

  const exportAll = async (): Promise<void> => {
    setPacking('Packing…');
    try {
      const madeAt = new Date().toISOString();
      const { benchTexts } = await import('../../state/exchange/benchParts');
      const packed = await packAll(summaries.length, madeAt, await dispatch(benchTexts()));
      if (!packed.ok) {
        setPacking(packed.problem);
        return;
      }
      const { zip, tickets, pictures, setAside } = packed.value;
      download(`loose-pulley-everything-${dayOf(madeAt)}.zip`, zip, zip.type);
      dispatch(copySaved(madeAt));
      const [is, it] = setAside === 1 ? ['is', 'it'] : ['are', 'them'];
      setPacking(
        `${counted(tickets, 'ticket')}, ${counted(pictures, 'picture')}, the bench book and the settings packed.${setAside > 0 ? ` ${counted(setAside, 'record')} could not be read and ${is} not in it: save ${it} raw, from the Bench.` : ''}`,
      );
    } catch (error) {
      setPacking(`The archive could not be packed. ${storeProblem(error).sentence}`);
    }
  };
  const resetDemo = async (): Promise<void> => {
    dispatch(leaveTicket());
    await plantDemo(true);
    await dispatch(loadBench());
    await dispatch(loadBook());
  };

  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className={cx('bg-sheet px-5 py-5 lg:px-7', loading && 'min-h-screen')}>
        <h1 className="mb-3 text-[30px] leading-tight font-bold">Log</h1>
        <label className="grid gap-1 text-sm text-soft">
          Number, machine, owner, complaint or mechanism
          <Input
            type="search"
            value={text}
            onChange={(event) => setText(event.target.value)}
            className="text-lg text-ink"
          />
        </label>
        <Fold name="log: filter" title="Filter" className="mt-2">
          <Narrow filter={filter} onFilter={setFilter} />
        </Fold>
        <p aria-live="polite" className="my-3 text-soft">
          {loading ? COUNTING : `${found.length} of ${summaries.length} tickets`}
        </p>
        <Fold name="log: totals" title="Totals" className={FOLD}>
          {loading ? COUNTING : <Totals shown={found} all={summaries} />}
        </Fold>
        <Fold name="log: how long remedies last" title="How long remedies last" className={FOLD}>
          {loading ? COUNTING : <Lasting all={summaries} />}
        </Fold>
        <Fold name="log: what to stock" title="What to stock" className={FOLD}>
          <Stock all={summaries} />
        </Fold>
        <Fold name="log: table and csv" title="Table and CSV" className={FOLD}>
          <Columns shown={found} columns={columns} onColumns={setColumns} />
        </Fold>
        <LongList as="ul" items={found} keyOf={({ id }) => id} usualPx={62} className="border-t border-ink">
          {(summary) => <TicketRow summary={summary} />}
        </LongList>
      </div>
      <aside className="grid content-start gap-8 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        <section aria-labelledby="export">
          <h2 id="export" className="text-lg">
            A copy of everything
          </h2>
          <p className="my-2">
            One file: every ticket with its history and pictures, the bench book, the settings and the bench’s own
            tables. Keep it away from this machine; another computer takes it in below.
          </p>
          <Button disabled={loading} onClick={() => void exportAll()}>
            Save a copy of everything
          </Button>
          <p className="mt-2 text-soft">{copyWords(copiedAt, summaries)}</p>
          <p aria-live="polite" className="mt-2">
            {packing}
          </p>
        </section>
        <Fold name="log: bench book: drawer, orders, day" title="Bench book: drawer, orders, day">
          <KeepingBook />
        </Fold>
        <ImportFiles />
        <DeletedTickets />
        <section aria-labelledby="kept" className="grid gap-2">
          <h2 id="kept" className="text-lg">
            Where it is kept
          </h2>
          <p>
            In this browser, at this address, on this machine. Another browser or a tablet keeps its own; the files
            above are the way between.
          </p>
          <p className="text-soft">
            {persisted === null
              ? ''
              : persisted
                ? 'The browser has promised not to clear it by itself.'
                : 'The browser may clear it when the disk runs short: export now and then.'}
            {!tabsSeeEachOther &&
              ' Over this connection tabs cannot see each other: keep a ticket open in one tab only.'}
          </p>
          {isDemo && <Button onClick={() => void resetDemo()}>Put the demo back as it was</Button>}
        </section>
      </aside>
    </div>
  );
}
