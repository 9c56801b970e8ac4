import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: at('./src/web'),
  plugins: [react()],
  resolve: {
    alias: {
      '@core': at('./src/core'),
      '@contract': at('./src/contract'),
      '@server': at('./src/server'),
      '@web': at('./src/web'),
    },
  },
  worker: { format: 'es' },
  build: { outDir: at('./dist/web'), emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
  server: {
    host: '127.0.0.1',
    strictPort: true,
    proxy: { '/api': { target: process.env.EUPORIA_API ?? 'http://127.0.0.1:4811', changeOrigin: true } },
  },
});
