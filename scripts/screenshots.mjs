// Takes the pictures in docs/screenshots/ from the demo, in the built app. Run after `npm run build`.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import process from 'node:process';
import { chromium } from '@playwright/test';
import { root } from './setup.mjs';

const PORT = '5196';
const base = `http://127.0.0.1:${PORT}`;
const out = `${root}docs/screenshots`;
mkdirSync(out, { recursive: true });
const server = spawn(process.execPath, ['server/dist/main.js', '--demo'], {
  cwd: root,
  env: { ...process.env, PORT, MIVET_DATA: mkdtempSync(`${tmpdir()}/mivet-shots-`) },
  stdio: 'ignore',
});
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
try {
  for (
    let i = 0;
    i < 80 &&
    !(await fetch(`${base}/api/config`).then(
      (r) => r.ok,
      () => false,
    ));
    i++
  )
    await new Promise((done) => setTimeout(done, 100));
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const shoot = async (name, path, before = async () => undefined) => {
    await page.goto(base + path);
    await page.waitForTimeout(2500);
    await before();
    // Pictures that are still worked out are waited for, as a person would.
    const there = () => [...document.querySelectorAll('.placeholder')].every((one) => one.getBoundingClientRect().top > innerHeight); // prettier-ignore
    await page.waitForFunction(there, null, { timeout: 20_000 });
    await page.waitForTimeout(1200);
    await page.screenshot({ path: `${out}/${name}.png` });
  };
  const select = (name) => page.getByRole('button', { name }).click();
  await shoot('projects', '/projects');
  await shoot('shelf', '/shelf');
  await shoot('measure', '/project/demo-tumbler/measure');
  await shoot('flat', '/project/demo-tumbler/flat');
  await shoot('photo', '/project/demo-cup/measure', async () => {
    await page.getByRole('button', { name: 'From a photograph' }).click();
    await page.getByRole('button', { name: 'the goblet' }).click();
    await page.getByRole('button', { name: /Take these/ }).waitFor();
    await page.getByText('Its two sides disagree').scrollIntoViewIfNeeded();
  });
  await shoot('artwork', '/project/demo-tumbler/artwork', () => select('STROKE'));
  await shoot('names', '/project/demo-mug/artwork', () => select('8 names to make'));
  await shoot('stock', '/stock');
  await shoot('cut', '/project/demo-tumbler/cut');
  await shoot('together', '/together?projects=demo-mug,demo-bow,demo-prize', () =>
    page.getByText('Share of each').waitFor(),
  );
  await shoot('stack', '/project/demo-heron/cut', () => page.getByRole('tab', { name: 'Film stack' }).click());
  await shoot('cutter', '/project/demo-tumbler/cut', async () => {
    await page.getByRole('tab', { name: 'Loads' }).click();
    await page.getByRole('button', { name: 'Send to the cutter' }).click();
    await page.getByRole('checkbox', { name: 'The film is on the board' }).check();
    await page.getByRole('button', { name: 'Load it' }).click();
    await page.getByRole('button', { name: 'Cut', exact: true }).click();
    await page.waitForTimeout(16_000);
  });
  await shoot('bench', '/project/demo-mug/bench', async () => {
    const mark = page.getByRole('heading', { level: 1, name: 'Mark face 2 of 2' });
    const all = page.getByRole('button', { name: /^All \d+ done$/ });
    for (let i = 0; i < 20 && !(await mark.isVisible()); i++)
      await ((await all.isVisible()) ? all : page.getByRole('button', { name: /^Done, next/ })).click();
    await page.getByRole('button', { name: /^Done, next/ }).click();
  });
  await shoot('today', '/', () => page.waitForTimeout(9000));
  await shoot('calendar', '/calendar', () => page.locator('.chart svg').first().waitFor({ timeout: 60_000 }));
  await shoot('logbook', '/logbook', () => page.getByText('Dwell', { exact: true }).click());
  await shoot('practice', '/practice/lay-wrap?task=1', async () => {
    await page.getByRole('slider', { name: 'Turn the sheet' }).fill('0.02');
    await page.getByRole('button', { name: 'Press and roll it on' }).click();
    await page.waitForTimeout(2500);
  });
  await page.setViewportSize({ width: 390, height: 844 });
  await shoot('bench-phone', '/project/demo-tumbler/bench', async () => {
    for (let i = 0; i < 7; i++) await page.getByRole('button', { name: 'Done, next' }).click();
  });
  await page.setViewportSize({ width: 1280, height: 800 });
  // A wrap with something to say: butted ends, and words too near the rim.
  await shoot('proof', '/project/demo-tumbler/artwork', async () => {
    await select('STROKE');
    const field = page.getByRole('textbox', { name: 'Top below the rim line' });
    await field.fill('3');
    await field.press('Tab');
    await page.goto(`${base}/project/demo-tumbler/proof`);
    await page.getByRole('button', { name: /too near the rim/ }).click();
  });
} finally {
  await browser.close();
  server.kill();
}
