import { askConfig } from './server-config.ts';

type Demo = typeof import('./bring-in-demo.ts');

let coming: Promise<Demo | null> | null = null;

/** Has the demo fetched where the server was started for it and this browser has not had it; null where there is none. */
export function warmDemo(): Promise<Demo | null> {
  coming ??= askConfig()
    .then((config) => (config?.demo === true ? import('./bring-in-demo.ts') : null))
    .catch(() => null);
  return coming;
}
