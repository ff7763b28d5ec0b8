import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';

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
    // The server reads off it what each page needs.
    manifest: true,
    sourcemap: false,
    assetsInlineLimit: 0,
    // The server names what a page needs; what is fetched later comes from this machine, where a round costs nothing.
    modulePreload: false,
    rolldownOptions: {
      // A library names its classes by a call, which alone would keep an unused one in the first load.
      treeshake: { manualPureFunctions: ['__name'] },
      output: {
        codeSplitting: {
          groups: [
            // The libraries of every page change seldom and go together.
            {
              name: 'libraries',
              test: /node_modules\/(react|react-dom|scheduler|react-redux|redux|redux-thunk|reselect|immer|@reduxjs|react-router|use-sync-external-store|localforage|nanoid|get-nonce)\//,
            },
            // What many pages share goes together: few files compress better and are fetched in one go.
            { name: 'shared', minShareCount: 9 },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
});
