import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { pageParts } from './scripts/lib/pageParts.ts';
import { look, lookSheet } from './src/web/app/look.ts';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Writes the look into the page before anything is drawn. */
const withLook: Plugin = {
  name: 'look',
  transformIndexHtml: () => [
    { tag: 'style', children: lookSheet(), injectTo: 'head' },
    { tag: 'meta', attrs: { name: 'theme-color', content: look.plaster }, injectTo: 'head' },
  ],
};

/**
 * The library can move one tooltip from place to place. Its frame brings what that takes, all of its popups, into every
 * page; the theme does not ask for it.
 */
const noMovingTooltip: Plugin = {
  name: 'no-moving-tooltip',
  enforce: 'pre',
  resolveId: (id) => (id === '../tooltip/UniqueProvider' ? at('./src/web/app/noMovingTooltip.ts') : null),
};

const partOf = pageParts(at('./src/web/').replaceAll('\\', '/'));

export default defineConfig({
  root: at('./src/web'),
  plugins: [react(), withLook, noMovingTooltip],
  resolve: {
    alias: {
      '@core': at('./src/core'),
      '@contract': at('./src/contract'),
      '@server': at('./src/server'),
      '@web': at('./src/web'),
    },
  },
  worker: { format: 'es' },
  build: {
    outDir: at('./dist/web'),
    emptyOutDir: true,
    manifest: 'page.json',
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // These do nothing when they are imported: what is not used of them need not come along.
      treeshake: {
        moduleSideEffects: [{ test: /node_modules[\\/]@(rc-component|ant-design)[\\/]/, sideEffects: false }],
      },
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: (id, modules) => partOf(id, (of) => modules.getModuleInfo(of)?.importedIds ?? []),
            },
          ],
        },
      },
    },
  },
  server: {
    host: '127.0.0.1',
    strictPort: true,
    proxy: { '/api': { target: process.env.EUPORIA_API ?? 'http://127.0.0.1:4811', changeOrigin: true } },
  },
});
