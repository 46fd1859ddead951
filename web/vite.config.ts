/// <reference types="vitest/config" />
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: 'target/classes/static', emptyOutDir: true },
  server: { fs: { allow: ['..'] }, proxy: { '/api': 'http://127.0.0.1:8480' } },
  // No test measures by it what the product promises; a busy machine may stand still for some seconds.
  test: { environment: 'happy-dom', testTimeout: 30_000 },
});
