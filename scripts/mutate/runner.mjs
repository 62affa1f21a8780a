// Runs tests within the process that changes the rules: they are bundled once, so that a change costs milliseconds. The
// usual runner loads core anew in a worker for each change, which takes a second and a half.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import vm from 'node:vm';
import { declareFactoryPlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { DryRunStatus, TestStatus, toMutantRunResult } from '@stryker-mutator/api/test-runner';
import { build } from 'vite';
import { vitestHere } from './tests.mjs';

/** Time for the tests of one change, the quickest first; one that only a slower test would notice counts as not noticed. */
const MOST_MS = 2500;
/** How long each test takes, for all processes. */
const TIMES = 'mutate-times.json';

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

/** The changed code asks a function for each change whether it is on, and tells another that it ran: both are written out, which makes it some ten times quicker. */
function written(code, counting) {
  const placed = code
    .replace(/stryMutAct_\w+(?:\$\d+)?\("(\d+)"\)/g, '(change.id === $1 && change.hit())')
    .replace(/stryCov_\w+(?:\$\d+)?\(("\d+"(?:, ?"\d+")*)\)/g, (_, ids) =>
      counting ? `(${ids.replace(/"(\d+)"/g, 'ran[$1]++')})` : '0',
    );
  return new vm.Script(`(function (require, beginFile, importMetaOf, change, ran) {${placed}\n})`, {
    filename: 'tests.cjs',
  });
}

class RunnerHere {
  #code;
  #script;
  #tests = [];
  #times = new Map();
  /** The change that is on, how often it ran, and until when it may: one that makes a loop endless ends there. */
  #change = {
    id: -1,
    hits: 0,
    until: Infinity,
    hit() {
      if (++this.hits % 1024 === 0 && performance.now() > this.until) throw new Error('the changed code runs on');
      return true;
    },
  };

  capabilities() {
    return { reloadEnvironment: true };
  }

  async init() {
    this.#code = await bundled(testFilesOf(process.env['MUTATE_TESTS'].split(' ')));
    this.#script = written(this.#code, false);
  }

  /** Evaluates everything anew: what modules work out while they load is worked out with the change. */
  #load(script = this.#script, ran = null) {
    const require = createRequire(path.resolve('core/package.json'));
    const { tests, api, beginFile } = vitestHere();
    const importMetaOf = (file) => ({
      url: pathToFileURL(file).href,
      resolve: (name) => pathToFileURL(createRequire(file).resolve(name)).href,
    });
    const given = (name) => (name === 'vitest' ? api : require(name));
    script.runInThisContext()(given, beginFile, importMetaOf, this.#change, ran);
    this.#tests = tests;
  }

  /** Once with the changes counted that each test runs, once for the time that it takes. */
  async dryRun() {
    const changes =
      1 + Math.max(...[...this.#code.matchAll(/stryMutAct_\w+(?:\$\d+)?\("(\d+)"\)/g)].map(([, id]) => Number(id)));
    const ran = new Float64Array(changes);
    const taken = () => {
      const counts = Object.fromEntries([...ran.entries()].filter(([, times]) => times > 0));
      ran.fill(0);
      return counts;
    };
    this.#load(written(this.#code, true), ran);
    const mutantCoverage = { static: taken(), perTest: {} };
    const results = [];
    for (const test of this.#tests) {
      results.push(await resultOf(test));
      mutantCoverage.perTest[test.id] = taken();
    }
    this.#load();
    for (const [i, test] of this.#tests.entries()) {
      const { timeSpentMs } = await resultOf(test);
      this.#times.set(test.id, timeSpentMs);
      // What a first run takes beyond its tests is granted to every change.
      results[i].timeSpentMs += timeSpentMs;
    }
    writeFileSync(TIMES, JSON.stringify([...this.#times]));
    return { status: DryRunStatus.Complete, tests: results, mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, mutantActivation }) {
    const until = performance.now() + MOST_MS;
    Object.assign(this.#change, { id: Number(activeMutant.id), hits: 0, until: until + 1000 });
    try {
      if (mutantActivation === 'static' || this.#tests.length === 0) this.#load();
      // Only one process of several made the first run.
      if (this.#times.size === 0) this.#times = new Map(JSON.parse(readFileSync(TIMES, 'utf8')));
      const results = [];
      for (const test of this.#testsFor(activeMutant.fileName, testFilter)) {
        if (performance.now() + this.#times.get(test.id) > until) break;
        results.push(await resultOf(test));
        if (results.at(-1).status === TestStatus.Failed) break;
      }
      return toMutantRunResult({ status: DryRunStatus.Complete, tests: results });
    } catch (error) {
      // A change that breaks the loading of the tests is noticed by all of them.
      return toMutantRunResult({
        status: DryRunStatus.Complete,
        tests: [{ id: 'load', name: 'load', status: TestStatus.Failed, failureMessage: String(error), timeSpentMs: 0 }],
      });
    } finally {
      if (mutantActivation === 'static') this.#tests = [];
      this.#change.id = -1;
    }
  }

  /** The tests that run the changed code, the quickest first; what is worked out while modules load may be seen by all of its room. */
  #testsFor(file, testFilter) {
    const [room] = /core.src.\w+./.exec(file);
    const wanted = testFilter && new Set(testFilter);
    return this.#tests
      .filter(({ id }) => (wanted ? wanted.has(id) : id.includes(room)))
      .toSorted((a, b) => this.#times.get(a.id) - this.#times.get(b.id));
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
