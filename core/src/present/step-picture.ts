import type { Box } from '../plane/box.ts';

/** What a shape of a picture is, and so how it is drawn. */
export type ShapeRole =
  | 'sheet'
  | 'film'
  | 'ghost'
  | 'out'
  | 'tape'
  | 'slit'
  | 'air'
  | 'edge'
  | 'dimension'
  | 'arrow'
  | 'body'
  | 'handle'
  | 'pressed'
  | 'square'
  | 'line';

/** One shape of a picture: SVG path data, mm, y down. */
export interface PictureShape {
  readonly role: ShapeRole;
  readonly data: string;
  /** Its film, where it is some. */
  readonly film?: string;
}

/** Words on a picture, at a spot, mm, y down. */
export interface PictureText {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly anchor: 'start' | 'middle' | 'end';
  /** A number in a disk, or plain words. */
  readonly disk?: boolean;
}

/** A picture of a step, drawn from the geometry of the job; any view, print or file draws it. */
export interface StepPicture {
  /** mm, y down. */
  readonly box: Box;
  readonly shapes: readonly PictureShape[];
  readonly texts: readonly PictureText[];
  /** What is seen, in words. */
  readonly says: string;
}

const at = (x: number, y: number): string => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** A straight line, mm, y down. */
export const lineTo = (x1: number, y1: number, x2: number, y2: number): string => `M${at(x1, y1)}L${at(x2, y2)}`;

/** A rectangle, mm, y down. */
export const rectangle = (x: number, y: number, width: number, height: number): string =>
  `M${at(x, y)}L${at(x + width, y)}L${at(x + width, y + height)}L${at(x, y + height)}Z`;

/** An arrow with its head, as long as `head`, mm. */
export function arrow(x1: number, y1: number, x2: number, y2: number, head: number): string {
  const turn = Math.atan2(y2 - y1, x2 - x1);
  const barb = (by: number): string => at(x2 - head * Math.cos(turn + by), y2 - head * Math.sin(turn + by));
  return `${lineTo(x1, y1, x2, y2)}M${barb(0.45)}L${at(x2, y2)}L${barb(-0.45)}`;
}

/** A line with a bar across each end, as dimensions are drawn. */
export function dimension(x1: number, y1: number, x2: number, y2: number, bar: number): string {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const length = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / length) * bar, (dx / length) * bar];
  const end = (x: number, y: number): string => lineTo(x - nx, y - ny, x + nx, y + ny);
  return lineTo(x1, y1, x2, y2) + end(x1, y1) + end(x2, y2);
}

/** mm. Height of letters that are well read in a picture. */
export const letterOf = ({ minX, minY, maxX, maxY }: Box): number =>
  Math.max((maxX - minX) / 34, (maxY - minY) / 20, 0.5);
