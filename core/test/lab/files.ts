import { inflateSync } from 'node:zlib';

/**
 * Readers of written files that share no code with the writers: path data, PDF drawing, DXF polylines and pen movements, each
 * as lines of points. y is as the file has it.
 */
export type Line = [number, number][];

/** rad between the points of an arc, which are no more than a millimetre apart either. */
const FINE = Math.PI / 360;

/** Absolute path data with M, L, C, A and Z, as SVG counts: y downwards. */
export function linesOfPathData(data: string): Line[] {
  const lines: Line[] = [];
  let at: [number, number] = [0, 0];
  for (const [, command, rest] of data.matchAll(/([MLCAZ])([^MLCAZ]*)/g)) {
    const n = (rest!.match(/-?[\d.]+/g) ?? []).map(Number);
    const line = lines.at(-1);
    if (command === 'M') lines.push([(at = [n[0]!, n[1]!])]);
    else if (command === 'L') line!.push((at = [n[0]!, n[1]!]));
    else if (command === 'C') {
      const start = at;
      for (let i = 1; i <= 40; i++) line!.push(bezier(start, n, i / 40));
      at = [n[4]!, n[5]!];
    } else if (command === 'A') {
      line!.push(...arc(at, [n[5]!, n[6]!], n[0]!, n[3] === 1, n[4] === 1));
      at = [n[5]!, n[6]!];
    } else if (line) line.push((at = line[0]!));
  }
  return lines;
}

function bezier([x, y]: readonly [number, number], n: readonly number[], t: number): [number, number] {
  const s = 1 - t;
  const mix = (a: number, b: number, c: number, d: number): number =>
    s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
  return [mix(x, n[0]!, n[2]!, n[4]!), mix(y, n[1]!, n[3]!, n[5]!)];
}

/** Centre by the perpendicular bisector; the side of it by the two flags, for y downwards. */
function arc(
  a: readonly [number, number],
  b: readonly [number, number],
  r: number,
  large: boolean,
  sweep: boolean,
): Line {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const chord = Math.hypot(dx, dy);
  // A file whose radius does not reach has its arc enlarged by those who read it: that is measured too.
  const radius = Math.max(r, chord / 2);
  const rise = Math.sqrt(Math.max(0, radius * radius - (chord * chord) / 4)) * (large === sweep ? -1 : 1);
  const centre = [(a[0] + b[0]) / 2 - (rise * dy) / chord, (a[1] + b[1]) / 2 + (rise * dx) / chord] as const;
  const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
  let turn = Math.atan2(b[1] - centre[1], b[0] - centre[0]) - from;
  if (sweep && turn < 0) turn += 2 * Math.PI;
  if (!sweep && turn > 0) turn -= 2 * Math.PI;
  const steps = Math.max(1, Math.ceil(Math.abs(turn) / FINE), Math.ceil(Math.abs(turn) * radius));
  return Array.from({ length: steps }, (_, i): [number, number] => {
    const angle = from + (turn * (i + 1)) / steps;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });
}

/** What is drawn on each page of a PDF, mm, y up. */
export function linesOfPdf(bytes: Uint8Array): Line[][] {
  const raw = Buffer.from(bytes);
  const pages: Line[][] = [];
  for (let at = raw.indexOf('stream'); at >= 0; at = raw.indexOf('stream', at + 6)) {
    if (raw.subarray(at - 3, at).toString('latin1') === 'end') continue;
    const start = at + (raw[at + 6] === 13 ? 8 : 7);
    const end = raw.indexOf('endstream', start);
    let text: string;
    try {
      text = inflateSync(raw.subarray(start, end)).toString('latin1');
    } catch {
      continue;
    }
    if (/(^|\n)[-\d.]+ [-\d.]+ m\n/.test(text)) pages.push(drawnBy(text));
  }
  return pages;
}

