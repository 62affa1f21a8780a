import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [vue()],
  test: {
    // Nothing here is about speed: a slow machine is no failure.
    testTimeout: 40_000,
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'server/**/*.test.ts'] },
      },
      { extends: true, test: { name: 'app', include: ['app/**/*.test.ts'], environment: 'happy-dom' } },
    ],
  },
});
