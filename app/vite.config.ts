import { createRequire } from 'node:module';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The page as the service worker keeps it; the server writes the mode in, so that a demo is never taken for a bench. */
const SHELL = '/shell?mode=__MODE__';

/** Shared by many pages, and wanted by none before it stands: what is chosen, what a ticket comes to, and segments. */
const AFTER_THE_FIRST_PAINT =
  /core\/src\/(belts\/(catalogue|probability|readingLine|sizing\/|measuring\/conflictWords)|base\/spoken|views|record\/(findings|ticket\/provisional)|work\/(stripLine|ownerLine|diagnosis)|physics\/cycle|work\/cleaning\/(?!state|surfaceAt|schema)|physics\/train\/(words|compute|rollers))|node_modules\/(d3-|comlink\/)|lab\/src|state\/practice|ui\/(Segments|NumberLine|TextLine)\.|workers\/life|clock\/useNow|base\/thresholds|measuring\/useTaken|store\/assumptions|state\/written|react-(radio-group|roving-focus|collection|use-size|use-is-hydrated|direction|use-callback-ref)\//;

/** The router's package offers its build without warnings beside the one that its door leads to, and no name for it. */
const quietRouter = createRequire(import.meta.url)
  .resolve('react-router')
  .replace('/development/', '/production/')
  .replace(/\.js$/, '.mjs');

export default defineConfig(({ command }) => ({
  resolve: {
    alias: [
      ...(command === 'build' ? [{ find: /^react-router$/, replacement: quietRouter }] : []),
      // Its build without a polyfill of what every browser has.
      { find: /^localforage$/, replacement: 'localforage/dist/localforage.nopromises.js' },
    ],
  },
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // The page itself says when it is registered, and asks before a new version takes over.
      injectRegister: false,
      registerType: 'prompt',
      manifest: {
        id: '/',
        name: 'Loose Pulley',
        short_name: 'Loose Pulley',
        description: 'The bench companion for disc trays and loading drivetrains.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f5f1e6',
        theme_color: '#f5f1e6',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      includeManifestIcons: false,
      workbox: {
        globPatterns: ['**/*.{js,css,html,woff2,svg,png,webmanifest}'],
        // A build's files are named by what they hold.
        dontCacheBustURLsMatching: /^assets\//,
        manifestTransforms: [
          (entries) => ({
            manifest: entries.map((one) => (one.url === 'index.html' ? { ...one, url: SHELL } : one)),
          }),
        ],
        navigateFallback: SHELL,
        navigateFallbackDenylist: [/^\/(health|demo|shell)\b/, /\.[a-z0-9]+$/i],
        // An open page goes on from here at once, should its server stop on its first day.
        clientsClaim: true,
        runtimeCaching: [{ urlPattern: /\/demo\/wrackline\.json$/, handler: 'NetworkFirst' }],
        inlineWorkboxRuntime: true,
      },
    }),
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
            { name: 'shared', test: (id) => !AFTER_THE_FIRST_PAINT.test(id), minShareCount: 12 },
            // Small parts of every station, which would each be a request.
            {
              name: 'small',
              test: /ui\/(ButtonLink|Caution|Later)\.|clock\/PluggedCaution/,
              includeDependenciesRecursively: false,
            },
            // Small parts of every drawing, which would each be a request.
            {
              name: 'drawing',
              test: /parts\/(draw\/(useWidth|driveLayout|layOutDrive|DriveDrawing)\.|measuring\/(?!useTaken|Conflicts))|measure\/ReadingField|measuring\/(figure|suspect)\.ts/,
            },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
}));
