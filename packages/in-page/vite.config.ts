import { defineConfig } from 'vite';

/** One text that is handed to a page: `hapsetPage.seeFrame()` and its kin. */
export default defineConfig({
  build: {
    outDir: 'dist-page',
    minify: false,
    lib: { entry: 'src/see-page.ts', formats: ['iife'], name: 'hapsetPage', fileName: () => 'page.js' },
  },
});
