import { createRoot } from 'react-dom/client';
import { setNonce } from 'get-nonce';
import { Provider } from 'react-redux';
import { BrowserRouter } from 'react-router';
import './app.css';
import { App } from './shell/App';
import { basePath, isDemo, nonce, pathHere } from './state/boot';
import { fetchAhead, fetchIdly } from './shell/pages';
import { Broken } from './shell/Broken';
import { keepApp } from './shell/newVersion';
import { listenToTabs } from './state/persistence/otherTabs';
import { loadBench } from './state/persistence/bench';
import { openTicket } from './state/persistence/opening';
import { loadBook, ofBook } from './state/persistence/book';
import { plantDemo } from './state/persistence/demo';
import { showsFront } from './state/persistence/front';
import { summariser } from './state/persistence/summarise';
import { loadSettings } from './state/persistence/settings';
import { askBeforeLeaving } from './state/persistence/leaving';
import { askToPersist } from './state/persistence/persist';
import { notFetched } from './parts/ui/page';
import { saidAloud } from './state/store/openTicket';
import { makeStore } from './state/store/store';

if (nonce) setNonce(nonce);

/** Sweeping can wait until whoever opened the page is at work. */
const SWEEP_AFTER_MS = 4000;
const KEEP_AFTER_MS = 3000;
const BOOK_AFTER_MS = 1500;
/** Pages that choose among belts ask the drawer: without it all would be worked out twice. */
const CHOOSES = /^\/t\/[^/]+\/(size|swap|rebuild)$/;
/** An empty page says sooner that it is looking. */
const BENCH_WAIT_MS = 150;

async function start(): Promise<void> {
  const { store, services } = makeStore();
  const path = pathHere();
  const id = /^\/t\/([^/]+)/.exec(path)?.[1];
  // Planted once for all that ask: two at a time would stand in each other's way.
  const planting = isDemo ? plantDemo().catch(() => false) : Promise.resolve(false);
  const ticket = async (): Promise<void> => {
    if (id) await store.dispatch(openTicket(id));
    // On the demo's first day its tickets come only now.
    if ((await planting) && id) await store.dispatch(openTicket(id));
  };
  // The ticket is read while its page is fetched. On the Bench what was seen last stays until all is known.
  const bench = async (): Promise<void> => {
    await planting;
    const loaded = store.dispatch(loadBench());
    await (showsFront() ? loaded : Promise.race([loaded, new Promise((done) => setTimeout(done, BENCH_WAIT_MS))]));
  };
  // A page of the bench book is drawn with it in one go.
  const bookOf = async (): Promise<void> => {
    await planting;
    await store.dispatch(loadBook());
  };
  const book = ofBook(path) || CHOOSES.test(path) ? bookOf() : null;
  await Promise.all([
    fetchAhead(window.location.pathname),
    loadSettings(store.dispatch),
    path === '/' ? bench() : ticket(),
    book,
  ]);
  store.dispatch(listenToTabs());
  askBeforeLeaving(() => store.getState(), services.keeper);
  // A part that is fetched by a key or a press and cannot be had.
  addEventListener('unhandledrejection', ({ reason }: PromiseRejectionEvent) => {
    if (notFetched(reason)) {
      const text = 'This part could not be fetched: the server does not answer. What was saved is safe.';
      store.dispatch(saidAloud({ text, to: null }));
    }
  });
  const root = createRoot(document.getElementById('root') as HTMLElement);
  root.render(
    <Broken>
      <Provider store={store}>
        <BrowserRouter basename={basePath}>
          <App />
        </BrowserRouter>
      </Provider>
    </Broken>,
  );
  // Here before anything can be said.
  void summariser();
  if (path !== '/') await store.dispatch(loadBench(path === '/log'));
  // Every other page can do without it until whoever opened it is at work.
  if (!book) setTimeout(() => void store.dispatch(loadBook()), BOOK_AFTER_MS);
  void askToPersist();
  setTimeout(
    () => void import('./state/persistence/sweep').then(({ sweep }) => sweep()).catch(() => undefined),
    SWEEP_AFTER_MS,
  );
  fetchIdly();
  setTimeout(() => void keepApp().catch(() => undefined), KEEP_AFTER_MS);
}

void start();
