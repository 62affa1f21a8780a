// npm run mutate [-- room …]: changes the rules of core one by one and counts the changes that no test near them notices.
import { spawnSync } from 'node:child_process';
import process from 'node:process';

const { status } = spawnSync('npx', ['stryker', 'run', 'scripts/mutate/config.mjs'], {
  stdio: 'inherit',
  env: { ...process.env, MUTATE_ROOMS: process.argv.slice(2).join(' ') },
});
process.exit(status ?? 1);
