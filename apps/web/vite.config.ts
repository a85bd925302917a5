import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

const source = (name: string): string => fileURLToPath(new URL(`../../packages/${name}/src/index.ts`, import.meta.url));
const file = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
// The host stays the page's own: the server refuses writes whose Origin is another's.
const server = { target: `http://127.0.0.1:${process.env.HAPSET_PORT ?? '4300'}`, changeOrigin: false };

/** Characters. What is longer is for one page alone, and comes with it. */
const longestPart = 100_000;

/** Lists what pages load later, for platform/parts. */
const partsList: Plugin = {
  name: 'parts-list',
  generateBundle(_, bundle) {
    const parts = Object.values(bundle).flatMap((each) =>
      each.type === 'chunk' && !each.isEntry && each.code.length <= longestPart ? [each.fileName] : [],
    );
    this.emitFile({ type: 'asset', fileName: 'parts.json', source: JSON.stringify(parts) });
  },
};

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    partsList,
    // Once, with the build: the server hands them out as they are.
    compression({
      include: /assets.*\.(?:js|mjs|css|wasm)$/,
      algorithms: [
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
        defineAlgorithm('gzip', { level: 9 }),
      ],
    }),
  ],
  resolve: {
    alias: {
      '@hapset/core/re2': file('../../packages/core/src/gather/service-description/re2-pattern.ts'),
      '@hapset/core/icons': file('../../packages/core/src/code/look/icons.ts'),
      '@hapset/core': source('core'),
      '@hapset/contract': source('contract'),
      '@hapset/readers': source('readers'),
      '@hapset/student-texts/languages': file('../../packages/student-texts/src/language.ts'),
      '@hapset/student-texts': source('student-texts'),
    },
  },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 600,
    // The server looks the students' style and scripts up there.
    manifest: 'manifest.json',
    rolldownOptions: {
      input: {
        index: file('index.html'),
        student: file('src/student-pages/student-page/student.css'),
        'pdf-viewer': file('src/student-pages/student-page/pdf-viewer.ts'),
        player: file('src/student-pages/student-page/player.ts'),
      },
    },
  },
  server: {
    host: '127.0.0.1',
    port: Number(process.env.HAPSET_DEV_PORT ?? '4301'),
    strictPort: true,
    proxy: { '/api': server, '/p/': server, '/k/': server, '/c/': server },
  },
});
