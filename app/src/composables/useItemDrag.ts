import {
  type ArtworkItem,
  type KeptSpot,
  type PlacedSpot,
  type ShapeViewModel,
  arrangedAs,
  leadOfScatter,
  radiusOnSide,
  withSpots,
  azimuthOfFacing,
  formatLength,
  moveItem,
  nearFront,
  replaceItem,
  type SnapBox,
  type SnapLine,
  snapLines,
  type SnapOther,
  type SnapPart,
  type Snapped,
  roomAround,
  type RoomSide,
  snapTo,
  allTogether,
  type Units,
} from '@mivet/core';
import { copiesOf, placeAmong } from './useScatter.ts';
import { movedAlong, othersOf, roomWords, sideOf } from './item-room.ts';
import { useViewModel } from '../stores/view-model.ts';
import { useProject } from '../stores/project.ts';
import { useSettings } from '../stores/settings.ts';
import { useView, type DragGuides, type Spot } from '../stores/view.ts';

/** mm within which a dragged item comes to rest on a line. */
const REACH_MM = 2;
/** ms between two changes of the document while something is dragged: the flat follows the hand by itself. */
const FOLLOWS_MS = 80;

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
    side: RoomSide;
    others: readonly SnapOther[];
  } | null = null;
  /** The copy of a scatter that is held. */
  let one: { leadId: string; copies: readonly KeptSpot[]; index: number; at: Spot } | null = null;

  function start(itemId: string, at: Spot): void {
    const doc = project.doc;
    const { shape } = viewModel;
    const item = doc?.items.find((i) => i.id === itemId);
    const placed = shape?.items.find((i) => i.itemId === itemId);
    from = one = null;
    view.letGo();
    if (!doc || !shape || !item || !placed) return;
    if (placed.spots) return holdCopy(doc.items, item, shape, placed.spots, at);
    // The other colours of a drawing move by themselves; what is kept together is moved.
    // The one that is held comes first.
    const ids = view.selection.has(itemId) ? view.selection : new Set([itemId]);
    const rest = allTogether(doc.items, ids).filter((i) => i.id !== itemId);
    const items = [item, ...rest];
    const own = movedAlong(doc.items, items);
    const side = sideOf(doc.blank, doc.hand, shape, settings.judgedBy);
    const others = othersOf(doc.items, shape, own);
    // The copy that was taken hold of is the one that is watched.
    const held = placed.copies.reduce((a, b) => (gap(b, at.azimuth) < gap(a, at.azimuth) ? b : a), placed.azimuth);
    const lines = snapLines(side, others);
    // Where the document has it: the picture may be a moment behind.
    const { facing, angleDeg } = item.placement;
    const azimuth = azimuthOfFacing(facing, angleDeg, doc.hand) + held - placed.azimuth;
    from = { items, at, box: { ...placed, azimuth }, lines, side, others };
  }

  /** Of a scatter the copy that is pressed is held, by itself: the others stay where they are. */
  function holdCopy(
    items: readonly ArtworkItem[],
    item: ArtworkItem,
    shape: ShapeViewModel,
    spots: readonly PlacedSpot[],
    at: Spot,
  ): void {
    const radius = radiusOnSide(shape, at.slant);
    const far = ({ azimuth, slant }: PlacedSpot): number => Math.hypot(radius * gap(azimuth, at.azimuth), slant - at.slant); // prettier-ignore
    const n = spots.reduce((best, spot, i) => (far(spot) < far(spots[best]!) ? i : best), 0);
    view.copyIndex = n;
    const copies = copiesOf(items, item, shape);
    const index = placeAmong(copies, arrangedAs(items, item), n);
    if (index >= 0) one = { leadId: leadOfScatter(items, item).id, copies, index, at };
  }

  function moveCopy({ leadId, copies, index, at: begin }: NonNullable<typeof one>, at: Spot): void {
    const turnDeg = (nearFront(at.azimuth - begin.azimuth) * 180) / Math.PI;
    const kept = copies.map((spot, i) =>
      i === index
        ? { ...spot, angleDeg: spot.angleDeg + turnDeg, downMm: spot.downMm + at.slant - begin.slant, pinned: true }
        : spot,
    );
    project.preview((p) => ({ ...p, items: withSpots(p.items, leadId, kept) }));
  }

  function move(at: Spot, free: boolean): void {
    const doc = project.doc;
    if (one) return moveCopy(one, at);
    if (!from || !doc) return;
    const { items, at: begin, box, lines, side, others } = from;
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
    const ids = view.dragged?.itemIds ?? new Set(movedAlong(doc.items, items));
    const dragged = { itemIds: ids, azimuth: rest.azimuth - box.azimuth, slant: downMm };
    view.dragged = dragged;
    view.guides = guidesOf({ ...box, azimuth: rest.azimuth, slant: rest.slant }, rest, side, others, settings.unit);
    follow(() => {
      view.draggedInDoc = dragged;
      project.preview((p) =>
        items.reduce((now, item) => {
          const moved = moveItem(item, Math.abs(byDeg) < 1e-9 ? 0 : byDeg, downMm, doc);
          const stated = facing && item === items[0] && item.repeat.mode === 'once' && item.placement.facing !== 'faces'; // prettier-ignore
          const placement = stated ? { ...moved.placement, facing, angleDeg: 0 } : moved.placement;
          return { ...now, items: replaceItem(now.items, { ...moved, placement }) };
        }, p),
      );
    });
  }

  let wanted: (() => void) | null = null;
  let followedAt = -Infinity;
  let waits: ReturnType<typeof setTimeout> | undefined;
  /** Has the document follow: at once, or when it has had time for what came before; only the latest counts. */
  function follow(change: () => void): void {
    wanted = change;
    const left = followedAt + FOLLOWS_MS - performance.now();
    if (left <= 0) catchUp();
    else waits ??= setTimeout(catchUp, left);
  }
  function catchUp(): void {
    clearTimeout(waits);
    waits = undefined;
    const change = wanted;
    wanted = null;
    followedAt = performance.now();
    change?.();
  }

  return {
    start,
    move,
    end: () => {
      catchUp();
      followedAt = -Infinity;
      const label = one ? 'Move one' : 'Move';
      from = one = null;
      view.guides = null;
      project.settle(label);
    },
  };
}

const gap = (a: number, b: number): number => {
  const turn = a - b;
  return Math.abs(nearFront(turn));
};

function guidesOf(
  box: SnapBox,
  { held }: Snapped,
  side: RoomSide,
  others: readonly SnapOther[],
  unit: Units,
): DragGuides {
  const turn = side.closed ? nearFront(box.azimuth) : box.azimuth;
  const across = turn * side.radiusAt(box.slant);
  const front = side.closed ? 'the front' : 'the middle';
  const gaps = roomAround(box, others, side);
  return {
    box,
    lines: held.map(({ line, part }) => ({ axis: line.axis, at: line.at, text: restsOn(line, part) })),
    round:
      Math.abs(across) < 0.05
        ? `at ${front}`
        : `${formatLength(Math.abs(across), unit)} ${across > 0 ? 'right' : 'left'} of ${front}`,
    gaps: gaps.map(({ way, mm, ends }) => ({ way, ends, text: formatLength(mm, unit) })),
    room: roomWords(box, gaps, unit),
  };
}

/** What rests on what, in words. */
function restsOn(line: SnapLine, part: SnapPart): string {
  if (line.facing) return line.name;
  return `${part === 'left' || part === 'right' ? `${part} edge` : part} on ${line.name}`;
}
