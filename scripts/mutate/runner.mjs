// Runs tests within the process that changes the rules: they are bundled once, so that a change costs milliseconds. The
// usual runner loads core anew in a worker for each change, which takes a second and a half.
import { readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import vm from 'node:vm';
import { INSTRUMENTER_CONSTANTS } from '@stryker-mutator/api/core';
import { declareFactoryPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import {
  determineHitLimitReached,
  DryRunStatus,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import { build } from 'vite';
import { vitestHere } from './tests.mjs';

/** A test that takes longer is left out: with it, every change that nothing notices would take as long. */
const LONGEST_TEST_MS = 3000;

/** @returns the test files of rooms of core, as whole paths */
const testFilesOf = (rooms) =>
  rooms.flatMap((room) =>
    readdirSync(path.join('core/src', room), { recursive: true })
      .filter((file) => file.endsWith('.test.ts'))
      .map((file) => path.resolve('core/src', room, file)),
  );

/** @returns one script of test files and of all that they use but packages */
async function bundled(files) {
  const { output } = await build({
    configFile: false,
    logLevel: 'error',
    plugins: [
      {
        name: 'test-files',
        enforce: 'pre',
        resolveId: (id) => (id.endsWith('all-tests') ? 'all-tests' : null),
        load: (id) => (id === 'all-tests' ? files.map((file) => `import ${JSON.stringify(file)};`).join('\n') : null),
        transform(code, id) {
          const placed = code.replaceAll('import.meta', `importMetaOf(${JSON.stringify(id)})`);
          return files.includes(id) ? `beginFile(${JSON.stringify(path.relative('.', id))});\n${placed}` : placed;
        },
      },
    ],
    build: {
      ssr: 'all-tests',
      write: false,
      minify: false,
      rollupOptions: { treeshake: false, output: { format: 'cjs', codeSplitting: false } },
    },
  });
  return output[0].code;
}

class RunnerHere {
  /** Shared with the changed code. */
  #state = (globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE] ??= {});
  #script;
  #tests = [];
  #times = new Map();
  #tooLong = new Set();

  capabilities() {
    return { reloadEnvironment: true };
  }

  async init() {
    const rooms = process.env['MUTATE_TESTS'].split(' ');
    const code = await bundled(testFilesOf(rooms));
    this.#script = new vm.Script(`(function (require, beginFile, importMetaOf) {${code}\n})`, {
      filename: 'tests.cjs',
    });
  }

  /** Evaluates everything anew: what modules work out while they load is worked out with the change. */
  #load() {
    const require = createRequire(path.resolve('core/package.json'));
    const { tests, api, beginFile } = vitestHere();
    const importMetaOf = (file) => ({
      url: pathToFileURL(file).href,
      resolve: (name) => pathToFileURL(createRequire(file).resolve(name)).href,
    });
    const given = (name) => (name === 'vitest' ? api : require(name));
    this.#script.runInThisContext()(given, beginFile, importMetaOf);
    this.#tests = tests;
  }

  async dryRun() {
    this.#state.activeMutant = undefined;
    this.#load();
    const results = [];
    for (const test of this.#tests) {
      this.#state.currentTestId = test.id;
      const result = await resultOf(test);
      if (result.status === TestStatus.Success && result.timeSpentMs > LONGEST_TEST_MS) this.#tooLong.add(test.id);
      this.#times.set(test.id, result.timeSpentMs);
      results.push(result);
    }
    this.#state.currentTestId = undefined;
    return { status: DryRunStatus.Complete, tests: results, mutantCoverage: this.#state.mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, hitLimit, mutantActivation }) {
    Object.assign(this.#state, { hitCount: 0, hitLimit, activeMutant: activeMutant.id });
    try {
      if (mutantActivation === 'static' || this.#tests.length === 0) this.#load();
      const wanted = testFilter && new Set(testFilter);
      const results = [];
      for (const test of this.#quickestFirst(
        this.#tests.filter(({ id }) => (!wanted || wanted.has(id)) && !this.#tooLong.has(id)),
      )) {
        results.push(await resultOf(test));
        if (results.at(-1).status === TestStatus.Failed) break;
      }
      const ended = determineHitLimitReached(this.#state.hitCount, hitLimit);
      return toMutantRunResult(ended ?? { status: DryRunStatus.Complete, tests: results });
    } catch (error) {
      // A change that breaks the loading of the tests is noticed by all of them.
      return toMutantRunResult({
        status: DryRunStatus.Complete,
        tests: [{ id: 'load', name: 'load', status: TestStatus.Failed, failureMessage: String(error), timeSpentMs: 0 }],
      });
    } finally {
      if (mutantActivation === 'static') this.#tests = [];
      this.#state.activeMutant = undefined;
    }
  }

  #quickestFirst(tests) {
    return tests.toSorted((a, b) => (this.#times.get(a.id) ?? 0) - (this.#times.get(b.id) ?? 0));
  }
}

async function resultOf({ id, name, run }) {
  const began = performance.now();
  const told = (rest) => ({ id, name, timeSpentMs: performance.now() - began, ...rest });
  try {
    await run();
    return told({ status: TestStatus.Success });
  } catch (error) {
    return told({ status: TestStatus.Failed, failureMessage: String(error?.message ?? error) });
  }
}

const runnerHere = Object.assign(() => new RunnerHere(), { inject: [] });

export const strykerPlugins = [declareFactoryPlugin(PluginKind.TestRunner, 'here', runnerHere)];
