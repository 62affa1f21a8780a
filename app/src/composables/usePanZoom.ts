import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent } from 'd3-zoom';
import { computed, onMounted, ref, type ComputedRef, type Ref } from 'vue';

/** How a drawing is moved under the hand: px, and a factor. */
export interface PanZoom {
  readonly moved: Ref<{ readonly k: number; readonly x: number; readonly y: number }>;
  /** Whether it is not as it was at first. */
  readonly zoomed: ComputedRef<boolean>;
  /** The way back. */
  readonly showAll: () => void;
}

/**
 * Lets a drawing be zoomed by wheel and pinch, moved by dragging its paper, and put back by a double click.
 *
 * @param svg the drawing, once it is there
 * @param held whether a press on something moves that, and not the paper
 */
export function usePanZoom(svg: Ref<SVGSVGElement | null>, held: (target: Element) => boolean = () => false): PanZoom {
  const moved = ref({ k: 1, x: 0, y: 0 });
  const zoomer = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.5, 30])
    .filter((event: PointerEvent) => event.type === 'wheel' || !held(event.target as Element))
    .on('zoom', ({ transform: t }: D3ZoomEvent<SVGSVGElement, unknown>) => (moved.value = { k: t.k, x: t.x, y: t.y }));
  const showAll = (): void => {
    if (svg.value) select(svg.value).call(zoomer.transform, zoomIdentity);
  };
  onMounted(() => {
    if (svg.value) select(svg.value).call(zoomer).on('dblclick.zoom', showAll);
  });
  const zoomed = computed(() => moved.value.k !== 1 || moved.value.x !== 0 || moved.value.y !== 0);
  return { moved, zoomed, showAll };
}
