import type { CutterPace } from '../model/board.ts';
import { flattenPath } from '../plane/flatten.ts';
import type { CutPiece } from './order.ts';
import type { WayTotals } from './pace.ts';
import { totalsOf, USUAL_PACE, wayOfHead } from './pace.ts';

/** How far the blade goes for some outlines, and how long that takes; about, since every cutter has its own pace. */
export function cutTime(pieces: readonly CutPiece[], pace: CutterPace = USUAL_PACE): WayTotals {
  const strokes = pieces
    .flatMap(({ paths }) => paths)
    .map((path) => {
      const points = flattenPath(path, 0.05);
      return { pen: 1, points: path.closed ? Float64Array.from([...points, points[0]!, points[1]!]) : points };
    });
  return totalsOf(wayOfHead(strokes, pace));
}
