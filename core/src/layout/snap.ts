import { type Hand } from '../model/job.ts';
import { nearFront, TURN } from '../numeric/angle.ts';
import { EPSILON_MM } from '../numeric/tolerances.ts';
import { azimuthOfFacing } from './place.ts';

/** Which part of an item comes to rest on a line. */
export type SnapPart = 'middle' | 'left' | 'right' | 'top' | 'bottom';

/** A line on the side that dragged things come to rest on. */
export interface SnapLine {
  /** `round`: a meridian, `at` is its azimuth; `down`: a level, `at` is its slant in mm. */
  readonly axis: 'round' | 'down';
  readonly at: number;
  /** The parts that rest on it. */
  readonly parts: readonly SnapPart[];
  /** What it is, in a few words. */
  readonly name: string;
  /** The facing that its meridian is. */
  readonly facing?: 'front' | 'drinker' | 'room';
  /** Whether it counts for less: it belongs to another item, or only tells where a glance ends. */
  readonly lesser?: boolean;
}

/** An item on the side, as far as lines hang on it: its middle, and its size in mm. */
export interface SnapBox {
  readonly azimuth: number;
  readonly slant: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Another item that things come to rest beside. */
export interface SnapOther extends SnapBox {
  readonly name: string;
  /** A band all round has no sides to rest against. */
  readonly allRound: boolean;
}

/** The side that things are dragged over. */
export interface SnapSide {
  readonly side: number;
  /** mm. Radius at a slant, by which millimetres round are azimuths there. */
  readonly radiusAt: (slant: number) => number;
  readonly closed: boolean;
  readonly hasHandle: boolean;
  readonly hand: Hand;
  /** mm from the rim edge and from the base edge that film keeps clear of. */
  readonly rim: number;
  readonly base: number;
  /** Half-angle of one glance, rad; null on a face. */
  readonly glance: number | null;
}

/** Share of the reach by which a line of the blank is preferred to one that counts for less. */
const BLANK_FIRST = 0.6;

/** Where a dragged item comes to rest. */
export interface Snapped {
  readonly azimuth: number;
  readonly slant: number;
  /** The lines that hold it, at most one each way. */
  readonly held: readonly { readonly line: SnapLine; readonly part: SnapPart }[];
}

const ACROSS: readonly SnapPart[] = ['middle', 'left', 'right'];
const DOWN: readonly SnapPart[] = ['middle', 'top', 'bottom'];

/**
 * The lines that things come to rest on: rim, middle and base of the band, the front and the faces, the edges of one
 * glance, and middles and edges of the other items. Where lines coincide the first is meant.
 *
 * @param side the side
 * @param others every copy of the other items, with its name
 */
export function snapLines(side: SnapSide, others: readonly SnapOther[]): SnapLine[] {
  const down = (at: number, parts: readonly SnapPart[], name: string): SnapLine => ({ axis: 'down', at, parts, name });
  const round = (at: number, parts: readonly SnapPart[], name: string): SnapLine => ({
    axis: 'round',
    at,
    parts,
    name,
  });
  const lines: SnapLine[] = [
    ...(side.rim > 0 ? [down(side.rim, ['top'], 'rim line')] : []),
    down(0, ['top'], side.closed ? 'rim edge' : 'upper edge'),
    down(side.side / 2, ['middle'], side.closed ? 'middle of the band' : 'middle'),
    down(side.side / 3, ['middle'], 'upper third'),
    down((2 * side.side) / 3, ['middle'], 'lower third'),
    ...(side.base > 0 ? [down(side.side - side.base, ['bottom'], 'base line')] : []),
    down(side.side, ['bottom'], side.closed ? 'base edge' : 'lower edge'),
    {
      ...round(0, ['middle'], side.hasHandle ? 'opposite the handle' : side.closed ? 'front' : 'middle'),
      facing: 'front',
    },
  ];
  if (side.hasHandle)
    for (const facing of ['drinker', 'room'] as const)
      lines.push({
        ...round(azimuthOfFacing(facing, 0, side.hand), ['middle'], `facing the ${facing}`),
        facing,
      });
  if (side.closed && side.glance !== null)
    lines.push(
      { ...round(-side.glance, ['left'], 'edge of one glance'), lesser: true },
      { ...round(side.glance, ['right'], 'edge of one glance'), lesser: true },
    );
  for (const { name, azimuth, slant, widthMm, heightMm, allRound } of others) {
    const half = widthMm / 2 / side.radiusAt(slant);
    const own = [
      down(slant, ['middle'], `middle of ${name}`),
      down(slant - heightMm / 2, ['top', 'bottom'], `top of ${name}`),
      down(slant + heightMm / 2, ['bottom', 'top'], `bottom of ${name}`),
    ];
    if (!allRound)
      own.push(
        round(azimuth, ['middle'], `middle of ${name}`),
        round(azimuth - half, ['left', 'right'], `left of ${name}`),
        round(azimuth + half, ['right', 'left'], `right of ${name}`),
      );
    lines.push(...own.map((line) => ({ ...line, lesser: true })));
  }
  return [...lines, ...betweenLines(side, others)];
}

/** Half-way between two things, or between one and the zone above or below it: as far from the one as from the other. */
function betweenLines(
  { side, rim, base, closed, hasHandle, radiusAt }: SnapSide,
  others: readonly SnapOther[],
): SnapLine[] {
  const line = (axis: SnapLine['axis'], at: number, a: string, b: string): SnapLine => ({ axis, at, parts: ['middle'], name: `same distance to ${a} and ${b}`, lesser: true }); // prettier-ignore
  const levels = others.flatMap(({ name, slant, heightMm }) => [
    line('down', (rim + slant - heightMm / 2) / 2, 'the rim line', name),
    line('down', (side - base + slant + heightMm / 2) / 2, name, 'the base line'),
  ]);
  const half = ({ widthMm, slant }: SnapOther): number => widthMm / 2 / radiusAt(slant);
  const row = others.filter((o) => !o.allRound).sort((a, b) => a.azimuth - b.azimuth);
  const pairs = row.slice(1).map((b, i) => [row[i]!, b, b.azimuth] as const);
  // Without a handle in the way the last and the first are neighbours too.
  const first = row[0];
  if (closed && !hasHandle && first && row.length > 1) pairs.push([row.at(-1)!, first, first.azimuth + TURN]);
  return [
    ...levels,
    ...pairs.map(([a, b, at]) => line('round', nearFront((a.azimuth + half(a) + at - half(b)) / 2), a.name, b.name)),
  ];
}

/**
 * Brings a dragged item to rest on the nearest lines within reach, one round and one down.
 *
 * @param box the item where the hand has it
 * @param lines what it may rest on
 * @param side radius, and whether the way round closes
 * @param reach mm
 */
export function snapTo(
  box: SnapBox,
  lines: readonly SnapLine[],
  { radiusAt, closed }: Pick<SnapSide, 'radiusAt' | 'closed'>,
  reach: number,
): Snapped {
  const radius = radiusAt(box.slant);
  const best: Record<SnapLine['axis'], { line: SnapLine; part: SnapPart; by: number; cost: number } | null> = {
    round: null,
    down: null,
  };
  for (const line of lines)
    for (const part of line.axis === 'round' ? ACROSS : DOWN) {
      if (!line.parts.includes(part)) continue;
      const by =
        line.axis === 'down'
          ? line.at - levelOf(box, part)
          : radius * turnTo(line.at, meridianOf(box, part, radius), closed);
      const cost = Math.abs(by) + (line.lesser ? BLANK_FIRST * reach : 0);
      if (Math.abs(by) <= reach && cost < (best[line.axis]?.cost ?? Infinity) - EPSILON_MM)
        best[line.axis] = { line, part, by, cost };
    }
  return {
    azimuth: box.azimuth + (best.round?.by ?? 0) / radius,
    slant: box.slant + (best.down?.by ?? 0),
    held: [best.round, best.down].flatMap((one) => (one ? [{ line: one.line, part: one.part }] : [])),
  };
}

const levelOf = ({ slant, heightMm }: SnapBox, part: SnapPart): number =>
  slant + (part === 'top' ? -heightMm / 2 : part === 'bottom' ? heightMm / 2 : 0);
const meridianOf = ({ azimuth, widthMm }: SnapBox, part: SnapPart, radius: number): number =>
  azimuth + ((part === 'left' ? -1 : part === 'right' ? 1 : 0) * widthMm) / 2 / radius;

/** How far to turn from one azimuth to another, the shorter way where the side closes. */
function turnTo(to: number, from: number, closed: boolean): number {
  const turn = to - from;
  return closed ? nearFront(turn) : turn;
}
