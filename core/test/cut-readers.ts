import DxfParser from 'dxf-parser';
import { flattenPath } from '../src/plane/flatten.ts';
import { parsePathData } from '../src/plane/path-data.ts';

/** A line as its points, mm. */
export type Line = [number, number][];

/** What a cutter does on reading HPGL: the lines that it draws with its pen down, mm. */
export function runHpgl(text: string): { lines: Line[]; pens: number[] } {
  const lines: Line[] = [];
  const pens: number[] = [];
  let at: [number, number] = [0, 0];
  for (const command of text
    .split(';')
    .map((c) => c.trim())
    .filter(Boolean)) {
    const numbers = command.slice(2).split(',').filter(Boolean).map(Number);
    if (command.startsWith('SP')) pens.push(numbers[0]!);
    if (!/^P[UD]/.test(command)) continue;
    const down = command.startsWith('PD');
    if (down) lines.push([at]);
    for (let i = 0; i < numbers.length; i += 2) {
      at = [numbers[i]! / 40, numbers[i + 1]! / 40];
      if (down) lines.at(-1)!.push(at);
    }
  }
  return { lines, pens };
}

/** Lines of a DXF as another program reads it, its arcs as many points. */
export function runDxf(text: string): Line[] {
  const read = new DxfParser().parseSync(text)!;
  return read.entities.map((entity) => {
    const { vertices, shape } = entity as unknown as {
      vertices: { x: number; y: number; bulge?: number }[];
      shape: boolean;
    };
    const all = shape ? [...vertices, vertices[0]!] : vertices;
    return all.flatMap((v, i): Line => {
      const next = all[i + 1];
      if (!next || !v.bulge) return [[v.x, v.y]];
      // sagitta = bulge · half the chord, to the right of the way for a counter-clockwise arc.
      const sweep = 4 * Math.atan(v.bulge);
      const [dx, dy] = [next.x - v.x, next.y - v.y];
      const radius = Math.hypot(dx, dy) / 2 / Math.sin(sweep / 2);
      const heading = Math.atan2(dy, dx) - sweep / 2;
      const [cx, cy] = [v.x - radius * Math.sin(heading), v.y + radius * Math.cos(heading)];
      return Array.from({ length: 32 }, (_, k): [number, number] => {
        const a = heading + (sweep * k) / 32;
        return [cx + radius * Math.sin(a), cy - radius * Math.cos(a)];
      });
    });
  });
}

/** Lines of an SVG cut file: its paths, y turned up again by the height that it says. */
export function runSvg(text: string): Line[] {
  const height = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(text)![1]);
  return [...text.matchAll(/<path [^>]*d="([^"]+)"/g)].flatMap(([, data]) =>
    parsePathData(data!).map((path) => {
      const points = flattenPath(path, 0.002);
      const line: Line = [];
      // The reader turns y up about 0.
      for (let i = 0; i < points.length; i += 2) line.push([points[i]!, points[i + 1]! + height]);
      if (path.closed) line.push(line[0]!);
      return line;
    }),
  );
}
