/**
 * An independent reading of written files: SVG paths to points, and points back onto the cone by the closed-form annular
 * sector. Shares no code with the app.
 */
export interface SurfaceSpot {
  /** rad from the front. */
  readonly azimuth: number;
  /** mm down the side. */
  readonly slant: number;
}

type Point = [number, number];

/** Points of absolute M, L, C, A, Z path data; curves sampled finely, arcs by their centre. */
export function pathPoints(data: string): Point[] {
  const points: Point[] = [];
  let at: Point = [0, 0];
  for (const [, command, rest] of data.matchAll(/([MLCAZ])([^MLCAZ]*)/g)) {
    const n = (rest ?? '')
      .trim()
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (command === 'Z') continue;
    if (command === 'M' || command === 'L') at = [n[0]!, n[1]!];
    else if (command === 'C') {
      const [x0, y0] = at;
      for (let i = 1; i <= 24; i++) {
        const t = i / 24;
        const s = 1 - t;
        const mix = (a: number, b: number, c: number, d: number): number =>
          s ** 3 * a + 3 * s * s * t * b + 3 * s * t * t * c + t ** 3 * d;
        points.push([mix(x0, n[0]!, n[2]!, n[4]!), mix(y0, n[1]!, n[3]!, n[5]!)]);
      }
      at = [n[4]!, n[5]!];
    } else at = [n[5]!, n[6]!];
    points.push(at);
  }
  return points;
}

/** Length of every arc in path data: radius times the angle its chord spans. */
export function arcLengths(data: string): number[] {
  const lengths: number[] = [];
  let at: Point = [0, 0];
  for (const [, command, rest] of data.matchAll(/([MLCAZ])([^MLCAZ]*)/g)) {
    const n = (rest ?? '')
      .trim()
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (command === 'A') {
      const half = Math.asin(Math.hypot(n[5]! - at[0], n[6]! - at[1]) / (2 * n[0]!));
      lengths.push(n[0]! * (n[3] === 1 ? 2 * Math.PI - 2 * half : 2 * half));
    }
    if (n.length >= 2) at = [n.at(-2)!, n.at(-1)!];
  }
  return lengths;
}

/** `d` of every path in an SVG, with the value of an attribute of the group. */
export const pathsIn = (svg: string): string[] => [...svg.matchAll(/ d="([^"]+)"/g)].map((m) => m[1]!);

/** What is cut of each film in each load, out of the cut files of a job. */
export function cutFilms(files: {
  readonly [name: string]: Uint8Array;
}): { film: string; load: number; svg: string }[] {
  return Object.entries(files).flatMap(([name, bytes]) => {
    const load = /^load-(\d+)\.svg$/.exec(name)?.[1];
    if (load === undefined) return [];
    const groups = new TextDecoder().decode(bytes).matchAll(/^ {2}<g id="film-([^"]+)"[\s\S]*?^ {2}<\/g>/gm);
    return [...groups].map(([svg, film]) => ({ film: film!, load: Number(load), svg }));
  });
}

/** A cut file part by part: each with the matrix that leads back to its own template. A file of one part is itself. */
export function partsOf(svg: string): { part: string; svg: string }[] {
  const groups = [...svg.matchAll(/<g data-part="([^"]*)"[\s\S]*?<\/g>/g)].map(([group, part]) => ({
    part: part!,
    svg: group,
  }));
  return groups.length > 0 ? groups : [{ part: / data-part="([^"]*)"/.exec(svg)?.[1] ?? '', svg }];
}

/** File coordinates → flat template (mm, y up), by the matrix that the cut file states. */
export function toTemplate(svg: string, [x, y]: Point): Point {
  const [a, b, c, d, e, f] = /data-to-template="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return [a * x + c * y + e, b * x + d * y + f];
}

/** Flat template → cone, by the annular sector of the girths and the side. */
export function rewrap([x, y]: Point, girthRim: number, girthBase: number, side: number): SurfaceSpot {
  const k = (girthRim - girthBase) / (2 * Math.PI * side);
  const apex = girthRim / (2 * Math.PI * k);
  return { azimuth: Math.atan2(x, apex + y) / k, slant: apex - Math.hypot(x, apex + y) };
}

/** Vertices of every polyline on a layer of a DXF file, mm; bulges are left out. */
export function dxfVertices(dxf: string, layer: string): Point[][] {
  const lines = dxf.split(/\r?\n/).map((line) => line.trim());
  const found: Point[][] = [];
  let at: { layer: string; points: Point[] } | null = null;
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code, value] = [lines[i]!, lines[i + 1]!];
    if (code === '0') {
      if (at?.layer === layer) found.push(at.points);
      at = value === 'LWPOLYLINE' ? { layer: '', points: [] } : null;
    } else if (at && code === '8') at.layer = value;
    else if (at && code === '10') at.points.push([Number(value), 0]);
    else if (at && code === '20') at.points.at(-1)![1] = Number(value);
  }
  return found;
}
