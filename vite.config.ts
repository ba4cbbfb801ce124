import { bundle } from '@apidevtools/json-schema-ref-parser';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig, type Plugin } from 'vite';
import { generateSW } from 'workbox-build';
import { compression } from 'vite-plugin-compression2';

/** The contract in one file, for /api/docs and for whoever generates a client of it. */
function contract(): Plugin {
    return {
        name: 'contract',
        apply: 'build',
        async generateBundle() {
            const source = JSON.stringify(await bundle('openapi/openapi.yaml'));
            this.emitFile({ type: 'asset', fileName: 'contract.json', source });
        },
    };
}

/** Every text on the screen passes through one place, where it is said in the language that is set. */
function spoken(): Plugin {
    const runtime = fileURLToPath(new URL('resources/js/speak/jsx-runtime.ts', import.meta.url));
    return {
        name: 'spoken',
        enforce: 'pre',
        resolveId: (source, importer) =>
            source === 'react/jsx-runtime' && importer !== runtime ? runtime : null,
    };
}

/** What keeps the page itself on a tablet, so that it opens where the shop does not answer. */
function offline(): Plugin {
    return {
        name: 'offline',
        apply: 'build',
        enforce: 'post',
        closeBundle: {
            sequential: true,
            order: 'post',
            async handler() {
                await generateSW({
                    globDirectory: 'public/build',
                    globPatterns: ['assets/*.{js,css,woff2}'],
                    // The reader of the contract: 1.5 MB that nobody needs at a lathe.
                    globIgnores: ['assets/docs-*'],
                    modifyURLPrefix: { '': '/build/' },
                    dontCacheBustURLsMatching: /assets\//,
                    additionalManifestEntries: ['mark.svg', 'icon-192.png'].map((name) => ({
                        url: `/${name}`,
                        revision: createHash('md5')
                            .update(readFileSync(`public/${name}`))
                            .digest('hex'),
                    })),
                    swDest: 'public/build/sw.js',
                    inlineWorkboxRuntime: true,
                    sourcemap: false,
                    skipWaiting: true,
                    clientsClaim: true,
                    cleanupOutdatedCaches: true,
                    runtimeCaching: [
                        {
                            urlPattern: ({ request, url }) =>
                                request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
                            handler: 'NetworkFirst',
                            options: {
                                cacheName: 'oldpart-fit-page',
                                networkTimeoutSeconds: 4,
                                // One page for every address.
                                plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
                            },
                        },
                        {
                            urlPattern: ({ url }) => /^\/api\/jobs\/[^/]+\/pictures\//.test(url.pathname),
                            handler: 'NetworkFirst',
                            options: { cacheName: 'oldpart-fit-photos', expiration: { maxEntries: 60 } },
                        },
                    ],
                });
            },
        },
    };
}

export default defineConfig({
    plugins: [
        spoken(),
        laravel({ input: ['resources/js/main.tsx', 'resources/js/docs/docs.ts'], refresh: true }),
        react({ compiler: true }),
        contract(),
        // Beside each file, for bin/lib/router.php and for any server that gives out what is compressed already.
        compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg)$/, threshold: 1000 }),
        offline(),
    ],
    build: {
        chunkSizeWarningLimit: 1600,
        rolldownOptions: {
            output: {
                codeSplitting: {
                    // A page of fifty small parts stands later than one of four: what the bench needs is one of them, what
                    // the pages share is another.
                    groups: [
                        {
                            name: 'bench',
                            tags: ['$initial'],
                            test: (id) => !/swagger|js\/docs\//.test(id),
                            priority: 2,
                        },
                        { name: 'shared', minShareCount: 2, priority: 1 },
                    ],
                },
            },
        },
        // Every part names what it needs itself; a list of all that before the bench would be 2 kB of names.
        modulePreload: {
            polyfill: false,
            resolveDependencies: (_, parts, { hostType }) => (hostType === 'js' ? [] : parts),
        },
    },
});
