import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { isAged, newItem, outOf, runsLow, type Item } from '@loose-pulley/core/shop/drawer';
import { writeList } from '@loose-pulley/core/files/lists';
import { wantState } from '@loose-pulley/core/shop/orders';

import { counted } from '@loose-pulley/core/base/units';
import { beltLabel, USUAL_SHAPE } from '@loose-pulley/core/base/shapes';
import { BookState } from '../../parts/book/BookState';
import { KeepingBook } from '../../parts/book/KeepingBook';
import { spanOf } from '../../parts/book/railLayout';
import { useOrderIt } from '../../parts/book/useOrderIt';
import { today } from '../../state/written';
import { Button } from '../../parts/ui/Button';

import { download } from '../../parts/ui/download';
import { Later } from '../../parts/ui/Later';

import { changeBook } from '../../state/persistence/book';
import {
  selectItems,
  selectOrders,
  selectSummaries,
  useAppDispatch,
  useAppSelector,
  useUnit,
} from '../../state/store/hooks';
import { AddBelt } from './AddBelt';
import { AsList, HangingThere, lookedFor } from './AsList';
import { AgedSizes, RunningLow, SeriesSwitches } from './Beside';
import { BringIn } from './BringIn';
import { InMyHand, type HandReading } from './InMyHand';
import { ItemPanel, SIZE_PANEL } from './ItemPanel';
import { Kits } from './Kits';
import { Rails, type Needed } from './Rails';
import { Input } from '../../parts/ui/Input';

/** From here on the panel of a size stands beside the drawer. */
const WIDE_PX = 1024;
/** The drawer: what hangs where, what runs low, where the one in the hand belongs. */
export function DrawerPage() {
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const { record, status } = useAppSelector(({ book }) => book);
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  const summaries = useAppSelector(selectSummaries);
  const orderIt = useOrderIt();
  const [search, setSearch] = useSearchParams();
  const [bunch, setBunch] = useState<readonly string[]>([]);
  const [hand, setHand] = useState<HandReading | null>(null);
  const [find, setFind] = useState('');
  const pickedId = search.get('size');
  const picked = items.find(({ id }) => id === pickedId);
  const pick = (id: string | null): void =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (id === null) after.delete('size');
        else after.set('size', id);
        return after;
      },
      { replace: true },
    );
  // The same function as long as the page stands, so that a thousand belts are not drawn anew for each press.
  const picker = useRef(pick);
  useEffect(() => {
    picker.current = pick;
  });
  const pickHung = useCallback((of: readonly Item[]): void => {
    setBunch(of.length > 1 ? of.map(({ id }) => id) : []);
    picker.current(of[0]?.id ?? null);
    // Below the drawing on a narrow screen, where nobody would look for it.
    requestAnimationFrame(() => {
      if (window.innerWidth < WIDE_PX) document.getElementById(SIZE_PANEL)?.scrollIntoView({ block: 'start' });
    });
  }, []);
  const shown = useMemo(() => lookedFor(items, find), [items, find]);
  const span = useMemo(() => spanOf(shown), [shown]);
  const needed = useMemo((): readonly Needed[] => {
    const wants = summaries
      .filter(({ closedAt, wants: of }) => closedAt === null && of.length > 0)
      .flatMap(({ id, number, wants: of }) =>
        of
          .filter((want) => wantState(orders, id, want.id).at !== 'arrived')
          .map((want) => ({ words: `${number} needs`, lengthMm: want.belt.innerLengthMm, belt: want.belt })),
      );
    return hand ? [{ words: 'in my hand', lengthMm: hand.lengthMm, belt: null }] : wants;
  }, [summaries, orders, hand]);
  const low = items.filter(runsLow);
  const aged = items.filter((one) => one.quantity > 0 && isAged(one, today()));
  const pieces = items.reduce((sum, { quantity }) => sum + quantity, 0);
  const putIn = (read: HandReading): void => {
    const id = nanoid(12);
    const item = newItem(
      id,
      {
        shape: USUAL_SHAPE,
        thicknessMm: read.sectionMm ?? 1.2,
        widthMm: null,
        innerLengthMm: Math.round(10 * read.lengthMm) / 10,
      },
      1,
      { measuredMm: read.lengthMm, measuredOn: today() },
    );
    void dispatch(changeBook([{ type: 'itemsPut', items: [item] }])).then((done) => done && pick(id));
  };
  const name = (one: Item): string => beltLabel(one, unit).size;
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="bg-sheet px-5 py-5 lg:px-7">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-[30px] leading-tight font-bold">Drawer</h1>
          <p className={record ? 'text-soft' : 'hidden'}>
            {counted(pieces, 'piece')}, {counted(items.length, 'size')}
            {low.length > 0 && ` · ${low.length} run low`}
            {aged.length > 0 && ` · ${aged.length} old, to be measured first`}
          </p>
        </div>
        <BookState />
        {record && items.length === 0 && (
          <p className="my-4 max-w-xl">
            Nothing hangs here yet. Put a belt in by its size, bring in a list as CSV, or measure the one in your hand.
            Size then asks the drawer first.
          </p>
        )}
        <div className="mt-2 grid gap-x-6 md:grid-cols-2">
          {status !== 'setAside' && <AddBelt items={items} onPick={pick} />}
          {items.length > 0 && (
            <label className="grid content-start gap-1 text-sm text-soft">
              Look for a label, a place, a seller’s number
              <Input
                type="search"
                value={find}
                onChange={(event) => setFind(event.target.value)}
                className="text-ink"
              />
            </label>
          )}
        </div>
        {items.length > 0 && (
          <>
            <Rails items={shown} span={span} needed={needed} pickedId={pickedId} unit={unit} onPick={pickHung} />
            <HangingThere
              items={bunch.flatMap((id) => items.find((one) => one.id === id) ?? [])}
              pickedId={pickedId}
              name={name}
              onPick={pick}
            />
            <AsList items={shown} name={name} onPick={pick} />
          </>
        )}
        <Kits kits={record?.book.kits ?? []} />
      </div>
      <aside
        aria-label="Beside the drawer"
        className="grid content-start gap-7 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        {picked && (
          <ItemPanel
            key={picked.id}
            item={picked}
            out={record ? outOf(record.book, picked.id) : []}
            orders={orders}
            unit={unit}
            onClose={() => pick(null)}
            onOrderIt={(item) => void orderIt(item, 1)}
          />
        )}
        <InMyHand
          items={items}
          picked={picked}
          unit={unit}
          onRead={setHand}
          onPick={({ id }) => pick(id)}
          onMeasured={(item, lengthMm) =>
            void dispatch(
              changeBook([
                { type: 'itemChanged', itemId: item.id, changes: { measuredMm: lengthMm, measuredOn: today() } },
              ]),
            )
          }
          onNew={putIn}
        />
        <RunningLow low={low} name={name} onPick={pick} />
        <AgedSizes aged={aged} unit={unit} onPick={pick} />
        <Later>
          {status !== 'setAside' && <BringIn items={items} />}
          <Button
            disabled={items.length === 0}
            onClick={() => download(`loose-pulley-drawer-${today()}.csv`, writeList(items), 'text/csv')}
          >
            Save the drawer as CSV
          </Button>
          <SeriesSwitches switched={record?.book.switchedSeries ?? []} />
          <KeepingBook />
        </Later>
      </aside>
    </div>
  );
}
