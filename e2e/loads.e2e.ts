import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { openDemo, openProjects } from './support/app.ts';
import { canOfPlates } from './support/jobs.ts';

// There is one cutter: who works it takes turns.
test.describe.configure({ mode: 'serial' });

const row = (page: Page, name: string): ReturnType<Page['locator']> =>
  page.locator('.row-line.strip').filter({ hasText: name });

async function bringIn(page: Page, file: ReturnType<typeof canOfPlates>): Promise<void> {
  await openProjects(page);
  await page.goto('/my-way');
  await page.locator('input[type=file]').first().setInputFiles(file);
  await page.getByText('is among your projects').waitFor();
}
/** Takes what waits at the cutter through to its end. */
async function cutWaiting(page: Page): Promise<void> {
  await page.getByRole('checkbox', { name: 'The film is on the board' }).check();
  await page.getByRole('button', { name: 'Load it' }).click();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await page.getByRole('button', { name: 'It comes clean' }).click({ timeout: 40_000 });
}
/** What is left of a film on the shelf, as it stands on its card. */
const shelf = async (page: Page, film: string): Promise<string> => {
  await page.goto('/stock');
  return (await page.locator('article.film').filter({ hasText: film }).locator('p.dims').textContent())!.trim();
};

test('a wrap of three films goes side by side on one board, is cut, and is booked off the rolls', async ({ page }) => {
  await bringIn(
    page,
    canOfPlates('Three bands', [
      { film: 'deep-water', width: 200, height: 40, down: -45 },
      { film: 'shallows', width: 120, height: 30, down: 0 },
      { film: 'hull', width: 60, height: 20, down: 45 },
    ]),
  );
  await page.goto('/project/e2e-three-bands/cut');
  // Each lies turned, so that it takes its height and 3 mm on either side of the board's length: 46, 36 and 26, from the
  // margin of 3 on, with 6 mm for scissors between.
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  await expect(row(page, 'Deep water')).toContainText('46 × 206 mm');
  await expect(row(page, 'Shallows')).toContainText('36 × 126 mm');
  await expect(row(page, 'Hull')).toContainText('26 × 66 mm');
  await expect(page.locator('.load svg')).toContainText('from 3 to 49 mm, 206 mm across');
  await expect(page.locator('.load svg')).toContainText('from 55 to 91 mm, 126 mm across');
  await expect(page.locator('.load svg')).toContainText('from 97 to 123 mm, 66 mm across');
  // Off rolls 300 mm wide: 46 × 94 and 36 × 174 stay worth keeping; 26 × 234 is too narrow.
  await expect(row(page, 'Deep water')).toContainText('cut 46 mm off the roll');
  await expect(page.getByText('2 offcuts')).toBeVisible();
  // 2 × (200 + 40 + 120 + 30 + 60 + 20) mm of cutting.
  await expect(page.getByText('3 pieces, 3 films, 0.9 m of cutting')).toBeVisible();

  await page.getByRole('button', { name: 'Send to the cutter' }).click();
  await expect(page.locator('.slip')).toContainText('from 55 to 91 mm');
  await cutWaiting(page);
  await page.getByRole('tab', { name: 'Loads', exact: true }).click();
  // Tape with 10 mm on every side to hold it by, 220 × 60, 140 × 50 and 80 × 40 mm, used three times off a roll of 300:
  // 23 400 / 900 = 26 mm.
  await expect(page.getByLabel('Lifted with')).toHaveValue('demo-tape-clear');
  await expect(page.getByText('26 mm of 6.20 m')).toBeVisible();
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(
    page.getByText(/^\s*Booked .*film and tape are off the shelf, and so is one blank; 2 offcuts are on it/),
  ).toBeVisible();
  // 3.42 m less 46 mm; 2.15 m less 36 mm; 1.80 m less 26 mm.
  expect(await shelf(page, 'Deep water')).toBe('3.37 m left of 5.00 m');
  expect(await shelf(page, 'Shallows')).toBe('2.11 m left of 5.00 m');
  expect(await shelf(page, 'Hull')).toBe('1.77 m left of 3.00 m');
  const roll = page.locator('.row-line').filter({ hasText: 'Clear roll' }).first();
  await expect(roll).toContainText('6.17 m');
  await expect(page.getByRole('button', { name: 'Change the offcut of Deep water, 94 × 46 mm' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change the offcut of Shallows, 174 × 36 mm' })).toBeVisible();
  // It can be put back, all of it.
  await page.getByRole('button', { name: 'Undo booking' }).click();
  await expect(page.getByText('is taken back')).toBeVisible();
  expect(await shelf(page, 'Deep water')).toBe('3.42 m left of 5.00 m');
  await expect(roll).toContainText('6.20 m');
  await expect(page.getByRole('button', { name: /Change the offcut of Deep water/ })).toHaveCount(0);
});

test('a wrap of six films takes two loads of three strips, and the second waits for the first', async ({ page }) => {
  const films = ['deep-water', 'shallows', 'chalk', 'hull', 'night', 'ensign'];
  // Two rows of three columns would overlap: they are laid one on the other, each a little smaller.
  await bringIn(
    page,
    canOfPlates('Six films', films.map((film, i) => ({ film, width: 199.5 - 4 * i, height: 73.5, down: 0 }))), // prettier-ignore
  );
  await page.goto('/project/e2e-six-films/cut');
  // 80 of the board's 289 mm each, and 6 between: 80 + 6 + 80 + 6 + 80 = 252; a fourth would need 338.
  await expect(page.getByRole('heading', { name: '2 loads' })).toBeVisible();
  // Each lies on those before it: of 191.5 mm on two films of 0.07 mm, on 251 mm round, 191.5 · (1 + 2π · 0.14 / 251) = 192.2
  // and twice 3 mm round them, up to the whole millimetre. Hull is 0.05 mm thick, Night 0.08.
  const across = { 'Deep water': 206, Shallows: 202, Chalk: 199, Hull: 195, Night: 191, Ensign: 188 };
  for (const [name, mm] of Object.entries(across)) await expect(row(page, name)).toContainText(`80 × ${mm} mm`);
  await expect(page.locator('.load svg').first()).toContainText('from 175 to 255 mm');
  // Six films on each other are three too many, and it is said where.
  await page.getByRole('tab', { name: 'Film stack' }).click();
  await expect(page.getByText('Deepest: 6 films on each other')).toBeVisible();
  await page.locator('.choice').getByText('Inlay', { exact: true }).click();
  // Knocked out of each other, only underlaps lie on each other: two films, or three where edges are near.
  await expect(page.getByText('Deepest: 6 films on each other')).toHaveCount(0);
  await page.getByRole('tab', { name: 'Loads', exact: true }).click();
  await expect(page.getByRole('heading', { name: '2 loads' })).toBeVisible();
  await page.getByRole('button', { name: 'Send to the cutter' }).click();
  await expect(page.locator('.slip')).toContainText('Six films, load 1');
  await expect(page.locator('.slip').getByText('Six films, load 2')).toBeVisible();
  await cutWaiting(page);
  await expect(page.locator('.slip h3').first()).toContainText('load 2');
  await cutWaiting(page);
  await expect(page.getByText('The cutter is empty.')).toBeVisible();
  await page.getByRole('tab', { name: 'Loads', exact: true }).click();
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText(/^\s*Booked/)).toBeVisible();
  // Night and Ensign come in sheets: one of each is begun.
  expect(await shelf(page, 'Night')).toBe('5 sheets left');
  expect(await shelf(page, 'Ensign')).toBe('3 sheets left');
});

test('eight names go on one strip a film, are laid closer, cut and booked', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'cut');
  await expect(page.getByRole('heading', { name: 'One load' })).toBeVisible();
  await expect(row(page, 'Ensign')).toContainText('8 parts');
  await expect(row(page, 'Ensign')).toContainText('from an offcut');
  await expect(row(page, 'Deep water')).toContainText('8 parts');
  const off = async (): Promise<number> =>
    Number(/cut (\d+) mm off/.exec((await row(page, 'Deep water').textContent())!)![1]);
  const before = await off();
  await page.getByRole('button', { name: 'Tighten the layout' }).click();
  await expect(page.getByText(/Trying other ways|less so far/)).toBeVisible();
  await page.waitForTimeout(2500);
  await page.getByRole('button', { name: 'Keep this layout' }).click();
  await expect(page.getByRole('button', { name: 'Tighten the layout' })).toBeVisible();
  const after = await off();
  expect(after).toBeLessThanOrEqual(before);
  await page.getByRole('button', { name: 'Send to the cutter' }).click();
  await cutWaiting(page);
  await page.getByRole('tab', { name: 'Loads', exact: true }).click();
  const mugs = page.locator('.row-line').filter({ hasText: 'Crew mug, from the shelf' });
  await expect(mugs).toContainText('8 of 24');
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText(/^\s*Booked.* and so are 8 blanks/)).toBeVisible();
  await expect(mugs).toContainText('8 of 16');
  // The offcut of 140 × 82 is used up; of the roll of 3420 mm as much is gone as was said.
  expect(await shelf(page, 'Deep water')).toBe(`${((3420 - after) / 1000).toFixed(2)} m left of 5.00 m`);
  await expect(page.getByRole('button', { name: 'Change the offcut of Ensign, 140 × 82 mm' })).toHaveCount(0);
  // Taken back from the stock's own list, the mugs stand there again.
  const counted = page.getByRole('region', { name: 'Blanks' }).locator('.row-line').filter({ hasText: 'Crew mug' });
  await expect(counted).toContainText('16');
  await page.getByRole('region', { name: 'Booked' }).getByRole('button', { name: 'Undo booking' }).first().click();
  await expect(counted).toContainText('24');
});

