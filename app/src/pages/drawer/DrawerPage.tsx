import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { isAged, lengthOf, newItem, runsLow, type Item } from '@loose-pulley/core/shop/drawer';
import { writeList } from '@loose-pulley/core/files/lists';
import { wantState } from '@loose-pulley/core/shop/orders';
import { USUAL_SERIES, SERIES, BUILT_IN } from '@loose-pulley/core/belts/catalogue';
import { counted } from '@loose-pulley/core/base/units';
import { beltLabel, USUAL_SHAPE } from '@loose-pulley/core/base/shapes';
import { KeepingBook } from '../../parts/book/KeepingBook';
import { spanOf } from '../../parts/book/railLayout';
import { useOrderIt } from '../../parts/book/useOrderIt';
import { today } from '../../parts/clock/useNow';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { download } from '../../parts/ui/download';
import { Later } from '../../parts/ui/Later';
import { LongList } from '../../parts/ui/LongList';
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
import { BringIn } from './BringIn';
import { InMyHand, type HandReading } from './InMyHand';
import { ItemPanel, SIZE_PANEL } from './ItemPanel';
import { Kits } from './Kits';
import { Rails, type Needed } from './Rails';
import { Input } from '../../parts/ui/Input';
import { Check } from '../../parts/ui/Check';

/** From here on the panel of a size stands beside the drawer. */
const WIDE_PX = 1024;
/** So many of what runs low stand beside the drawer; the rest is on the order's page. */
const LOW_SHOWN = 6;

/** The drawer: what hangs where, what runs low, where the one in the hand belongs. */
export function DrawerPage() {
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const { status, problem, record } = useAppSelector(({ book }) => book);
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
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = useMemo(
    () =>
      words.length === 0
        ? items
        : items.filter((one) => {
            const text = [
              one.label,
              one.place,
              one.supplier,
              one.kit,
              beltLabel(one, 'mm').words,
              ...one.sellerNumbers.map(({ number }) => number),
            ]
              .join(' ')
              .toLowerCase();
            return words.every((word) => text.includes(word));
          }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the words are the text's
    [items, find],
  );
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
          <p className="text-soft">
            {counted(pieces, 'piece')}, {counted(items.length, 'size')}
            {low.length > 0 && ` · ${low.length} run low`}
            {aged.length > 0 && ` · ${aged.length} old, to be measured first`}
          </p>
        </div>
        {status === 'failed' && (
          <p role="alert" className="my-3 border-l-4 border-live pl-3 text-live">
            {problem?.sentence}
          </p>
        )}
        {status === 'loading' && <p className="my-4 text-soft">Looking into the drawer…</p>}
        {record && items.length === 0 && (
          <p className="my-4 max-w-xl">
            Nothing hangs here yet. Put a belt in by its size, bring in a list as CSV, or measure the one in your hand.
            Size then asks the drawer first.
          </p>
        )}
        <div className="mt-2 grid gap-x-6 md:grid-cols-2">
          <AddBelt items={items} onPick={pick} />
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
            {bunch.length > 1 && (
              <section
                aria-label="Hanging there"
                className="my-3 flex flex-wrap items-center gap-x-2 border-t border-hair pt-2"
              >
                <span className="text-sm text-soft">Hanging there:</span>
                {bunch
                  .flatMap((id) => items.find((one) => one.id === id) ?? [])
                  .map((one) => (
                    <Button key={one.id} look="quiet" aria-pressed={one.id === pickedId} onClick={() => pick(one.id)}>
                      {name(one)} ({one.quantity})
                    </Button>
                  ))}
              </section>
            )}
            <Fold title="As a list" className="mt-3 border-t border-ink">
              <LongList as="ul" items={shown} keyOf={({ id }) => id} usualPx={45} label="Sizes in the drawer">
                {(one) => (
                  <button
                    type="button"
                    className="grid min-h-11 w-full grid-cols-[7.5rem_4rem_minmax(0,1fr)] items-center gap-3 border-b border-hair text-left hover:bg-paper"
                    onClick={() => pick(one.id)}
                  >
                    <span className="font-semibold">{name(one)}</span>
                    <span className="text-right">{one.quantity}</span>
                    <span className="truncate text-soft">
                      {[one.place, one.label, one.supplier].filter(Boolean).join(' · ')}
                    </span>
                  </button>
                )}
              </LongList>
            </Fold>
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
        {low.length > 0 && (
          <section aria-labelledby="low" className="grid gap-1">
            <h2 id="low" className="border-b border-ink pb-1 text-lg">
              Running low
            </h2>
            <ul>
              {low.slice(0, LOW_SHOWN).map((one) => (
                <li key={one.id} className="flex items-center justify-between gap-2 border-b border-hair">
                  <Button look="quiet" onClick={() => pick(one.id)}>
                    {name(one)}
                  </Button>
                  <span>{one.quantity === 0 ? 'none' : `${one.quantity} left`}</span>
                </li>
              ))}
            </ul>
            <Link to="/orders" className="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4">
              {low.length > LOW_SHOWN ? `${low.length - LOW_SHOWN} more, and what to order` : 'What to order'}
            </Link>
          </section>
        )}
        {aged.length > 0 && (
          <section aria-labelledby="aged">
            <h2 id="aged" className="border-b border-ink pb-1 text-lg">
              Old rubber, measure first
            </h2>
            <p className="py-1">
              {aged.slice(0, 12).map((one, index) => (
                <span key={one.id}>
                  {index > 0 && ', '}
                  <button
                    type="button"
                    className="min-h-11 underline decoration-hair decoration-2 underline-offset-4"
                    onClick={() => pick(one.id)}
                  >
                    {beltLabel({ ...one, innerLengthMm: lengthOf(one) }, unit).size}
                  </button>
                </span>
              ))}
              {aged.length > 12 && ` and ${aged.length - 12} more`}
            </p>
          </section>
        )}
        <Later>
          <BringIn items={items} />
          <Button
            disabled={items.length === 0}
            onClick={() => download(`loose-pulley-drawer-${today()}.csv`, writeList(items), 'text/csv')}
          >
            Save the drawer as CSV
          </Button>
          <section aria-labelledby="series">
            <h2 id="series" className="text-lg">
              Series to choose from
            </h2>
            <p className="text-sm text-soft">What Size ranks beside the drawer.</p>
            {SERIES.map((one) => {
              const on = USUAL_SERIES.includes(one) !== (record?.book.switchedSeries ?? []).includes(one);
              return (
                <Check
                  key={one}
                  checked={on}
                  onCheck={(checked) =>
                    void dispatch(changeBook([{ type: 'seriesSwitched', series: one, on: checked }]))
                  }
                >
                  {BUILT_IN[one].name}
                </Check>
              );
            })}
          </section>
          <KeepingBook />
        </Later>
        {status === 'newer' && (
          <p className="text-live">A newer Loose Pulley wrote the bench book: it can be looked at here, not changed.</p>
        )}
      </aside>
    </div>
  );
}
