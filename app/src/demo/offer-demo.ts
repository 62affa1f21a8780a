import { useLibrary } from '../stores/library.ts';
import { demoSeen, noteDemoSeen } from './server-config.ts';
import { warmDemo } from './warm-demo.ts';

/**
 * On a server started for the demo, a browser without any projects gets the demo once.
 *
 * @param loading the library on its way; the server is asked meanwhile
 */
export async function offerDemo(loading: Promise<void>): Promise<void> {
  const library = useLibrary();
  if (demoSeen()) return loading;
  const asked = warmDemo();
  await loading;
  if (library.refused || library.projects.length > 0) return;
  const demo = await asked;
  if (!demo) return;
  await demo.bringInDemo();
  noteDemoSeen();
}
