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

/** What is drawn with each pen in turn. */
export function hpglPens(text: string): { pen: number; lines: Line[] }[] {
  return text
    .split(/^(?=SP)/m)
    .map((part) => ({ pen: Number(/^SP(\d+)/.exec(part)?.[1] ?? 0), lines: runHpgl(part).lines }))
    .filter(({ pen }) => pen > 0);
}

/** Layers that a DXF draws on, in order. */
export const dxfLayers = (text: string): string[] => [
  ...new Set(new DxfParser().parseSync(text)!.entities.map(({ layer }) => layer)),
];

/** Lines of a DXF as another program reads it, its arcs as many points; of one layer, or all. */
export function runDxf(text: string, layer?: string): Line[] {
  const read = new DxfParser().parseSync(text)!;
  return read.entities
    .filter((entity) => layer === undefined || entity.layer === layer)
    .map((entity) => {
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
export function runSvg(text: string, height = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(text)![1])): Line[] {
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

/** Lines of each film of an SVG cut file, by the id of its group. */
export function svgFilms(text: string): Record<string, Line[]> {
  const height = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(text)![1]);
  const groups = [...text.matchAll(/^ {2}<g id="([^"]+)"[\s\S]*?^ {2}<\/g>/gm)];
  return Object.fromEntries(groups.map(([group, id]) => [id!, runSvg(group, height)]));
}
