import { useLibrary } from '../stores/library.ts';

const SEEN = 'mivet-demo-seen';

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
  const { bringInDemo } = await import('./bring-in-demo.ts');
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
