import { useLibrary } from '../stores/library.ts';
import { askConfig, demoSeen, noteDemoSeen } from './server-config.ts';

/**
 * On a server started for the demo, a browser without any projects gets the demo once.
 *
 * @param loading the library on its way; the server is asked meanwhile
 */
export async function offerDemo(loading: Promise<void>): Promise<void> {
  const library = useLibrary();
  if (demoSeen()) return loading;
  const config = await askConfig();
  const asked = config?.demo === true ? import('./bring-in-demo.ts') : null;
  asked?.catch(() => undefined);
  await loading;
  if (library.refused || library.projects.length > 0 || !asked) return;
  const { bringInDemo } = await asked;
  await bringInDemo();
  noteDemoSeen();
}
