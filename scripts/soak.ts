// npm run soak -- [--minutes 10] [--seed 1]: random work in the app, held against what must always be so.
import process from 'node:process';
import { parseArgs } from 'node:util';
import { checkDocument, deriveWrap, type Project, sameValue } from '@mivet/core';
import { chromium, type Locator, type Page } from '@playwright/test';
import { loadFonts } from '../cli/src/input/fonts.ts';
import { goTo } from '../e2e/support/app.ts';
import { recordsOf } from '../e2e/support/records.ts';
import { serveApp } from './app-server.ts';
import { chanceOf } from './fuzz/cases.ts';

const { values } = parseArgs({ options: { minutes: { type: 'string', default: '10' }, seed: { type: 'string', default: '1' } } }); // prettier-ignore
const chance = chanceOf(Number(values.seed));
const fonts = loadFonts({});
const wrong: string[] = [];
const did = new Map<string, number>();
const steps: string[] = [];

const server = await serveApp(5195);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
page.setDefaultTimeout(20_000);
page.on('pageerror', (problem) => note(`the page threw: ${problem.message}`));
page.on('crash', () => note('the page fell'));

function note(words: string): void {
  wrong.push(`${words} (after ${steps.slice(-6).join(', ')})`);
}
function step(name: string): void {
  steps.push(name);
  did.set(name, (did.get(name) ?? 0) + 1);
}

type Row = { readonly id: string; readonly document: Project };
const rows = (): Promise<Row[]> => recordsOf<Row>(page, 'projects');
/** What a person did to it: not when. */
const plain = ({ changedAt: _, ...rest }: Project): object => rest;

/** The open project as it is kept, once the header says that it is. */
async function kept(id: string): Promise<Project> {
  await page.getByText(/^Saved \d\d:\d\d$/).waitFor();
  return (await rows()).find((row) => row.id === id)!.document;
}

/** Waits for something to become so; false where it does not. */
async function comes(so: () => Promise<boolean>): Promise<boolean> {
  for (let i = 0; i < 60; i++) {
    if (await so()) return true;
    await page.waitForTimeout(150);
  }
  return false;
}

/** Presses an element of a list by chance; false where there is none. */
async function pressOne(all: Locator): Promise<boolean> {
  const count = await all.count();
  if (count === 0) return false;
  await all.nth(chance.below(count)).click();
  return true;
}

const typed = async (label: string, value: string): Promise<boolean> => {
  const field = page.getByRole('textbox', { name: label, exact: true }).first();
  if ((await field.count()) === 0) return false;
  await field.fill(value);
  await field.press('Tab');
  return true;
};

/** What is done to a project, by a hand that knows no better. */
const EDITS: readonly (readonly [string, (p: Page) => Promise<boolean>])[] = [
  ['words', async (p) => { const field = p.getByLabel('Words or a name'); if ((await field.count()) === 0) return false; await field.fill(chance.of(['COX', 'Bow 7', 'Ø', '🛶', 'a'.repeat(60)])); await p.getByRole('button', { name: 'Place it' }).click(); return true; }], // prettier-ignore
  ['width', () => typed('Width', chance.of(['12', '40 mm', '3 in', '-4', 'x', '0.2', '9000']))],
  ['height', () => typed('Height', chance.of(['12', '31,5', '1/2 in', '', '300']))],
  ['capitals', () => typed('Capital height', chance.of(['8', '20', '55 mm', '0', '1e3']))],
  ['film', (p) => pressOne(p.locator('.film-choice button.one'))],
  ['nudge', async (p) => { await p.evaluate(() => (document.activeElement as HTMLElement | null)?.blur()); await p.keyboard.press(chance.of(['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'])); return true; }], // prettier-ignore
  ['drag', async (p) => { const piece = p.locator('svg.flat g[data-item]').first(); const box = await piece.boundingBox().catch(() => null); if (!box) return false; const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]; await p.mouse.move(x, y); await p.mouse.down(); for (let i = 1; i <= 5; i++) await p.mouse.move(x + i * (chance.below(15) - 7), y + i * (chance.below(9) - 4)); await p.mouse.up(); return true; }], // prettier-ignore
  ['delete', async (p) => { const button = p.getByRole('button', { name: 'Delete', exact: true }); if ((await button.count()) === 0) return false; await button.first().click(); return true; }], // prettier-ignore
];

