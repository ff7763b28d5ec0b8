import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, Outlet, Route, Routes, useLocation } from 'react-router';
import { useKeys } from '../parts/keys/useKeys';
import {
  BenchPage,
  GearPage,
  CompatibilityPage,
  DayPage,
  DrawerPage,
  KnowledgePage,
  LabelsPage,
  LetterPage,
  LogPage,
  OrderPage,
  OrdersPage,
  SheetPage,
  SlipPage,
  StrobePage,
  SwapPage,
  TagPage,
  TemplatePage,
  TimelinePage,
  TrainPage,
  WhyPage,
} from './pages';
import { useAppSelector } from '../state/store/hooks';
import { useDark } from '../parts/ui/useDark';
import { Words } from '../parts/ui/Words';
import { Foot } from './Foot';
import { StationPage } from './ticket/StationPage';
import { TicketPage } from './ticket/TicketPage';
import { Head } from './Head';
import { useVersion } from './newVersion';
import { PageBroken } from './PageBroken';

const Palette = lazy(() => import('./palette/Palette'));
const Stranded = lazy(() => import('./Stranded'));
const NewVersion = lazy(() => import('./NewVersion'));
const KeysSheet = lazy(() => import('./palette/KeysSheet'));

function Frame() {
  const [sheet, setSheet] = useState<'none' | 'jump' | 'help'>('none');
  const jump = () => setSheet('jump');
  const help = () => setSheet('help');
  useKeys({ jump, help });
  const dark = useDark();
  const version = useVersion();
  const { pathname } = useLocation();
  const stranded = useAppSelector(({ openTicket }) => openTicket.stranded.length > 0);
  useEffect(() => {
    document.documentElement.dataset.theme = dark ? 'dark' : 'light';
  }, [dark]);
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#main" className="sr-only focus:not-sr-only">
        Skip to content
      </a>
      <Head onJump={jump} onHelp={help} />
      <main id="main" className="flex grow flex-col">
        <PageBroken at={pathname}>
          <Suspense fallback={<p className="p-5">One moment.</p>}>
            <Outlet />
          </Suspense>
        </PageBroken>
      </main>
      {/* Where the eye is, however far the page is scrolled. */}
      <div className="sticky bottom-0 z-[5]">
        <Suspense fallback={null}>
          {version !== 'same' && <NewVersion version={version} />}
          {stranded && <Stranded />}
        </Suspense>
        <Foot />
      </div>
      <PageBroken at={sheet}>
        <Suspense fallback={null}>
          {sheet === 'jump' && <Palette onClose={() => setSheet('none')} onHelp={help} />}
          {sheet === 'help' && <KeysSheet onClose={() => setSheet('none')} />}
        </Suspense>
      </PageBroken>
    </div>
  );
}

export function App() {
  return (
    <Routes>
      <Route element={<Frame />}>
        <Route index element={<BenchPage />} />
        <Route path="log" element={<LogPage />} />
        <Route path="drawer" element={<DrawerPage />} />
        <Route path="orders" element={<OrdersPage />} />
        <Route path="orders/:orderId/print" element={<OrderPage />} />
        <Route path="day" element={<DayPage />} />
        <Route path="knowledge" element={<KnowledgePage />} />
        <Route path="compatibility" element={<CompatibilityPage />} />
        <Route path="why" element={<WhyPage />} />
        <Route path="t/:id" element={<TicketPage />}>
          <Route index element={<StationPage />} />
          <Route path="timeline" element={<TimelinePage />} />
          <Route path="swap" element={<SwapPage />} />
          <Route path="gear" element={<GearPage />} />
          <Route path="train" element={<TrainPage />} />
          <Route path="sheet" element={<SheetPage />} />
          <Route path="letter" element={<LetterPage />} />
          <Route path="labels" element={<LabelsPage />} />
          <Route path="strobe" element={<StrobePage />} />
          <Route path="template" element={<TemplatePage />} />
          <Route path="slip" element={<SlipPage />} />
          <Route path="tag" element={<TagPage />} />
          <Route path=":station" element={<StationPage />} />
        </Route>
        <Route
          path="*"
          element={
            <Words title="There is no such page">
              Go back to the{' '}
              <Link className="underline" to="/">
                Bench
              </Link>
              .
            </Words>
          }
        />
      </Route>
    </Routes>
  );
}
