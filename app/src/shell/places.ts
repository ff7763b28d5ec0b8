import { capital } from '@loose-pulley/core/base/units';
import { STATIONS, type StationId } from '@loose-pulley/core/record/stations';

/** A page, and all that is said of it elsewhere: its address, its file, its name, and where it is listed. */
export interface Place {
  /** Below `/`, or below `/t/:id` where it is of a ticket. */
  readonly path: string;
  /** What it needs: nothing but the bench, or an open ticket. */
  readonly of: 'bench' | 'ticket';
  /** Its file below `app/src`; it exports a component of the file's own name. */
  readonly source: string;
  /** In the tab's title and in the palette. */
  readonly name: string;
  /** What the palette says of it; not listed there without. */
  readonly note?: string;
  /** Stands in the head, with what else lights it up. */
  readonly head?: readonly string[];
  /** Drawn with the bench book in one go. */
  readonly book?: true;
  /** Fetched once the first page stands. */
  readonly soon?: true;
  /** A bench of its own, below its own address: gone to as to another page, never by a route of this one. */
  readonly apart?: true;
}

/** Where practice is: a bench of its own with the same pages, but for its first. */
export const PRACTICE = 'practice';

/** Every page that is no station. A new one is a line here and its file. */
export const PLACES: readonly Place[] = [
  { path: '', of: 'bench', source: 'pages/bench/BenchPage', name: 'Bench', note: 'what is open', soon: true },
  {
    path: 'knowledge',
    of: 'bench',
    source: 'pages/knowledge/KnowledgePage',
    name: 'What the adviser knows',
    note: 'causes and tests, every number',
  },
  {
    path: 'compatibility',
    of: 'bench',
    source: 'pages/compatibility/CompatibilityPage',
    name: 'What may touch what',
    note: 'agents, materials, dirt',
  },
  { path: 'why', of: 'bench', source: 'pages/why/WhyPage', name: 'Why measure', note: 'every way of choosing, played' },
  {
    path: 'drawer',
    of: 'bench',
    source: 'pages/drawer/DrawerPage',
    name: 'Drawer',
    note: 'belts, rings, kits; the one in my hand',
    head: ['/orders'],
    book: true,
  },
  {
    path: 'orders',
    of: 'bench',
    source: 'pages/orders/OrdersPage',
    name: 'Orders',
    note: 'what is wanted, what is on its way',
    book: true,
  },
  { path: 'orders/:orderId/print', of: 'bench', source: 'pages/print/OrderPage', name: 'Order', book: true },
  {
    path: 'day',
    of: 'bench',
    source: 'pages/day/DayPage',
    name: 'Day',
    note: 'what next and until when, what is promised',
    head: [],
    book: true,
  },
  {
    path: 'log',
    of: 'bench',
    source: 'pages/log/LogPage',
    name: 'Log',
    note: 'every ticket, files in and out',
    head: [],
  },
  {
    path: PRACTICE,
    of: 'bench',
    source: 'pages/practice/PracticePage',
    name: 'Practice',
    note: 'machines whose fault is hidden, to learn on',
    head: [],
    apart: true,
  },
  {
    path: 'guide',
    of: 'bench',
    source: 'pages/guide/GuidePage',
    name: 'Guide',
    note: 'one task a page, with pictures',
  },
  { path: 'guide/:page', of: 'bench', source: 'pages/guide/GuidePage', name: 'Guide' },
  {
    path: 'scale',
    of: 'bench',
    source: 'pages/print/ScalePage',
    name: 'Paper scale',
    note: 'to print: section and diameter without a caliper',
  },
  {
    path: 'train',
    of: 'ticket',
    source: 'pages/train/TrainPage',
    name: 'The train',
    note: 'this ticket: gears, rollers, mode gear',
  },
  {
    path: 'cycle',
    of: 'ticket',
    source: 'pages/cycle/CyclePage',
    name: 'A cycle, as it would run',
    note: 'this ticket: why it slips, and what would help',
  },
  { path: 'sheet', of: 'ticket', source: 'pages/print/SheetPage', name: 'Bench sheet', note: 'this ticket, to print' },
  {
    path: 'letter',
    of: 'ticket',
    source: 'pages/print/LetterPage',
    name: 'Letter to the owner',
    note: 'this ticket, to print',
  },
  { path: 'timeline', of: 'ticket', source: 'pages/timeline/TimelinePage', name: 'History', note: 'this ticket' },
  {
    path: 'labels',
    of: 'ticket',
    source: 'pages/print/LabelsPage',
    name: 'Labels for the bags',
    note: 'this ticket, to print',
  },
  {
    path: 'swap',
    of: 'ticket',
    source: 'shell/swap/SwapPage',
    name: 'Swap the belt',
    note: 'this ticket: the belt and no more',
    book: true,
  },
  { path: 'ending', of: 'ticket', source: 'pages/practice/EndingPage', name: 'How it ended' },
  { path: 'gear', of: 'ticket', source: 'pages/print/GearPage', name: 'A replacement gear' },
  { path: 'tag', of: 'ticket', source: 'pages/print/TagPage', name: 'Tag' },
  { path: 'strobe', of: 'ticket', source: 'pages/print/StrobePage', name: 'Strobe disc' },
  {
    path: 'template',
    of: 'ticket',
    source: 'pages/print/TemplatePage',
    name: 'At 1 to 1',
    note: 'this ticket, to print',
  },
  {
    path: 'slip',
    of: 'ticket',
    source: 'pages/print/SlipPage',
    name: 'Slip for the shop',
    note: 'this ticket, to print',
  },
];

/** What is said of a station's page beside its file. */
const OF_STATIONS: { readonly [S in StationId]?: Pick<Place, 'book' | 'soon'> } = {
  takeIn: { soon: true },
  measure: { soon: true },
  size: { book: true, soon: true },
  handBack: { soon: true },
};

/** The stations, each below `/t/:id` by its own name, and its page in a file of that name: `size/SizePage`. */
export const STATION_PLACES = Object.fromEntries(
  STATIONS.map((id) => [id, { source: `stations/${id}/${capital(id)}Page`, ...OF_STATIONS[id] }]),
) as Readonly<Record<StationId, Pick<Place, 'source' | 'book' | 'soon'>>>;

/** What the pages of a ticket are called. */
export const ticketPlace = (path: string): Place | undefined =>
  PLACES.find((one) => one.of === 'ticket' && one.path === path);

/**
 * The page that an address opens; undefined where there is none.
 *
 * @example placeAt('/t/a/handBack')?.source // 'stations/handBack/HandBackPage'
 */
export function placeAt(pathname: string): Pick<Place, 'source' | 'book'> | undefined {
  const all = pathname.split('/').filter(Boolean);
  // Practice has every page of a bench below its own address.
  const parts = all[0] === PRACTICE && all.length > 1 ? all.slice(1) : all;
  if (parts[0] === 't') return STATION_PLACES[parts[2] as StationId] ?? ticketPlace(parts[2] ?? '');
  return PLACES.find(({ of, path }) => {
    const wanted = path.split('/').filter(Boolean);
    const fits = wanted.every((part, at) => part.startsWith(':') || part === parts[at]);
    return of === 'bench' && wanted.length === parts.length && fits;
  });
}