/** Does something, takes it back and does it again: each time it is the same as before. */
async function changeAndBack(id: string): Promise<void> {
  const before = await kept(id);
  const [name, edit] = chance.of(EDITS);
  if (!(await edit(page))) return;
  step(name);
  await page.waitForTimeout(chance.below(400));
  const after = await kept(id);
  if (sameValue(plain(before), plain(after))) return;
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  if (!(await comes(async () => sameValue(plain(await kept(id)), plain(before))))) note(`undo of “${name}” leads elsewhere`); // prettier-ignore
  await page.getByRole('button', { name: 'Redo' }).click();
  if (!(await comes(async () => sameValue(plain(await kept(id)), plain(after))))) note(`redo of “${name}” leads elsewhere`); // prettier-ignore
}

/** mm. Wider artwork than this is far wider than any blank. */
const HUGE_MM = 2000;

/** The flat shows as many pieces as the core cuts. */
async function agrees(id: string): Promise<void> {
  const project = await kept(id);
  // What the app gives up after its time, in words, would take minutes here, where nothing ends it.
  const huge = project.items.some((item) => 'widthMm' in item && Number(item.widthMm) > HUGE_MM);
  if (huge || (await page.getByText(/^(This could not be worked out|Too heavy to judge)$/).count()) > 0)
    return step('left out: too heavy');
  const made = deriveWrap(project, fonts);
  const pieces = made.ok ? made.wrap.pieces.filter((piece) => !piece.spare).length : 0;
  const shown = page.locator('svg.flat path.piece');
  if (!(await comes(async () => (await shown.count()) === pieces))) note(`the flat of ${id} shows ${await shown.count()} pieces, the core cuts ${pieces}`); // prettier-ignore
}

await page.goto(`${server.base}/projects`);
await page.getByRole('link', { name: /Stroke seat/ }).waitFor();
await page.waitForFunction(() => localStorage.getItem('mivet-demo-seen') !== null);
const ids = (await rows()).map(({ id }) => id);
const end = performance.now() + 60_000 * Number(values.minutes);
let rounds = 0;
while (performance.now() < end && wrong.length < 10) {
  rounds += 1;
  const id = chance.of(ids);
  try {
    await page.goto(`${server.base}/project/${id}/${chance.of(['artwork', 'artwork', 'flat', 'measure'])}`);
    step(`open ${id}`);
    await page.getByRole('navigation', { name: 'Stops of the project' }).waitFor();
    await goTo(page, 'Artwork');
    for (let n = 1 + chance.below(4); n > 0 && performance.now() < end; n--) {
      if (chance.next() < 0.7) await pressOne(page.locator('.slip button.pick'));
      await changeAndBack(id);
    }
    await agrees(id);
    for (const stop of ['Proof', 'Cut', 'Bench', 'Log']) if (chance.next() < 0.3) await goTo(page, stop);
    if (chance.next() < 0.3) {
      step('reload');
      const before = await kept(id);
      await page.reload();
      await page.getByRole('navigation', { name: 'Stops of the project' }).waitFor();
      const now = (await rows()).find((row) => row.id === id)?.document;
      if (!now || !sameValue(plain(now), plain(before))) note(`a reload changed ${id}`);
    }
    if (chance.next() < 0.2) {
      step('another view');
      await page.goto(
        `${server.base}/${chance.of(['', 'projects', 'calendar', 'shelf', 'stock', 'logbook', 'my-way', 'practice'])}`,
      );
      await page.locator('h1').first().waitFor();
    }
  } catch (problem) {
    note(
      `it stuck: ${problem instanceof Error ? problem.message.split('\n').slice(0, 9).join(' ').slice(0, 700) : String(problem)}`,
    );
  }
  const all = await rows();
  if (all.length !== ids.length) note(`${all.length} projects of ${ids.length}`);
  for (const row of all) if (!checkDocument(row.document).ok) note(`${row.id} cannot be read`);
}
await browser.close();
server.stop();
for (const one of wrong) process.stdout.write(`${one}\n`);
process.stdout.write(`${rounds} rounds, ${[...did.values()].reduce((a, b) => a + b, 0)} acts (${[...did].filter(([name]) => !name.startsWith('open')).map(([name, count]) => `${name} ${count}`).join(', ')}), ${wrong.length} wrong\n`); // prettier-ignore
process.exitCode = wrong.length > 0 ? 1 : 0;
