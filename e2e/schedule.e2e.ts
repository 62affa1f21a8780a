import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { openProjects } from './support/app.ts';

/** A Tuesday. */
const NOW = new Date('2026-12-01T09:00:00');

test.beforeEach(async ({ page }) => {
  await page.clock.setFixedTime(NOW);
  await openProjects(page);
});

test('a project is given its hand-over, stands in the plan with its latest start, and goes into the calendar file', async ({
  page,
}) => {
  await page.getByRole('article').filter({ hasText: 'Lane 3 ball' }).getByRole('button', { name: 'Hand-over' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('Choose a day.');
  await dialog.getByLabel('Day').fill('2026-12-12');
  await dialog.getByLabel('Time').fill('15:00');
  await dialog.getByLabel('For', { exact: true }).selectOption('market');
  await dialog.getByLabel('Price').fill('14,50');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('article').filter({ hasText: 'Lane 3 ball' })).toContainText('Due Sat 12 Dec, 15:00');

  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tuesday 1 December' })).toBeVisible();
  const row = page.getByRole('listitem').filter({ hasText: 'Lane 3 ball' }).last();
  await expect(row).toContainText(/start by (Wed|Thu|Fri|Sat) \d+ Dec/, { timeout: 60_000 });

  await page.getByRole('link', { name: 'Calendar', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Lane 3 ball', exact: true })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as ICS' }).click(),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(readFileSync((await file.path())!, 'utf8')) as unknown[]);
  const own = calendar
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))
    .filter(({ summary }) => summary.startsWith('Lane 3 ball'));
  expect(own.length).toBeGreaterThan(3);
  // A ball is not washed, and wants a day before it is handled hard: all of it lies before that.
  const last = own.map((event) => event.endDate.toJSDate().getTime()).sort((a, b) => b - a)[0]!;
  expect(last).toBeLessThanOrEqual(new Date('2026-12-12T15:00:00').getTime());
  const hands = own.filter(({ summary }) => !summary.endsWith('waits'));
  for (const { startDate } of hands) expect(startDate.toJSDate().getTime()).toBeGreaterThanOrEqual(NOW.getTime());
});

test('a plan that is late says by how much, is mended by a choice, and that choice is undone', async ({ page }) => {
  await page.goto('/calendar');
  const late = page.getByRole('region', { name: 'Landing-stage pot is late' });
  await expect(late).toContainText(/Late by \d+ h/, { timeout: 60_000 });
  // Evenings from six to nine: dried from Tuesday 18:03 to Wednesday, and a day of curing after that.
  await expect(late).toContainText('As things stand it is ready Thu 3 Dec');
  await late.getByRole('button', { name: 'Do that: Hand it over before it has cured' }).click();
  await expect(late).not.toContainText('25 h');
  const row = page.getByRole('button', { name: 'Landing-stage pot', exact: true });
  await row.click();
  await expect(page.getByText('Decided: handed over before it has cured, with a note.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('Decided:')).toBeHidden();
  await late.getByRole('button', { name: 'Do that: Hand it over later' }).click();
  await expect(late).toBeHidden();
});

test('work is moved by the keyboard, stays where it was put, and flows again; hours and days off are followed', async ({
  page,
}) => {
  await page.goto('/calendar');
  const weed = page.getByRole('button', { name: /^Stroke seat’s tumbler: Weed Deep water/ });
  await expect(weed).toBeVisible({ timeout: 60_000 });
  await weed.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByRole('button', { name: /^Stroke seat’s tumbler: Weed Deep water.*pinned/ })).toBeVisible();
  await page.getByRole('button', { name: 'Let them flow again' }).click();
  await expect(page.getByRole('button', { name: /^Stroke seat’s tumbler: Weed Deep water.*pinned/ })).toHaveCount(0);

  await page.goto('/my-way');
  await page.getByLabel('Wednesday, from').fill('06:00');
  await page.getByLabel('Wednesday, from').press('Tab');
  await page.getByLabel('Days off, from').fill('2026-12-03');
  await page.getByLabel('to', { exact: true }).fill('2026-12-04');
  await page.getByRole('button', { name: 'Add', exact: true }).last().click();
  await expect(page.getByText('Thu 3 Dec – Fri 4 Dec')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Wednesday, from')).toHaveValue('06:00');
  await page.goto('/calendar');
  await expect(page.getByRole('button', { name: /^Stroke seat’s tumbler/ }).nth(1)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: /: .*, (Thu 3|Fri 4) Dec, \d/ })).toHaveCount(0);
});
