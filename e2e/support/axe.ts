import type { Page } from '@playwright/test';
import axe from 'axe-core';

/**
 * What keeps people from using a page: WCAG 2, levels A and AA.
 *
 * @param rules left out, all; colours are those that stay when only the theme changes
 * @param within left out, the whole page
 * @returns rule and place of each fault
 */
export async function barriers(
  page: Page,
  rules: 'all' | 'all but colours' | 'colours' = 'all',
  within?: string,
): Promise<string[]> {
  // It stays for as long as the page does.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async ({ rules: which, within: part }) => {
      const judge = (window as unknown as { axe: typeof axe }).axe;
      const { violations } = await judge.run(part ?? document, {
        resultTypes: ['violations'],
        runOnly: which === 'colours' ? { type: 'rule', values: ['color-contrast'] } : ['wcag2a', 'wcag2aa'],
        ...(which === 'all but colours' && { rules: { 'color-contrast': { enabled: false } } }),
      });
      return violations.map(({ id, nodes }) => `${id} ${nodes.map((n) => `${n.target} ${n.any[0]?.message ?? ''}`).join(' ')}`); // prettier-ignore
    },
    { rules, ...(within !== undefined && { within }) },
  );
}
