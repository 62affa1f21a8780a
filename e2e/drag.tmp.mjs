import { chromium } from '@playwright/test';
const [url, out] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(url); await page.getByRole('heading', { name: 'Stroke seat’s tumbler' }).waitFor();
await page.goto(url + '/project/demo-tumbler/artwork');
const letter = page.locator('[data-item="demo-stroke"] .piece').first();
await page.getByRole('region', { name: 'Seam window' }).waitFor();
await page.waitForTimeout(1500);
const box = await letter.boundingBox();
console.log(box);
const [x, y] = [box.x + 5, box.y + box.height / 2];
await page.mouse.move(x, y); await page.mouse.down();
for (let i = 1; i <= 6; i++) { await page.mouse.move(x, y + 5 * i); await page.waitForTimeout(300);}
await page.screenshot({ path: out });
await page.mouse.up();
await page.waitForTimeout(500);
console.log(await page.getByLabel('Centred').inputValue(), await page.getByRole('textbox', { name: 'Top below the rim line' }).inputValue(), JSON.stringify(await page.evaluate(() => [...document.querySelectorAll('input[type=text],input[type=number]')].map((e) => e.getAttribute('aria-label') + ' ' + e.value + ' ' + e.id))));
await b.close();