test('a part is put by hand with the keys, stays there, and may not come too near', async ({ page }) => {
  await openDemo(page, 'demo-mug', 'cut');
  // The one furthest along the board has nothing beyond it.
  const parts = page.getByRole('button', { name: /^Deep water, / });
  await parts.first().waitFor();
  const ends = await parts.evaluateAll((all) => all.map((one) => one.getBoundingClientRect().right));
  const name = (await parts.nth(ends.indexOf(Math.max(...ends))).getAttribute('aria-label'))!.split(/[.:(]/)[0]!.trim();
  const part = page.getByRole('button', { name: new RegExp(`^${name}`) });
  await part.focus();
  const at = async (): Promise<number> => (await part.boundingBox())!.x;
  const x0 = await at();
  for (let i = 0; i < 4; i++) {
    // However fast one presses: each counts from where the last one led.
    await page.keyboard.press('Shift+ArrowRight');
  }
  await expect.poll(at).toBeGreaterThan(x0 + 20);
  await expect(page.getByRole('button', { name: new RegExp(`^${name}.*put by hand`) })).toBeVisible();
  await expect(page.getByText('One part stays where you put it')).toBeVisible();
  // Towards the edge of the film it goes no nearer than the blade's margin.
  const low = async (): Promise<number> => {
    const b = (await part.boundingBox())!;
    return b.y + b.height;
  };
  for (let i = 0; i < 60; i++) await page.keyboard.press('Shift+ArrowDown');
  const film = await page.locator('.load rect:not(.tape):not(.board)').nth(1).boundingBox();
  expect(await low()).toBeLessThan(film!.y + film!.height);
  await page.getByRole('button', { name: 'Plan again' }).click();
  await expect(page.getByText('One part stays where you put it')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('One part stays where you put it')).toBeVisible();
});

test('whatever happens to the line, the page or the server, the cutter is shown truly and cuts once', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  const [port, data] = ['5198', mkdtempSync(join(tmpdir(), 'mivet-killed-'))];
  const switchOn = async (): Promise<ChildProcess> => {
    const server = spawn('npx', ['tsx', 'server/src/main.ts', '--demo'], { env: { ...process.env, PORT: port, MIVET_DATA: data, MIVET_CUTTER_FASTER: '0.25' }, detached: true }); // prettier-ignore
    await expect
      .poll(
        () =>
          fetch(`http://127.0.0.1:${port}/api/config`).then(
            (r) => r.ok,
            () => false,
          ),
        { timeout: 90_000 },
      )
      .toBe(true);
    return server;
  };
  const kill = async (server: ChildProcess): Promise<void> => {
    process.kill(-server.pid!, 'SIGKILL');
    await expect
      .poll(() =>
        fetch(`http://127.0.0.1:${port}/api/config`).then(
          () => true,
          () => false,
        ),
      )
      .toBe(false);
  };
  const kept = (): { bladeMm: number; loads: { state: string; doneMm: number; totalMm: number }[] } =>
    (JSON.parse(readFileSync(join(data, 'cutter.json'), 'utf8')) as { state: never }).state;
  // Slow while pages are loaded, so that the slowest machine still finds it cutting; then as fast as is needed.
  const goAt = (times: string): Promise<void> =>
    page.getByRole('radiogroup', { name: 'How fast the simulated cutter works' }).getByText(times, { exact: true }).click(); // prettier-ignore
  let server = await switchOn();
  try {
    const home = `http://127.0.0.1:${port}`;
    await page.goto(`${home}/projects`);
    await expect(page.getByRole('heading', { name: 'Stroke seat’s tumbler' })).toBeVisible();
    await page.goto(`${home}/project/demo-tumbler/cut`);
    await page.getByRole('button', { name: 'Send to the cutter' }).click();
    // An empty board is refused; with film it is taken.
    await page.getByRole('button', { name: 'Load it' }).click();
    await expect(page.getByText('There is no film on the board').first()).toBeVisible();
    await page.getByRole('checkbox', { name: 'The film is on the board' }).check();
    await page.getByRole('button', { name: 'Load it again' }).click();
    await page.getByRole('button', { name: 'Cut', exact: true }).click();
    await expect(page.getByText('is being cut').first()).toBeVisible();
    // The same again is not sent twice; a reload shows where it is.
    await page.reload();
    await page.getByRole('button', { name: 'Send to the cutter' }).click();
    await expect(page.getByText('were not sent again')).toBeVisible();
    const second = await context.newPage();
    await second.goto(`${home}/project/demo-tumbler/cut`);
    await second.getByRole('tab', { name: 'Cutter', exact: true }).click();
    await expect(second.getByRole('button', { name: 'Stop' })).toBeVisible();
    // Killed in the middle: both pages say that they hear nothing, and later what became of it.
    await kill(server);
    await expect(page.getByText('No connection to the cutter')).toBeVisible();
    const cutThen = kept().bladeMm;
    expect(kept().loads[0]!.state).toBe('cutting');
    server = await switchOn();
    await expect(page.getByText(/was switched off at \d+ %/).first()).toBeVisible();
    await expect(second.getByText(/was switched off at \d+ %/).first()).toBeVisible();
    expect(kept().bladeMm).toBe(cutThen);
    await goAt('10 ×');
    // Both press; it goes on once, and only what was left is cut.
    const goOn = (one: Page): Locator => one.getByRole('button', { name: 'Go on' });
    const press = (one: Page): Promise<boolean> => goOn(one).click({ timeout: 3000 }).then(() => true, () => false); // prettier-ignore
    const pressed = await Promise.all([page, second].map(press));
    // Neither came to it on a machine that was busy elsewhere.
    if (!pressed.includes(true)) await goOn(page).click();
    await expect(page.getByRole('button', { name: 'Cut it once more' })).toBeVisible({ timeout: 40_000 });
    await expect(second.getByRole('button', { name: 'It comes clean' })).toBeVisible();
    expect(kept().bladeMm).toBeCloseTo(kept().loads[0]!.totalMm, 3);
    await goAt('1 ×');
    // A second pass is a pass of its own, and can be stopped.
    await page.getByRole('button', { name: 'Cut it once more' }).click();
    await second.getByRole('button', { name: 'Cut once more' }).click();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(second.getByText(/Stopped by hand at/).first()).toBeVisible();
    await second.getByRole('button', { name: 'Take it out' }).click();
    await expect(page.getByText('The cutter is empty.')).toBeVisible();
  } finally {
    process.kill(-server.pid!, 'SIGKILL');
  }
});
