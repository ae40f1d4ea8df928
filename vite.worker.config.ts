import { defineConfig } from 'vite';

// The service workers, each by itself: one script without imports, and under an address that stays (public/worker.js, public/log-worker.js).
const WORKERS: Record<string, { entry: string; file: string }> = {
    gardener: { entry: 'resources/js/gardener/worker.ts', file: 'worker.js' },
    log: { entry: 'resources/js/log/worker.ts', file: 'log-worker.js' },
};

export default defineConfig(({ mode }) => {
    const { entry, file } = WORKERS[mode] ?? WORKERS.gardener!;
    return {
        publicDir: false,
        define: { 'process.env.NODE_ENV': '"production"' },
        build: {
            outDir: 'public',
            emptyOutDir: false,
            lib: { entry, formats: ['iife'], name: 'worker', fileName: () => file },
        },
    };
});
