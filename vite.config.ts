import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig(({ isSsrBuild }) => ({
    plugins: [
        // Tests render no page, and the plugin refuses to start a server where CI is set.
        process.env.VITEST === undefined &&
            laravel({
                input: [
                    'resources/js/shell/main.tsx',
                    'resources/js/log/main.tsx',
                    'resources/css/gardener.css',
                    'resources/js/gardener/client.ts',
                ],
                ssr: 'resources/js/gardener/server.tsx',
                ssrOutputDirectory: 'bootstrap/ssr',
                refresh: false,
            }),
        // What it adds to JSX is for a page that is reloaded piece by piece while somebody works on it.
        process.env.VITEST === undefined && react(),
    ],
    build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
    // The server bundle carries all it needs, so that rendering does not depend on node_modules.
    ssr: { noExternal: true },
    // Left out of it is what React has for development: two fifths of what Node would read at each start.
    ...(isSsrBuild && { define: { 'process.env.NODE_ENV': '"production"' } }),
    test: {
        environment: 'jsdom',
        isolate: false,
        unstubGlobals: true,
        setupFiles: ['resources/js/testSetup.ts'],
        include: ['resources/js/**/*.test.{ts,tsx}'],
        // How long a busy machine takes says nothing of the program; only a test that fails ever waits so long.
        testTimeout: 60_000,
        hookTimeout: 60_000,
    },
}));
