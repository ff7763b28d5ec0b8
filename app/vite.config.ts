import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';

/** What every first page needs goes together: one file compresses better than a dozen and is fetched in one go. */
const FIRST_LOAD = [
  /node_modules\/(react|react-dom|scheduler|react-redux|redux|redux-thunk|reselect|immer|@reduxjs|react-router|use-sync-external-store|localforage|nanoid|get-nonce)\//,
  /node_modules\/@radix-ui\/(react-toggle|react-toggle-group|react-roving-focus|react-collection|react-slot|react-context|react-primitive|primitive|react-compose-refs|react-direction|react-id|react-use-[a-z-]+)\//,
  /core\/src\/(units|statistics|geometry|rubber|drive|measuring|planning)\//,
  /app\/src\/(app|store|keeping|keys|ui|clock)\//,
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
      output: {
        codeSplitting: { groups: [{ name: 'first', test: (id: string) => FIRST_LOAD.some((part) => part.test(id)) }] },
      },
    },
  },
  worker: { format: 'es' },
});
