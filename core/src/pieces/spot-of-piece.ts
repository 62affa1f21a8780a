import type { PanelFrame } from '../seam/panel-frame.ts';
import type { Piece } from './pieces.ts';

/** A spot of a piece on the side, and how its flat is turned there. */
export interface SpotOfPiece {
  /** rad round, mm down. */
  readonly azimuth: number;
  readonly slant: number;
  /** rad, counter-clockwise as seen from outside, by which the flat has to be turned to stand upright there. */
  readonly askew: number;
}

/** Where a spot of a piece's flat, mm, lies on the side; null off the map of its panel. */
export function spotOf(
  frames: readonly PanelFrame[],
  piece: Pick<Piece, 'part' | 'azimuths' | 'slants'>,
  x: number,
  y: number,
): SpotOfPiece | null {
  const { part, azimuths, slants } = piece;
  const holds = (frame: PanelFrame): boolean => frame.part === part;
  const frame =
    frames.find(holds) ?? nearestFrame(frames, (azimuths[0] + azimuths[1]) / 2, (slants[0] + slants[1]) / 2);
  const spot = frame?.inverse(x, y);
  if (!frame || !spot) return null;
  const [a, b] = [new Float64Array(2), new Float64Array(2)];
  frame.forwardInto(spot.azimuth, spot.slant - STEP_MM, a);
  frame.forwardInto(spot.azimuth, spot.slant + STEP_MM, b);
  return { ...spot, askew: -Math.PI / 2 - Math.atan2(b[1]! - a[1]!, b[0]! - a[0]!) };
}

/** mm over which it is seen which way is down on a flat. */
const STEP_MM = 0.5;

/** What is laid by itself lies on the panel that its middle is on. */
function nearestFrame(frames: readonly PanelFrame[], azimuth: number, slant: number): PanelFrame | undefined {
  const on = frames.filter(({ slant: [from, to] }) => slant >= from && slant <= to);
  return (on.length > 0 ? on : frames).find(({ left, right }) => {
    if (!left || !right) return true;
    return [-1, 0, 1].some((turn) => {
      const a = azimuth + 2 * Math.PI * turn;
      return a >= Math.min(...left.azimuths) && a <= Math.max(...right.azimuths);
    });
  });
}
