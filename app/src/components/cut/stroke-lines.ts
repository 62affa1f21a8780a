/** Outlines as SVG path data; y down from the far edge of the board. */
export const linesData = (lines: readonly (readonly number[])[], boardWidth: number): string =>
  lines.map((line) => lineData(line, boardWidth)).join('');

function lineData(line: readonly number[], boardWidth: number): string {
  let data = '';
  for (let i = 0; i < line.length; i += 2)
    data += `${i === 0 ? 'M' : 'L'}${line[i]!.toFixed(2)} ${(boardWidth - line[i + 1]!).toFixed(2)}`;
  return data;
}

/**
 * The beginning of some outlines, as far as they are cut.
 *
 * @param lines x and y in mm, in cutting order
 * @param mm that are cut
 */
export function cutSoFar(lines: readonly (readonly number[])[], mm: number): number[][] {
  const done: number[][] = [];
  let left = mm;
  for (const line of lines) {
    if (left <= 0) break;
    const part = [line[0]!, line[1]!];
    for (let i = 2; i < line.length && left > 0; i += 2) {
      const [ax, ay, bx, by] = [line[i - 2]!, line[i - 1]!, line[i]!, line[i + 1]!];
      const length = Math.hypot(bx - ax, by - ay);
      const t = length > 0 ? Math.min(1, left / length) : 1;
      part.push(ax + (bx - ax) * t, ay + (by - ay) * t);
      left -= length;
    }
    done.push(part);
  }
  return done;
}

/** A part where it lies on the board, as SVG path data; y down from the far edge. */
export function partData(
  {
    rings,
    matrix: [a, b, c, d, e, f],
  }: {
    readonly rings: readonly Float64Array[];
    readonly matrix: readonly [number, number, number, number, number, number];
  },
  boardWidth: number,
): string {
  const moved = rings.map((ring) =>
    Array.from(ring, (v, i) => (i % 2 === 0 ? a * v + c * ring[i + 1]! + e : b * ring[i - 1]! + d * v + f)),
  );
  return moved.map((line) => `${linesData([line], boardWidth)}Z`).join('');
}
