import { isStation, STATION_PAGES } from './ticket/stationPages';
import { page, type Page } from '../parts/ui/page';

/** The pages, each in a file of its own. The frame of a ticket is not among them: every ticket needs it first. */
export const BenchPage = page(async () => (await import('../pages/bench/BenchPage')).BenchPage);
export const LogPage = page(async () => (await import('../pages/log/LogPage')).LogPage);
export const DrawerPage = page(async () => (await import('../pages/drawer/DrawerPage')).DrawerPage);
export const OrdersPage = page(async () => (await import('../pages/orders/OrdersPage')).OrdersPage);
export const OrderPage = page(async () => (await import('../pages/print/OrderPage')).OrderPage);
export const DayPage = page(async () => (await import('../pages/day/DayPage')).DayPage);
export const KnowledgePage = page(async () => (await import('../pages/knowledge/KnowledgePage')).KnowledgePage);
export const CompatibilityPage = page(
  async () => (await import('../pages/compatibility/CompatibilityPage')).CompatibilityPage,
);
export const StrobePage = page(async () => (await import('../pages/print/StrobePage')).StrobePage);
export const TemplatePage = page(async () => (await import('../pages/print/TemplatePage')).TemplatePage);
export const SlipPage = page(async () => (await import('../pages/print/SlipPage')).SlipPage);
export const WhyPage = page(async () => (await import('../pages/why/WhyPage')).WhyPage);
export const TimelinePage = page(async () => (await import('../pages/timeline/TimelinePage')).TimelinePage);
export const LetterPage = page(async () => (await import('../pages/print/LetterPage')).LetterPage);
export const LabelsPage = page(async () => (await import('../pages/print/LabelsPage')).LabelsPage);
export const TagPage = page(async () => (await import('../pages/print/TagPage')).TagPage);
export const SwapPage = page(async () => (await import('./swap/SwapPage')).SwapPage);
export const GearPage = page(async () => (await import('../pages/print/GearPage')).GearPage);
export const TrainPage = page(async () => (await import('../pages/train/TrainPage')).TrainPage);
export const SheetPage = page(async () => (await import('../pages/print/SheetPage')).SheetPage);

/** Fetches the pages next in line once the first one stands, so that going there waits for nothing. */
export function fetchIdly(): void {
  const LATER_MS = 2500;
  setTimeout(() => {
    const pages = [BenchPage, STATION_PAGES.measure, STATION_PAGES.size, STATION_PAGES.takeIn, STATION_PAGES.handBack];
    void Promise.all(pages.map((one) => one.fetch())).catch(() => undefined);
  }, LATER_MS);
}

/** Pages of a ticket that are no stations, and pages beside the Bench, by their address. */
const TICKET_PAGES: Readonly<Record<string, Page>> = {
  swap: SwapPage,
  sheet: SheetPage,
  train: TrainPage,
  gear: GearPage,
  letter: LetterPage,
  timeline: TimelinePage,
  labels: LabelsPage,
  tag: TagPage,
  strobe: StrobePage,
  template: TemplatePage,
  slip: SlipPage,
};
const OTHER_PAGES: Readonly<Record<string, Page>> = {
  log: LogPage,
  drawer: DrawerPage,
  orders: OrdersPage,
  day: DayPage,
  knowledge: KnowledgePage,
  compatibility: CompatibilityPage,
  why: WhyPage,
};

/** Fetches what an address will want, so that the first page is drawn in one go. A failed fetch is met again when shown. */
export async function fetchAhead(path: string): Promise<void> {
  const [, place, , station] = path.split('/');
  const wanted =
    place !== 't'
      ? (OTHER_PAGES[place ?? ''] ?? BenchPage)
      : isStation(station)
        ? STATION_PAGES[station]
        : TICKET_PAGES[station ?? ''];
  await wanted?.fetch().catch(() => undefined);
}
