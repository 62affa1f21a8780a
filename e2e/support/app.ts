import { readFileSync } from 'node:fs';
import { expect, type Download, type Locator, type Page } from '@playwright/test';
import { unzipSync, strFromU8 } from 'fflate';

/** Opens the project list with the demo in it. */
export async function openProjects(page: Page): Promise<void> {
  await page.goto('/projects');
  await expect(page.getByRole('heading', { name: 'Stroke seat’s tumbler' })).toBeVisible();
}

/** Opens a stop of a demo project, and waits until the whole demo is in. */
export async function openDemo(page: Page, id: `demo-${string}`, stop: string): Promise<void> {
  await page.goto(`/project/${id}/${stop}`);
  await expect(page.getByRole('navigation', { name: 'Stops of the project' })).toBeVisible();
  await page.waitForFunction(() => localStorage.getItem('mivet-demo-seen') !== null);
}

/** Goes to another view as a link of the app does, without loading the app anew. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    const state = { ...(history.state as object), position: history.length };
    history.pushState(state, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state }));
  }, path);
  await expect(page.locator('main').locator('h1, h2').first()).toBeVisible();
}

/** Types a reading into the field that is being asked for. */
export async function read(page: Page, label: string, typed: string): Promise<void> {
  await page.getByRole('textbox', { name: label }).fill(typed);
  await page.keyboard.press('Enter');
}

/** Goes to a stop by its strip. */
export const goTo = (page: Page, stop: string): Promise<void> =>
  page.getByRole('navigation', { name: 'Stops of the project' }).getByRole('link', { name: stop }).click();

/** Changes a field on the slip and leaves it. */
export async function setField(page: Page, label: string, value: string): Promise<void> {
  const field: Locator = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Tab');
}

/** What something says once it has come to rest: the same four times in a row, a third of a second apart. */
export async function atRest<T>(read: () => Promise<T>): Promise<T> {
  let same = 0;
  let last = await read();
  while (same < 3) {
    await new Promise((done) => setTimeout(done, 330));
    const now = await read();
    same = JSON.stringify(now) === JSON.stringify(last) ? same + 1 : 0;
    last = now;
  }
  return last;
}

/** Where something lies once it has come to rest, px. */
export const boxAtRest = async (of: Locator): Promise<{ x: number; y: number; width: number; height: number }> =>
  (await atRest(() => of.boundingBox()))!;

/** Presses a button and takes the file that it writes. */
export async function download(page: Page, button: string): Promise<Download> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: button }).click()]);
  return file;
}

/** Files of a downloaded ZIP as text. */
export async function unzip(file: Download): Promise<{ [name: string]: Uint8Array }> {
  return unzipSync(new Uint8Array(readFileSync(await file.path())));
}

export const text = (bytes: Uint8Array | undefined): string => strFromU8(bytes!);

/** Waits until the header says that everything is saved. */
export const saved = (page: Page): Promise<void> => expect(page.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();

/** A project as the browser keeps it. */
export interface StoredDocument {
  readonly [field: string]: unknown;
  readonly items: readonly { readonly type: string }[];
  readonly films: readonly object[];
  readonly stack: object;
}

/** Puts a project into the browser's database, made from one that is there. */
export async function storeLike(
  page: Page,
  from: string,
  change: (document: StoredDocument) => object & { readonly id: string },
): Promise<void> {
  const document = await page.evaluate(
    (id) =>
      new Promise<StoredDocument>((done, fail) => {
        const open = indexedDB.open('mivet');
        open.onerror = fail;
        open.onsuccess = () => {
          const got = open.result.transaction('projects').objectStore('projects').get(id);
          got.onsuccess = () => {
            open.result.close();
            done((got.result as { document: StoredDocument }).document);
          };
        };
      }),
    from,
  );
  await page.evaluate(
    (made) =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open('mivet');
        open.onerror = fail;
        open.onsuccess = () => {
          const store = open.result.transaction('projects', 'readwrite').objectStore('projects');
          store.put({ id: made.id, revision: 1, document: made });
          store.transaction.oncomplete = () => {
            open.result.close();
            done();
          };
        };
      }),
    change(document),
  );
}
