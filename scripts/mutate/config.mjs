// npm run mutate: changes the rules one by one and counts the changes that no test notices. Name rooms to try only those:
// npm run mutate -- bench material
import process from 'node:process';

const ROOMS = ['material', 'proof', 'stack', 'seam', 'pieces', 'load', 'bench'];
const named = (process.env['MUTATE_ROOMS'] ?? '').split(' ').filter(Boolean);
const rooms = named.length > 0 ? named : ROOMS;
process.env['MUTATE_TESTS'] = ROOMS.join(' ');

export default {
  testRunner: 'here',
  plugins: ['./scripts/mutate/runner.mjs'],
  mutate: rooms.flatMap((room) => [`core/src/${room}/**/*.ts`, `!core/src/${room}/**/*.{test,bench}.ts`]),
  // Words are read by people, not by tests; a code that is spelled wrongly does not compile.
  mutator: { excludedMutations: ['StringLiteral'] },
  coverageAnalysis: 'perTest',
  tempDirName: '.tmp/mutate/sandbox',
  concurrency: 2,
  // Counting which rule each test runs takes minutes.
  dryRunTimeoutMinutes: 10,
  // A change is tried for two and a half seconds; what goes on much longer runs without end.
  timeoutMS: 5000,
  timeoutFactor: 0.01,
  ignorePatterns: ['app', 'e2e', 'docs', 'server', 'dist', '.tmp'],
  reporters: ['progress-append-only', 'clear-text', 'html', 'json'],
  htmlReporter: { fileName: '.tmp/mutate/report.html' },
  jsonReporter: { fileName: '.tmp/mutate/report.json' },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
};
