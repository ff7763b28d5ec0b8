import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';

/** What every first page needs goes together: one file compresses better than a dozen and is fetched in one go. */
const FIRST_LOAD = [
  /node_modules\/(react|react-dom|scheduler|react-redux|redux|redux-thunk|reselect|immer|@reduxjs|react-router|use-sync-external-store|localforage|nanoid|get-nonce)\//,
  /node_modules\/@radix-ui\/(react-toggle|react-toggle-group|react-roving-focus|react-collection|react-slot|react-context|react-primitive|primitive|react-compose-refs|react-direction|react-id|react-use-[a-z-]+)\//,
  /core\/src\/(units\/(?!beltSize)|geometry|rubber|drive|measuring\/(?!line|howTo|oddReason|sameWay)|planning)/,
  /core\/src\/statistics\/combine/,
  /core\/src\/ticket\/(apply|arrival|index|names|record|summary|types)\./,
  /core\/src\/proving\/(cycles|proof)/,
  /core\/src\/strip\/(strip|order|loops|rounds|types)\./,
  /core\/src\/sizing\/(limits|situation|driven)/,
  /preload-helper/,
  /app\/src\/(app|store|keys|clock\/(?!Ticking|ring|useNow))/,
  /app\/src\/(keeping\/(?!pictures|sweep)|ui\/(?!NumberLine|SectionSign|Sheet))/,
  /app\/src\/ticket\/(stationPages|useTicket|StationPage|StationFoot|StationRail|DriveTabs|TicketPage)/,
];

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    compression({
      include: /\.(js|css|svg|html)$/,
      algorithms: [defineAlgorithm('gzip', { level: 9 }), 'brotliCompress'],
    }),
  ],
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    // Every browser that runs this knows modulepreload.
    modulePreload: { polyfill: false },
    rolldownOptions: {
      // A library names its classes by a call, which alone would keep an unused one in the first load.
      treeshake: { manualPureFunctions: ['__name'] },
      output: {
        // Not with everything that its parts may lead to: a room's door leads to rooms that only later pages enter.
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: 'first', test: (id: string) => FIRST_LOAD.some((part) => part.test(id)) }],
        },
      },
    },
  },
  worker: { format: 'es' },
});
