import { createRoot } from 'react-dom/client';
import { setNonce } from 'get-nonce';
import { Provider } from 'react-redux';
import { BrowserRouter } from 'react-router';
import './app.css';
import { App } from './app/App';
import { isDemo, nonce } from './app/boot';
import { Broken } from './app/Broken';
import { listenToTabs, loadBench } from './keeping/actions';
import { plantDemo } from './keeping/demo';
import { startKeeper } from './keeping/keeper';
import { keepSettings, loadSettings } from './keeping/settings';
import { askToPersist } from './keeping/storage';
import { store } from './store/store';

if (nonce) setNonce(nonce);

async function start(): Promise<void> {
  await loadSettings(store.dispatch);
  startKeeper(store);
  keepSettings(store);
  store.dispatch(listenToTabs());
  const root = createRoot(document.getElementById('root') as HTMLElement);
  if (isDemo) await plantDemo().catch(() => undefined);
  root.render(
    <Broken>
      <Provider store={store}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </Provider>
    </Broken>,
  );
  await store.dispatch(loadBench());
  void askToPersist();
}

void start();
