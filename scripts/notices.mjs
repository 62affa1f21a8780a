// Writes NOTICES.md: every package that ships in the app, the server or the command line, with its licence text. A licence
// that is not among those that allow use, change and sale ends it with an error.
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import process from 'node:process';
import { root } from './setup.mjs';

const lock = JSON.parse(readFileSync(`${root}package-lock.json`, 'utf8'));
const entries = Object.entries(lock.packages).filter(
  ([path, p]) => path.startsWith('node_modules/') && !p.dev && !p.link && !p.devOptional && !p.optional,
);
const ALLOWED = new Set(['MIT', 'ISC', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'Apache-2.0', 'BSL-1.0', 'OFL-1.1', 'CC0-1.0', 'Unlicense', 'BlueOak-1.0.0', 'Python-2.0']); // prettier-ignore
const refused = entries.filter(([, p]) => !String(p.license).split(/ OR | AND |[()]/).filter(Boolean).some((one) => ALLOWED.has(one.trim()))); // prettier-ignore
for (const [path, p] of refused) process.stderr.write(`${path} is under ${p.license ?? 'no licence that it names'}.\n`);
if (refused.length > 0) process.exit(1);
const texts = new Map();
for (const [path, p] of entries) {
  const folder = `${root}${path}`;
  if (!existsSync(folder)) continue;
  const file = readdirSync(folder).find((name) => /^(licen[cs]e|copying)/i.test(name));
  const text = file ? readFileSync(`${folder}/${file}`, 'utf8').trim() : '(no licence file in the package)';
  const name = `${path.slice(path.lastIndexOf('node_modules/') + 13)} ${p.version} (${p.license ?? 'see text'})`;
  texts.set(text, [...(texts.get(text) ?? []), name]);
}
const parts = [...texts].map(([text, names]) => `## ${names.join(', ')}\n\n\`\`\`text\n${text}\n\`\`\`\n`);
writeFileSync(
  `${root}NOTICES.md`,
  `# Notices\n\nMivet is under the MIT licence (see LICENSE). It ships with the packages and fonts below, each under its own licence.\nWritten by \`node scripts/notices.mjs\`.\n\n${parts.join('\n')}`,
);
