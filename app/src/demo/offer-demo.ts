import { useLibrary } from '../stores/library.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useStock } from '../stores/stock.ts';
import { demoProjects } from './demo.ts';
import { demoEntries } from './demo-entries.ts';
import { demoShelf } from './demo-shelf.ts';
import { demoStock } from './demo-stock.ts';

const SEEN = 'mivet-demo-seen';

/** Puts the made-up rowing club's blanks and projects in. */
export async function bringInDemo(): Promise<void> {
  const now = new Date().toISOString();
  const shelf = demoShelf(now);
  const entries = demoEntries(now, shelf);
  await useLibrary().bringIn(demoProjects(now), { shelf, stock: demoStock(now), entries });
  await Promise.all([useStock().load(true), useLogbook().load(true)]);
}

/**
 * On a server started for the demo, a browser without any projects gets the demo once.
 *
 * @param loading the library on its way; the server is asked meanwhile
 */
export async function offerDemo(loading: Promise<void>): Promise<void> {
  const library = useLibrary();
  if (localStorage.getItem(SEEN)) return loading;
  const [config] = await Promise.all([serverConfig(), loading]);
  if (library.refused || library.projects.length > 0 || config?.demo !== true) return;
  await bringInDemo();
  localStorage.setItem(SEEN, '1');
}

/** Without the server there is no demo to offer; the empty state has a button for it. */
const serverConfig = (): Promise<{ demo?: unknown } | null> =>
  fetch('/api/config')
    .then(
      (response) => response.json() as Promise<{ demo?: unknown }>,
      () => null,
    )
    .catch(() => null);
