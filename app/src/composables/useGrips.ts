import { drag, type D3DragEvent } from 'd3-drag';
import { select } from 'd3-selection';
import { onMounted, onUpdated, type Ref } from 'vue';
import { isMoved, leaveField } from './hand.ts';

/** What becomes of a grip that is dragged, and when it is let go. */
export interface GripActs {
  /** To where, in the drawing's own units; null the way in which the hand has not moved. */
  readonly drag: (grip: SVGElement, x: number | null, y: number | null) => void;
  readonly end?: () => void;
}

/**
 * Lets grips of a drawing be dragged; one that is only pressed stays where it is.
 *
 * @param svg the drawing, once it is there
 * @param grips selects them in it; the template makes them, now and later
 */
export function useGrips(svg: Ref<SVGSVGElement | null>, grips: string, { drag: pull, end }: GripActs): void {
  let from = { x: 0, y: 0 };
  let moved = { x: false, y: false };
  type Drag = D3DragEvent<SVGElement, unknown, unknown>;
  const hand = drag<SVGElement, unknown>()
    .container(() => svg.value!)
    .on('start', ({ x, y }: Drag) => {
      leaveField();
      from = { x, y };
      moved = { x: false, y: false };
    })
    .on('drag', function ({ x, y }: Drag) {
      const px = svg.value?.getScreenCTM()?.a ?? 1;
      moved.x ||= isMoved(px * (x - from.x), 0);
      moved.y ||= isMoved(0, px * (y - from.y));
      if (moved.x || moved.y) pull(this, moved.x ? x : null, moved.y ? y : null);
    })
    .on('end', () => {
      if (moved.x || moved.y) end?.();
    });
  // Each once: hung anew in the middle of a touch, it would let go.
  const hung = new WeakSet<SVGElement>();
  function hang(): void {
    if (!svg.value) return;
    const fresh = select(svg.value)
      .selectAll<SVGElement, unknown>(grips)
      .filter(function () {
        return !hung.has(this);
      });
    fresh.each(function () {
      hung.add(this);
    });
    fresh.call(hand);
  }
  onMounted(hang);
  onUpdated(hang);
}
