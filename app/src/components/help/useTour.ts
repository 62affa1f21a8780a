import { useRouter } from 'vue-router';
import { TOUR, TOUR_PROJECT } from './guides.ts';
import { useLibrary } from '../../stores/library.ts';
import { useView } from '../../stores/view.ts';

/** The walk through one demo project: begins it, goes on, and ends it. */
export function useTour(): {
  readonly begin: () => Promise<void>;
  readonly goTo: (at: number) => Promise<void>;
  readonly end: () => void;
} {
  const router = useRouter();
  const view = useView();
  const library = useLibrary();

  async function goTo(at: number): Promise<void> {
    view.tourAt = at;
    await router.push({ name: 'project', params: { id: TOUR_PROJECT, stop: TOUR[at]!.stop } });
  }
  async function begin(): Promise<void> {
    // What one has stays; only what of the demo is not there comes in.
    if (!library.projects.some(({ id }) => id === TOUR_PROJECT))
      await import('../../demo/bring-in-demo.ts').then(({ bringInDemo }) => bringInDemo());
    await goTo(0);
  }
  const end = (): void => void (view.tourAt = null);
  return { begin, goTo, end };
}
