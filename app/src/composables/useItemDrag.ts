import { azimuthOfFacing, moveItem, replaceItem, type ArtworkItem } from '@mivet/core';
import { usePicture } from '../stores/picture.ts';
import { useProject } from '../stores/project.ts';
import type { Spot } from '../stores/view.ts';

/** mm round the blank within which an item stays with the front or with where it faced. */
const SNAP_MM = 2.5;

/** Dragging an item over the side: previews as it goes, one step of undo at the end. */
export function useItemDrag(): {
  start: (itemId: string, at: Spot) => void;
  move: (at: Spot) => void;
  end: () => void;
} {
  const project = useProject();
  const picture = usePicture();
  let from: { item: ArtworkItem; at: Spot } | null = null;

  function move(at: Spot): void {
    const doc = project.doc;
    if (!from || !doc || !picture.good) return;
    const { item, at: begin } = from;
    const radius = picture.good.meanRadius;
    const start = azimuthOfFacing(item.placement.facing, item.placement.angleDeg, doc.hand);
    let turn = at.azimuth - begin.azimuth;
    turn -= 2 * Math.PI * Math.round(turn / (2 * Math.PI));
    // Stays where it faced until pulled away, and comes to rest on the front.
    if (Math.abs(turn) * radius < SNAP_MM) turn = 0;
    else if (Math.abs(start + turn) * radius < SNAP_MM) turn = -start;
    const toFront = Math.abs(start + turn) < 1e-9;
    const moved = moveItem(item, (turn * 180) / Math.PI, at.slant - begin.slant, doc);
    const placed = toFront
      ? { ...moved, placement: { ...moved.placement, facing: 'front' as const, angleDeg: 0 } }
      : moved;
    project.preview((p) => ({ ...p, items: replaceItem(p.items, placed) }));
  }

  return {
    start: (itemId, at) => {
      const item = project.doc?.items.find((i) => i.id === itemId);
      from = item ? { item, at } : null;
    },
    move,
    end: () => {
      from = null;
      project.settle('Move');
    },
  };
}
