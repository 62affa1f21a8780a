// npm test: installs what is missing (Debian's Chromium included), then lint, types, unit, build, e2e. The last line is
// the true total over unit and e2e tests: "N passed, N failed".
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import process from 'node:process';
import { stripVTControlCharacters } from 'node:util';
import { must, root, tool } from './setup.mjs';

/** Seconds. The slowest part takes about 1000 on a quiet machine with two cores: longer than this is a hang. */
const LONGEST_S = 2700;

const results = `${root}.tmp/results`;
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

installChromium();

/** The longest first; each keeps one processor busy. */
const checks = [
  ['lint', tool('eslint'), ['.']],
  ['types: app', tool('vue-tsc'), ['-p', 'app']],
  ['format', tool('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['types: core tests', tool('tsc'), ['-p', 'core/tsconfig.test.json']],
  ['build', tool('vite'), ['build', 'app', '--logLevel', 'warn']],
  ['types: core', tool('tsc'), ['-p', 'core']],
  ['types: cli', tool('tsc'), ['-p', 'cli']],
  ['types: server', tool('tsc'), ['-p', 'server']],
  ['types: e2e', tool('tsc'), ['-p', 'e2e']],
];
const broken = [];
const open = [...checks];
await Promise.all(Array.from({ length: Math.max(1, availableParallelism()) }, checkOn));

const unitFile = `${results}/unit.json`;
const unitRan = run('unit tests', tool('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unitFile}`,
]);
const e2eFile = `${results}/e2e.json`;
const e2eRan = run('e2e tests', tool('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile,
  PLAYWRIGHT_JSON_OUTPUT_FILE: e2eFile,
});

const unit = readJson(unitFile);
const e2e = readJson(e2eFile);
const passed = (unit?.numPassedTests ?? 0) + (e2e?.stats.expected ?? 0);
let failed = (unit?.numFailedTests ?? 0) + (e2e ? e2e.stats.unexpected + e2e.stats.flaky : 0) + broken.length;
// A runner that died without a report, or failed outside a test, counts as a failure of its own.
if (!unit || (!unitRan && unit.numFailedTests === 0)) failed += 1;
if (!e2e || (!e2eRan && e2e.stats.unexpected === 0)) failed += 1;
if (broken.length > 0) process.stdout.write(`\nNot in order: ${broken.join(', ')}\n`);
for (const { name, why } of [...unitFailures(unit), ...e2eFailures(e2e)]) {
  process.stdout.write(`\nFAILED ${name}\n${stripVTControlCharacters(why).split('\n').slice(0, 12).join('\n')}\n`);
}
process.exitCode = failed > 0 ? 1 : 0;
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);

/** Runs checks that nobody has begun until none is left; what each says stands together. */
async function checkOn() {
  for (let next = open.shift(); next; next = open.shift()) {
    const [name, command, args] = next;
    const began = Date.now();
    const said = [];
    const status = await new Promise((done) => {
      const child = spawn('timeout', ['--kill-after=10', `${LONGEST_S}`, command, ...args], { cwd: root });
      child.stdout.on('data', (some) => said.push(some));
      child.stderr.on('data', (some) => said.push(some));
      child.on('close', done);
      child.on('error', () => done(1));
    });
    if (status !== 0) broken.push(name);
    process.stdout.write(`\n── ${name}\n${Buffer.concat(said).toString()}${ended(name, status, began)}`);
  }
}

function ended(name, status, began) {
  const how = status === 0 ? 'fine' : status === 124 ? 'DID NOT END, stopped' : 'FAILED';
  return `── ${name}: ${how} (${((Date.now() - began) / 1000).toFixed(1)} s)\n`;
}

function run(name, command, args, env = {}) {
  process.stdout.write(`\n── ${name}\n`);
  const began = Date.now();
  // `timeout` ends the whole group of processes: one that never ends is a failure that is named, not a run that hangs.
  const done = spawnSync('timeout', ['--kill-after=10', `${LONGEST_S}`, command, ...args], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  process.stdout.write(ended(name, done.status, began));
  return done.status === 0;
}

/** Named once more at the end, where a long output is read first. */
function unitFailures(report) {
  return (report?.testResults ?? []).flatMap(({ name, message, assertionResults }) => {
    const failures = assertionResults.filter(({ status }) => status === 'failed');
    if (failures.length === 0 && message) return [{ name: name.replace(root, ''), why: message }];
    return failures.map(({ fullName, failureMessages }) => ({
      name: `${name.replace(root, '')} › ${fullName}`,
      why: failureMessages.join('\n'),
    }));
  });
}

function e2eFailures(report) {
  const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];
  return (report?.suites ?? []).flatMap(specsOf).flatMap(({ ok, file, title, tests }) => {
    const runs = tests.flatMap(({ results: some }) => some);
    if (ok && runs.every(({ status }) => status === 'passed' || status === 'skipped')) return [];
    return [
      {
        name: `${file} › ${title}`,
        why: runs.flatMap(({ errors }) => errors.map(({ message }) => message)).join('\n'),
      },
    ];
  });
}

function readJson(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Debian's Chromium for the browser tests, and the tool that turns PDF pages into pictures to measure. */
function installChromium() {
  const wanted = [
    ['/usr/bin/chromium', 'chromium'],
    ['/usr/bin/pdftoppm', 'poppler-utils'],
  ].filter(([path]) => !existsSync(path));
  if (wanted.length === 0) return;
  const packages = wanted.map(([, name]) => name);
  process.stdout.write(`Installing ${packages.join(', ')}…\n`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    must(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update');
  apt('install', '-y', '--no-install-recommends', ...packages);
}
