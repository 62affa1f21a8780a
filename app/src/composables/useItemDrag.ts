import {
  type ArtworkItem,
  azimuthOfFacing,
  formatLength,
  glanceHalfAngle,
  matesOf,
  moveItem,
  nearFront,
  radiusOnSide,
  replaceItem,
  type SnapBox,
  type SnapLine,
  snapLines,
  type SnapPart,
  type Snapped,
  type SnapSide,
  snapTo,
  togetherWith,
  zonesOfBlank,
  type Units,
} from '@mivet/core';
import { itemTitle } from './item-title.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useView, type DragGuides, type Spot } from '../stores/view.ts';

/** mm within which a dragged item comes to rest on a line. */
const REACH_MM = 2;
/** Copies of one other item whose lines are looked at. */
const MOST_COPIES = 12;

/** Dragging an item over the side: previews as it goes, one step of undo at the end. */
export function useItemDrag(): {
  start: (itemId: string, at: Spot) => void;
  move: (at: Spot, free: boolean) => void;
  end: () => void;
} {
  const project = useProject();
  const viewModel = useViewModel();
  const settings = useSettings();
  const view = useView();
  let from: {
    items: readonly ArtworkItem[];
    at: Spot;
    box: SnapBox;
    lines: readonly SnapLine[];
    side: SnapSide;
  } | null = null;

  function start(itemId: string, at: Spot): void {
    const doc = project.doc;
    const { shape } = viewModel;
    const item = doc?.items.find((i) => i.id === itemId);
    const placed = shape?.items.find((i) => i.itemId === itemId);
    from = null;
    if (!doc || !shape || !item || !placed) return;
    // The other colours of a drawing move by themselves; what is kept together is moved.
    const items = togetherWith(doc.items, item);
    const own = new Set([...items, ...matesOf(doc.items, item)].map((i) => i.id));
    const { rim, base } = zonesOfBlank(doc.blank, shape.size);
    const closed = shape.template.closed;
    const side: SnapSide = {
      side: shape.size.side,
      radiusAt: (slant) => radiusOnSide(shape, slant),
      closed,
      hasHandle: doc.blank.handleWidthMm > 0,
      hand: doc.hand,
      rim,
      base,
      glance: closed ? glanceHalfAngle(shape.meanRadius, useSettings().judgedBy) : null,
    };
    const others = shape.items
      .filter((other) => !own.has(other.itemId) && other.slants !== null)
      .flatMap((other) => {
        const named = doc.items.find((i) => i.id === other.itemId);
        const name = named ? itemTitle(named) : '';
        const allRound = named?.repeat.mode === 'joined';
        return other.copies
          .slice(0, allRound ? 1 : MOST_COPIES)
          .map((azimuth) => ({ ...other, azimuth, name, allRound }));
      });
    // The copy that was taken hold of is the one that is watched.
    const held = placed.copies.reduce((a, b) => (gap(b, at.azimuth) < gap(a, at.azimuth) ? b : a), placed.azimuth);
    const lines = snapLines(side, others);
    // Where the document has it: the picture may be a moment behind.
    const { facing, angleDeg } = item.placement;
    const azimuth = azimuthOfFacing(facing, angleDeg, doc.hand) + held - placed.azimuth;
    from = { items, at, box: { ...placed, azimuth }, lines, side };
  }

  function move(at: Spot, free: boolean): void {
    const doc = project.doc;
    if (!from || !doc) return;
    const { items, at: begin, box, lines, side } = from;
    const turn = at.azimuth - begin.azimuth;
    const hand: SnapBox = {
      ...box,
      azimuth: box.azimuth + nearFront(turn),
      slant: box.slant + at.slant - begin.slant,
    };
    const rest: Snapped = free ? { ...hand, held: [] } : snapTo(hand, lines, side, REACH_MM);
    const facing = rest.held.find(({ line }) => line.facing)?.line.facing;
    const byDeg = ((rest.azimuth - box.azimuth) * 180) / Math.PI;
    const downMm = rest.slant - box.slant;
    view.guides = guidesOf({ ...box, azimuth: rest.azimuth, slant: rest.slant }, rest, side, settings.unit);
    project.preview((p) =>
      items.reduce((now, item) => {
        const moved = moveItem(item, Math.abs(byDeg) < 1e-9 ? 0 : byDeg, downMm, doc);
        const stated = facing && item === items[0] && item.repeat.mode === 'once' && item.placement.facing !== 'faces';
        const placement = stated ? { ...moved.placement, facing, angleDeg: 0 } : moved.placement;
        return { ...now, items: replaceItem(now.items, { ...moved, placement }) };
      }, p),
    );
  }

  return {
    start,
    move,
    end: () => {
      from = null;
      view.guides = null;
      project.settle('Move');
    },
  };
}

const gap = (a: number, b: number): number => {
  const turn = a - b;
  return Math.abs(nearFront(turn));
};

function guidesOf(box: SnapBox, { held }: Snapped, side: SnapSide, unit: Units): DragGuides {
  const top = box.slant - box.heightMm / 2;
  const turn = side.closed ? nearFront(box.azimuth) : box.azimuth;
  const across = turn * side.radiusAt(box.slant);
  const front = side.closed ? 'the front' : 'the middle';
  const far = formatLength(Math.abs(across), unit);
  const down = `${formatLength(Math.abs(top), unit)} ${top < 0 ? 'over' : 'below'} the ${side.closed ? 'rim edge' : 'upper edge'}`;
  return {
    box,
    lines: held.map(({ line, part }) => ({ axis: line.axis, at: line.at, text: restsOn(line, part) })),
    down,
    round: Math.abs(across) < 0.05 ? `at ${front}` : `${far} ${across > 0 ? 'right' : 'left'} of ${front}`,
  };
}

/** What rests on what, in words. */
function restsOn(line: SnapLine, part: SnapPart): string {
  if (line.facing) return line.name;
  return `${part === 'left' || part === 'right' ? `${part} edge` : part} on ${line.name}`;
}
