import type { Blank, ReadingName } from '../model/blank.ts';
import type { DrawnSolid } from './drawn.ts';
import { FOOT_MM, rowAt, slantAtHeight } from './drawn.ts';

/** A reading that is being asked for: by its name, or one of a station. */
export type Asked = ReadingName | { readonly station: number; readonly what: 'girth' | 'down' };

/** Where a reading's tape lies: round at a distance along the side, or along something straight. */
export type TapePlace =
  | { readonly lies: 'round'; readonly slant: number; readonly hang: 'below' | 'above' | 'middle' }
  | { readonly lies: 'down'; readonly from: number; readonly to: number }
  | { readonly lies: 'upright' }
  | { readonly lies: 'over' }
  | { readonly lies: 'flat'; readonly x: readonly [number, number]; readonly y: readonly [number, number] }
  /** Level at a height, from left to right; held before the thing, mm from its axis, or laid over it. */
  | { readonly lies: 'across'; readonly height: number; readonly before: number | null; readonly half: number };

/** Heights are counted from the first one; where they are not read yet, the tape lies where the next would be. */
export function tapeOnStations(asked: Exclude<Asked, string>, blank: Blank, drawn: DrawnSolid): TapePlace {
  const downs = blank.stations.map(({ down }, i) =>
    i === 0 ? 0 : down.takes.length > 0 ? down.takes.reduce((sum, t) => sum + t.mm, 0) / down.takes.length : null,
  );
  const first = downs[0] ?? 0;
  const rim = Math.max(1, blank.bandBelowRimMm);
  const from = drawn.rows[0]![0] + rim;
  const whole = drawn.side + drawn.above + drawn.below - rim - FOOT_MM;
  const down = downs[asked.station] ?? null;
  const along = down === null ? (whole * asked.station) / Math.max(1, blank.stations.length - 1) : down - first;
  const slant = from + Math.min(whole, blank.stationsAlong === 'upright' ? slantDown(drawn, from, along) : along);
  if (asked.what === 'girth') return { lies: 'round', slant, hang: asked.station === 0 ? 'below' : 'middle' };
  return { lies: 'down', from, to: slant };
}

/** Distance along the side that lies an upright distance below the first height. */
const slantDown = ({ rows }: DrawnSolid, from: number, down: number): number =>
  slantAtHeight(rows, rowAt(rows, from)[2] - down) - from;
