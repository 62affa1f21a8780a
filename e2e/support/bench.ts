import { expect, type Page } from '@playwright/test';

/** What the bench shows now: which step of how many, on which thing, and what goes on from there. */
const shown = (page: Page): Promise<string> =>
  page
    .locator('.bench')
    .evaluate((bench) =>
      ['header .dims', '.which', 'h1', 'footer .btn-primary']
        .map((part) => bench.querySelector(part)?.textContent?.trim() ?? '')
        .join(' | '),
    );

/**
 * Goes on at the bench until a step is there, one press at a time: the next one is not made before the last one has
 * shown. Before each, `first` may do what it wants at the step.
 */
export async function untilStep(
  page: Page,
  step: string | RegExp,
  first: (page: Page) => Promise<void> = async () => {},
): Promise<void> {
  const there = page.getByRole('heading', { level: 1, name: step });
  const all = page.getByRole('button', { name: /^All \d+ done$/ });
  const next = page.getByRole('button', { name: /^(Done|Go on all the same)/ });
  await expect(next.or(there).first()).toBeVisible();
  for (let i = 0; i < 60 && !(await there.isVisible()); i += 1) {
    await first(page);
    const before = await shown(page);
    await ((await all.isVisible()) ? all : next).click();
    await expect.poll(() => shown(page)).not.toBe(before);
  }
  await expect(there).toBeVisible();
}
