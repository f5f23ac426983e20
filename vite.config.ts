import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

// The manifest is where Laravel's own @vite directive looks for it.
export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [react(), tailwindcss()],
  build: {
    manifest: 'manifest.json',
    outDir: 'public/build',
    emptyOutDir: true,
    rollupOptions: {
      input: { main: 'resources/js/main.tsx', worker: 'resources/js/worker.ts' },
      // The worker has a name of its own, by which it is asked for again.
      output: { entryFileNames: (chunk) => (chunk.name === 'worker' ? 'worker.js' : 'assets/[name]-[hash].js') },
    },
  },
  test: {
    environment: 'jsdom',
    include: ['resources/js/**/*.test.{ts,tsx}'],
    setupFiles: ['resources/js/test-setup.ts'],
    globalSetup: ['tests/Support/say.setup.js'],
    // A machine that does other work beside is slow, not wrong.
    testTimeout: 180_000,
    hookTimeout: 60_000,
  },
});
