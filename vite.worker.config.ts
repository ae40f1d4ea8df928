import { defineConfig } from 'vite';

// The service worker, by itself: one script without imports, and under an address that stays (public/worker.js).
export default defineConfig({
    publicDir: false,
    define: { 'process.env.NODE_ENV': '"production"' },
    build: {
        outDir: 'public',
        emptyOutDir: false,
        lib: { entry: 'resources/js/gardener/worker.ts', formats: ['iife'], name: 'worker', fileName: () => 'worker.js' },
    },
});