function drawnBy(text: string): Line[] {
  const MM = 25.4 / 72;
  const lines: Line[] = [];
  let matrix = [1, 0, 0, 1, 0, 0];
  const kept: number[][] = [];
  let stack: number[] = [];
  let at: [number, number] = [0, 0];
  let begun: [number, number] = [0, 0];
  const place = (x: number, y: number): [number, number] => {
    const [a, b, c, d, e, f] = matrix as [number, number, number, number, number, number];
    return [(a * x + c * y + e) * MM, (b * x + d * y + f) * MM];
  };
  for (const word of text.split(/\s+/)) {
    const value = Number(word);
    if (word !== '' && Number.isFinite(value)) {
      stack.push(value);
      continue;
    }
    const n = stack;
    if (word === 'q') kept.push([...matrix]);
    else if (word === 'Q') matrix = kept.pop() ?? [1, 0, 0, 1, 0, 0];
    else if (word === 'cm') {
      const [a, b, c, d, e, f] = matrix as [number, number, number, number, number, number];
      const [p, q, r, s, t, u] = n as [number, number, number, number, number, number];
      matrix = [a * p + c * q, b * p + d * q, a * r + c * s, b * r + d * s, a * t + c * u + e, b * t + d * u + f];
    } else if (word === 'm') {
      at = begun = [n[0]!, n[1]!];
      lines.push([place(...at)]);
    } else if (word === 'l') lines.at(-1)!.push(place(...(at = [n[0]!, n[1]!])));
    else if (word === 'c') {
      const start = at;
      for (let i = 1; i <= 40; i++) lines.at(-1)!.push(place(...bezier(start, n, i / 40)));
      at = [n[4]!, n[5]!];
    } else if (word === 'h') lines.at(-1)!.push(place(...(at = begun)));
    stack = [];
  }
  return lines;
}

/** Polylines of a DXF with their bulges, mm, y up; by layer. */
export function linesOfDxf(text: string): { layer: string; line: Line }[] {
  const rows = text.split(/\r?\n/);
  const out: { layer: string; line: Line }[] = [];
  let current: { layer: string; closed: boolean; spots: [number, number, number][] } | null = null;
  const finish = (): void => {
    if (!current) return;
    const { layer, closed, spots } = current;
    const line: Line = [];
    spots.forEach(([x, y, bulge], i) => {
      line.push([x, y]);
      const next = spots[i + 1] ?? (closed ? spots[0] : undefined);
      if (!next || bulge === 0) return;
      const sweep = 4 * Math.atan(bulge);
      const chord = Math.hypot(next[0] - x, next[1] - y);
      const radius = chord / 2 / Math.sin(Math.abs(sweep) / 2);
      // In a frame that counts y upwards, counter-clockwise is the flag's other value.
      line.push(...arc([x, y], [next[0], next[1]], radius, Math.abs(sweep) > Math.PI, sweep > 0));
    });
    if (closed && line.length > 0) line.push(line[0]!);
    out.push({ layer, line });
    current = null;
  };
  for (let i = 0; i + 1 < rows.length; i += 2) {
    const [code, value] = [Number(rows[i]), rows[i + 1]!.trim()];
    if (code === 0) {
      finish();
      if (value === 'LWPOLYLINE') current = { layer: '', closed: false, spots: [] };
    } else if (!current) continue;
    else if (code === 8) current.layer = value;
    else if (code === 70) current.closed = (Number(value) & 1) === 1;
    else if (code === 10) current.spots.push([Number(value), 0, 0]);
    else if (code === 20) current.spots.at(-1)![1] = Number(value);
    else if (code === 42) current.spots.at(-1)![2] = Number(value);
  }
  finish();
  return out;
}

/** What a pen draws, mm, y up. */
export function linesOfHpgl(text: string): Line[] {
  const lines: Line[] = [];
  let at: [number, number] = [0, 0];
  for (const said of text.split(';').map((one) => one.trim())) {
    const n = (said.slice(2).match(/-?\d+/g) ?? []).map(Number);
    if (said.startsWith('PD')) lines.push([at]);
    if (!/^P[UD]/.test(said)) continue;
    for (let i = 0; i + 1 < n.length; i += 2) {
      at = [n[i]! / 40, n[i + 1]! / 40];
      if (said.startsWith('PD')) lines.at(-1)!.push(at);
    }
  }
  return lines;
}
