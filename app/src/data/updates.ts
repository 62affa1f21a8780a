import { ref, type Ref } from 'vue';

/** ms after which a page that stays open asks again whether there is a newer Mivet. */
const ASK_AGAIN_MS = 3_600_000;

/** Whether a newer Mivet is ready, or was put in place by another tab; and what puts it in place here. */
export interface Updates {
  readonly ready: Readonly<Ref<boolean>>;
  /** Goes over to it and loads the page anew; what is to be written must have been written. */
  readonly take: () => void;
}

const ready = ref(false);
let waiting: ServiceWorker | null = null;
let taking = false;

/**
 * Has the app kept for work without a connection. A newer one waits until it is taken or every tab was closed, so that a page
 * never finds parts of another version under it.
 */
export function keepForOffline(): void {
  // While it is developed there is none.
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const { serviceWorker } = navigator;
  // The first one of all takes over nothing; after that, another takes over because somebody said so in some tab.
  let first = serviceWorker.controller === null;
  serviceWorker.addEventListener('controllerchange', () => {
    if (taking) location.reload();
    else if (!first) ready.value = true;
    first = false;
  });
  void serviceWorker.register('/sw.js').then(
    // A browser that takes none may say nothing.
    (registration?: ServiceWorkerRegistration) => {
      if (!registration) return;
      const note = (worker: ServiceWorker | null): void => {
        if (!worker || !serviceWorker.controller) return;
        waiting = worker;
        ready.value = true;
      };
      note(registration.waiting);
      registration.addEventListener('updatefound', () => {
        const { installing } = registration;
        installing?.addEventListener('statechange', () => {
          if (installing.state === 'installed') note(installing);
        });
      });
      setInterval(() => void registration.update().catch(() => undefined), ASK_AGAIN_MS);
    },
    // Without it everything works that has a connection.
    () => undefined,
  );
}

export const updates: Updates = {
  ready,
  take() {
    taking = true;
    if (waiting && waiting.state !== 'activated') waiting.postMessage({ type: 'SKIP_WAITING' });
    else location.reload();
  },
};
