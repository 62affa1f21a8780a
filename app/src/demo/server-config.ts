const SEEN = 'mivet-demo-seen';

/** Whether this browser has had the demo once. Where storage is refused nothing can be brought in: as if it had. */
export function demoSeen(): boolean {
  try {
    return localStorage.getItem(SEEN) !== null;
  } catch {
    return true;
  }
}

/** Notes that this browser has had the demo. */
export const noteDemoSeen = (): void => localStorage.setItem(SEEN, '1');

let asked: Promise<{ demo?: unknown } | null> | null = null;

/** Asks the server how it was started, once, unless the demo was seen. Without the server there is no demo to offer. */
export function askConfig(): Promise<{ demo?: unknown } | null> {
  if (demoSeen()) return Promise.resolve(null);
  asked ??= fetch('/api/config')
    .then((response) => response.json() as Promise<{ demo?: unknown }>)
    .catch(() => null);
  return asked;
}
