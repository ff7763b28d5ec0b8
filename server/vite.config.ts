import { defineConfig } from 'vite';

/** Bundles the server's programs with core inside; packages of the registry stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    emptyOutDir: true,
    rolldownOptions: {
      input: { main: 'src/main.ts', makeDemo: 'src/makeDemo.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: [/^@loose-pulley\//] },
});
