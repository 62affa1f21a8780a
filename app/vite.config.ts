import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants } from 'node:zlib';
import vue from '@vitejs/plugin-vue';
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers';
import IconsResolver from 'unplugin-icons/resolver';
import Icons from 'unplugin-icons/vite';
import Components from 'unplugin-vue-components/vite';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Files that are written compressed beside themselves, for the server to give. */
const COMPRESSED = /\.(js|css|html|svg|webmanifest|ttf)$/;
/** Bytes under which it is not worth it. */
const WORTH_IT = 1024;

function compress(folder: string): void {
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
    const file = join(folder, name);
    if (!COMPRESSED.test(name) || statSync(file).size < WORTH_IT) continue;
    const body = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(body, { params: { [constants.BROTLI_PARAM_QUALITY]: 9, [constants.BROTLI_PARAM_SIZE_HINT]: body.length } })); // prettier-ignore
  }
}

/** Writes what the build made compressed as well, after all else: the service worker comes at the very end. */
function compressed(): Plugin {
  let folder = '';
  return {
    name: 'mivet-compress',
    apply: 'build',
    enforce: 'post',
    configResolved: ({ root, build }) => {
      folder = resolve(root, build.outDir);
    },
    closeBundle: { order: 'post', sequential: true, handler: () => compress(folder) },
  };
}

/** What works pictures out, in short: those that another core made are not taken for its own. */
function coreSignature(): string {
  const core = fileURLToPath(new URL('../core/src', import.meta.url));
  const hash = createHash('sha256');
  for (const name of readdirSync(core, { recursive: true, encoding: 'utf8' }).sort())
    if (/\.ts$/.test(name) && !/\.(test|bench)\.ts$/.test(name))
      hash.update(name).update(readFileSync(join(core, name)));
  return hash.digest('base64url').slice(0, 12);
}

export default defineConfig(({ command }) => ({
  root: fileURLToPath(new URL('.', import.meta.url)),
  define: { __CORE__: JSON.stringify(command === 'build' ? coreSignature() : String(Date.now())) },
  plugins: [
    // Components here and in the library are all functions; what reads options would be asked of each in vain.
    vue({ features: { optionsAPI: false } }),
    {
      // While developing, the demo is offered as `npm run demo` does.
      name: 'mivet-demo-config',
      configureServer(server) {
        server.middlewares.use('/api/config', (_request, response) => {
          response.setHeader('Content-Type', 'application/json');
          response.end('{"demo":true}');
        });
      },
    },
    compressed(),
    Components({
      dirs: [],
      resolvers: [BootstrapVueNextResolver(), IconsResolver({ prefix: 'i', enabledCollections: ['bi'] })],
      dts: 'components.d.ts',
    }),
    Icons({ compiler: 'vue3' }),
    VitePWA({
      // A newer version waits until it is taken: `data/updates.ts`.
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Mivet',
        short_name: 'Mivet',
        description: 'Measure a cup, fit artwork to its side, cut film that fits.',
        theme_color: '#F7F4EB',
        background_color: '#F7F4EB',
        display: 'standalone',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,jpg,woff,woff2,webmanifest}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 1500,
    rolldownOptions: {
      checks: { pluginTimings: false },
      output: {
        // Pieces may need each other: each is run when what it needs was.
        strictExecutionOrder: true,
        chunkFileNames: ({ name }) => `assets/${name.replace(/~.*/, '')}-[hash].js`,
        assetFileNames: ({ names }) => `assets/${(names[0] ?? 'part').replace(/(~.*)?\.\w+$/, '')}-[hash][extname]`,
        codeSplitting: {
          groups: [
            // What the first page needs comes in one piece: a browser asks for few at a time, and each costs its way.
            { name: 'first', tags: ['$initial'], priority: 2 },
            // What several views share comes in few pieces, each with the views that need it.
            { name: 'shared', entriesAware: true, entriesAwareMergeThreshold: 1_500, minShareCount: 2, priority: 1 },
          ],
        },
      },
    },
  },
  css: {
    preprocessorOptions: {
      scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] },
    },
  },
  optimizeDeps: {
    entries: ['index.html', 'src/**/*.vue', 'src/**/*.worker.ts'],
    include: ['bootstrap-vue-next/components/*', 'bootstrap-vue-next/directives/*', 'idb', 'zod', 'three'],
  },
  server: { host: '127.0.0.1' },
}));
