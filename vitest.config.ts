import { readdirSync, readFileSync } from 'node:fs';
import vue from '@vitejs/plugin-vue';
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

// A place with summer time, so that days of 23 and 25 hours are among those that are tested.
process.env['TZ'] ??= 'Europe/Berlin';

/**
 * Project by project, since a worker that goes over to another one loads everything anew; in each, files that take longest
 * begin first, so that no worker is left alone with one of them at the end.
 */
class LongestFirst extends BaseSequencer {
  static readonly LONG = /laws\/|nest\.test|photo\.test|names\.test/;

  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ project, moduleId }: TestSpecification): number =>
      2 * ['core', 'app', 'app alone'].indexOf(project.name) + (LongestFirst.LONG.test(moduleId) ? 0 : 1);
    return (await super.sort(files)).sort((a, b) => rank(a) - rank(b));
  }
}

const appTests = readdirSync('app', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.test.ts') && !file.includes('node_modules'))
  .map((file) => `app/${file.replaceAll('\\', '/')}`);
/** Tests that put something else in the place of a module or of what it took when it was loaded: each loads all of the app anew. */
const STANDING_IN = /\bvi\.(mock|stubGlobal)\b/;
const alone = appTests.filter((file) => STANDING_IN.test(readFileSync(file, 'utf8')));

export default defineConfig({
  define: { __CORE__: JSON.stringify('tested') },
  // As the app is built: its components are those of the library.
  plugins: [vue(), Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: false })],
  test: {
    // Nothing here is about speed: a slow machine is no failure.
    testTimeout: 120_000,
    hookTimeout: 120_000,
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
          include: appTests.filter((file) => !alone.includes(file)),
          environment: 'happy-dom',
          setupFiles: ['app/test/browser-here.ts'],
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'app alone',
          include: alone,
          environment: 'happy-dom',
          setupFiles: ['app/test/browser-here.ts'],
        },
      },
    ],
  },
});
