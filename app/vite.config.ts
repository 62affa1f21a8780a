import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers';
import IconsResolver from 'unplugin-icons/resolver';
import Icons from 'unplugin-icons/vite';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
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
    Components({
      dirs: [],
      resolvers: [BootstrapVueNextResolver(), IconsResolver({ prefix: 'i', enabledCollections: ['bi'] })],
      dts: 'components.d.ts',
    }),
    Icons({ compiler: 'vue3' }),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Mivet',
        short_name: 'Mivet',
        description: 'Measure a cup, fit artwork to its side, cut film that fits.',
        theme_color: '#F7F4EB',
        background_color: '#F7F4EB',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  worker: { format: 'es' },
  build: { target: 'es2023', chunkSizeWarningLimit: 1500, rolldownOptions: { checks: { pluginTimings: false } } },
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
});
