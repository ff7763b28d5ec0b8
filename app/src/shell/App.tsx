import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, Outlet, Route, Routes, useLocation } from 'react-router';
import { useKeys } from '../parts/keys/useKeys';
import { pageOf } from './pages';
import { placeAt, PLACES, type Place } from './places';
import { titleOf } from '../parts/ui/title';
import { basePath, isPractice } from '../state/boot';
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

/** The title of a page of the bench; a ticket's says which ticket it is, and is its own. */
function useBenchTitle(pathname: string): void {
  const place = placeAt(`${basePath}${pathname}`);
  const name = PLACES.find((one) => one.of === 'bench' && one.source === place?.source)?.name;
  useEffect(() => {
    if (name) document.title = titleOf(name);
  }, [name]);
}

function Frame() {
  const [sheet, setSheet] = useState<'none' | 'jump' | 'help'>('none');
  const jump = () => setSheet('jump');
  const help = () => setSheet('help');
  useKeys({ jump, help });
  const dark = useDark();
  const version = useVersion();
  const { pathname } = useLocation();
  useBenchTitle(pathname);
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
      {isPractice && <PracticeMark />}
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

const FIRST_OF_PRACTICE = 'pages/practice/PracticePage';
/** On every page of practice, and on every sheet that is printed of it. */
function PracticeMark() {
  return (
    <aside
      aria-label="Practice"
      className="border-b border-ink bg-zone2 px-5 py-1 font-semibold print:fixed print:bottom-0 print:left-0 print:border"
    >
      Practice: a made-up machine.<span className="max-sm:sr-only"> Nothing of it counts on the bench.</span>
    </aside>
  );
}

const routesOf = (of: Place['of']) =>
  PLACES.filter((one) => one.of === of && !one.apart).map(({ path, source }) => {
    const Shown = pageOf(path === '' && isPractice ? FIRST_OF_PRACTICE : source);
    return path === '' ? (
      <Route key="index" index element={<Shown />} />
    ) : (
      <Route key={path} path={path} element={<Shown />} />
    );
  });

export function App() {
  return (
    <Routes>
      <Route element={<Frame />}>
        {routesOf('bench')}
        <Route path="t/:id" element={<TicketPage />}>
          <Route index element={<StationPage />} />
          {routesOf('ticket')}
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
