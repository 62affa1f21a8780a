import vue from '@vitejs/plugin-vue';
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  // As the app is built: its components are those of the library.
  plugins: [vue(), Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: false })],
  test: {
    // Nothing here is about speed: a slow machine is no failure.
    testTimeout: 40_000,
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'server/**/*.test.ts'] },
      },
      {
        extends: true,
        test: {
          name: 'app',
          include: ['app/**/*.test.ts'],
          environment: 'happy-dom',
          setupFiles: ['app/test/worker-here.ts'],
        },
      },
    ],
  },
});
