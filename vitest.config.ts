import vue from '@vitejs/plugin-vue';
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Files that take longest begin first, so that no worker is left alone with one of them at the end. */
class LongestFirst extends BaseSequencer {
  static readonly LONG = /laws\/|nest\.test|photo\.test|names\.test/;

  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const isLong = ({ moduleId }: TestSpecification): number => Number(LongestFirst.LONG.test(moduleId));
    return (await super.sort(files)).sort((a, b) => isLong(b) - isLong(a));
  }
}

export default defineConfig({
  // As the app is built: its components are those of the library.
  plugins: [vue(), Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: false })],
  test: {
    // Nothing here is about speed: a slow machine is no failure.
    testTimeout: 40_000,
    // As many at once as there are processors: left to itself it keeps one of two free.
    maxWorkers: '100%',
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'server/**/*.test.ts'],
          // Nothing here keeps anything between two calls, so files need not each load all of it anew.
          isolate: false,
        },
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
