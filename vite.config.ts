import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
    plugins: [
        laravel({ input: 'resources/js/main.tsx', refresh: true }),
        react({ compiler: true }),
        // Beside each file, for bin/lib/router.php and for any server that gives out what is compressed already.
        compression({ algorithms: ['gzip'], include: /\.(js|css|svg)$/, threshold: 1000 }),
    ],
    build: { chunkSizeWarningLimit: 450 },
});
