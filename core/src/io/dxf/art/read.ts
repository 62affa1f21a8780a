import type { Drawing, DrawingColour, DrawingResult } from '../../../artwork/drawing.ts';
import { joinLines } from '../../../artwork/join-lines.ts';
import { EPSILON_MM } from '../../../numeric/tolerances.ts';
import { boxOfCoordinates, EMPTY_BOX, isEmptyBox } from '../../../plane/box.ts';
import { combine, IDENTITY, type Matrix } from '../../../plane/matrix.ts';
import { unionRings } from '../../../polygon/boolean.ts';
import type { Ring } from '../../../polygon/polygon.ts';
import { polygonArea, ringsOf } from '../../../polygon/polygon.ts';
import type { Line } from './curves.ts';
import { type Entity, isBroad, isTilted, isTurnedOver, outlinesOf } from './entities.ts';
import { type DxfRecord, numberOf, readGroups, textOf } from './groups.ts';

/** Characters of a file, points of its outlines, entities with all repeats, and blocks within blocks. */
const MOST = { characters: 30_000_000, points: 600_000, entities: 200_000, depth: 16 } as const;
/** Share of the drawing's larger side within which two ends are one corner. */
const JOIN_SHARE = 1e-5;
/** mm. Nothing that is cut is larger: such a drawing means another unit than it says. */
const LARGEST_MM = 10_000;
/** mm of one unit, by the number that the header gives. */
const UNIT_MM = new Map<number, number>([
  [1, 25.4],
  [2, 304.8],
  [3, 1_609_344],
  [4, 1],
  [5, 10],
  [6, 1000],
  [7, 1e6],
  [8, 25.4e-6],
  [9, 0.0254],
  [10, 914.4],
  [11, 1e-7],
  [12, 1e-6],
  [13, 1e-3],
  [14, 100],
  [15, 1e4],
  [16, 1e5],
  [17, 1e12],
  [21, (1200 / 3937) * 1000],
  [22, (100 / 3937) * 1000],
  [23, (3600 / 3937) * 1000],
  [24, (6_336_000 / 3937) * 1000],
]);

/** What is passed over, as the person would call it; what is not here goes by its own name. */
const CALLED = new Map([
  ['TEXT', 'words that are still type'],
  ['MTEXT', 'words that are still type'],
  ['ATTRIB', 'words that are still type'],
  ['ATTDEF', 'words that are still type'],
  ['DIMENSION', 'dimensions'],
  ['LEADER', 'leaders'],
  ['MLEADER', 'leaders'],
  ['MULTILEADER', 'leaders'],
  ['HATCH', 'fillings (outlines are taken where they are drawn)'],
  ['POINT', 'points'],
  ['IMAGE', 'pictures'],
  ['WIPEOUT', 'pictures'],
  ['3DSOLID', 'solid bodies'],
  ['BODY', 'solid bodies'],
  ['REGION', 'solid bodies'],
  ['XLINE', 'lines without end'],
  ['RAY', 'lines without end'],
]);
const SILENT = new Set(['VIEWPORT', 'SEQEND', 'VERTEX', 'ENDBLK', 'BLOCK']);

/**
 * Reads the outlines of a DXF drawing: lines, arcs, circles, ellipses, polylines with bulges, splines, faces, and blocks
 * wherever they are put, joined where their ends meet. Each layer is a colour; what is no outline, or does not close, is
 * listed.
 *
 * @param text DXF of text lines
 * @returns areas in mm about the drawing's middle, or why it was refused
 */
export function readDxfDrawing(text: string): DrawingResult {
  if (text.length > MOST.characters) return { ok: false, problem: { code: 'too-large', limit: MOST.characters } };
  if (text.startsWith('AutoCAD Binary DXF'))
    return { ok: false, problem: { code: 'not-svg', why: 'it is a binary DXF; save it as DXF text' } };
  const records = readGroups(text);
  if (!records) return { ok: false, problem: { code: 'not-svg', why: 'it is no DXF, or was cut short' } };
  const file = takeApart(records);
  const reader = new Reader(file);
  for (const entity of file.entities) {
    const problem = reader.take(entity, IDENTITY, textOf(entity, 8) ?? '0', 0);
    if (problem) return { ok: false, problem: { code: 'too-much', what: problem, limit: MOST[problem] } };
  }
  return reader.finish();
}

/** The parts of a file that are drawn from. */
interface DxfFile {
  readonly header: ReadonlyMap<string, number>;
  /** Layers that are switched off or frozen. */
  readonly hidden: ReadonlySet<string>;
  readonly blocks: ReadonlyMap<string, { readonly base: readonly [number, number]; readonly entities: Entity[] }>;
  readonly entities: readonly Entity[];
}

function takeApart(records: readonly DxfRecord[]): DxfFile {
  const header = new Map<string, number>();
  const hidden = new Set<string>();
  const blocks = new Map<string, { base: readonly [number, number]; entities: Entity[] }>();
  const entities: Entity[] = [];
  let section = '';
  let into: Entity[] | null = null;
  let vertices: DxfRecord[] | null = null;
  for (const record of records) {
    const { type } = record;
    if (type === 'SECTION') {
      section = textOf(record, 2) ?? '';
      into = section === 'ENTITIES' ? entities : null;
      vertices = null;
      if (section === 'HEADER') readHeader(record, header);
    } else if (type === 'ENDSEC' || type === 'EOF') into = vertices = null;
    else if (section === 'TABLES' && type === 'LAYER') {
      const off = numberOf(record, 62, 7) < 0 || (numberOf(record, 70) & 1) === 1;
      if (off) hidden.add(textOf(record, 2) ?? '');
    } else if (section === 'BLOCKS' && type === 'BLOCK') {
      into = [];
      vertices = null;
      blocks.set(textOf(record, 2) ?? '', { base: [numberOf(record, 10), numberOf(record, 20)], entities: into });
    } else if (section === 'BLOCKS' && type === 'ENDBLK') into = vertices = null;
    else if (type === 'VERTEX') vertices?.push(record);
    else if (type === 'SEQEND') vertices = null;
    else if (into) {
      vertices = type === 'POLYLINE' ? [] : null;
      into.push({ ...record, vertices: vertices ?? [] });
    }
  }
  return { header, hidden, blocks, entities };
}

/** Values of the header, by the name that stands before them. */
function readHeader({ groups }: DxfRecord, header: Map<string, number>): void {
  let name = '';
  for (const [code, value] of groups) {
    if (code === 9) name = value.trim();
    else if (!header.has(name) && Number.isFinite(Number(value))) header.set(name, Number(value));
  }
}

const through = ([a, b, c, d, e, f]: Matrix, line: Line): Line => {
  const out: Line = [];
  for (let i = 0; i < line.length; i += 2) {
    const [x, y] = [line[i]!, line[i + 1]!];
    out.push(a * x + c * y + e, b * x + d * y + f);
  }
  return out;
};

class Reader {
  private readonly layers = new Map<string, { colour: string; closed: Line[]; open: Line[] }>();
  private readonly leftOut = new Map<string, number>();
  private points = 0;
  private taken = 0;

  constructor(private readonly file: DxfFile) {}

  /** Takes an entity through a matrix; says what there is too much of, if anything. */
  take(entity: Entity, matrix: Matrix, layer: string, depth: number): 'points' | 'entities' | null {
    const { type } = entity;
    if (SILENT.has(type)) return null;
    if ((this.taken += 1) > MOST.entities) return 'entities';
    if (numberOf(entity, 67) === 1) return this.note('parts of a paper layout');
    if (numberOf(entity, 60) === 1 || this.file.hidden.has(layer)) return this.note('parts that are hidden');
    if (type === 'INSERT') return this.insert(entity, matrix, layer, depth);
    if (isTilted(entity) && type !== 'LINE') return this.note('parts in a tilted plane');
    const outlines = outlinesOf(entity);
    if (outlines === null) return this.note(CALLED.get(type) ?? `${type.toLowerCase().slice(0, 30)} entities`);
    if (isBroad(entity)) this.note('broad lines, taken as thin ones');
    for (const { line, closed } of outlines) {
      const placed = through(matrix, line);
      if (placed.length < 4 || !isSomewhere(placed)) {
        this.note('shapes without a size, or far away');
        continue;
      }
      this.points += placed.length / 2;
      if (this.points > MOST.points) return 'points';
      const own = this.layers.get(layer) ?? { colour: colourOf(this.layers.size), closed: [], open: [] };
      this.layers.set(layer, own);
      (closed ? own.closed : own.open).push(placed);
    }
    return null;
  }

  /** A block put where an entity says, as often as it says, turned and scaled. What is on layer 0 of it takes its layer. */
  private insert(entity: Entity, matrix: Matrix, layer: string, depth: number): 'points' | 'entities' | null {
    const block = this.file.blocks.get(textOf(entity, 2) ?? '');
    if (!block || depth >= MOST.depth) return this.note('blocks that lead nowhere');
    if (isTilted(entity)) return this.note('parts in a tilted plane');
    const angle = ((numberOf(entity, 50) % 360) * Math.PI) / 180;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const [sx, sy] = [numberOf(entity, 41, 1), numberOf(entity, 42, 1)];
    const over: Matrix = isTurnedOver(entity) ? [-1, 0, 0, 1, 0, 0] : IDENTITY;
    const [columns, rows] = [70, 71].map((code) => Math.max(1, Math.min(1000, numberOf(entity, code, 1))));
    for (let column = 0; column < columns!; column++)
      for (let row = 0; row < rows!; row++) {
        const [dx, dy] = [column * numberOf(entity, 44), row * numberOf(entity, 45)];
        const place: Matrix = [
          cos * sx,
          sin * sx,
          -sin * sy,
          cos * sy,
          numberOf(entity, 10) + cos * dx - sin * dy,
          numberOf(entity, 20) + sin * dx + cos * dy,
        ];
        const inside = combine(combine(combine(matrix, over), place), [1, 0, 0, 1, -block.base[0], -block.base[1]]);
        for (const one of block.entities) {
          const own = textOf(one, 8) ?? '0';
          const problem = this.take(one, inside, own === '0' ? layer : own, depth + 1);
          if (problem) return problem;
        }
      }
    return null;
  }

  finish(): DrawingResult {
    const layers = [...this.layers.values()];
    const box = layers
      .flatMap(({ closed, open }) => [...closed, ...open])
      .reduce((grown, ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
    if (isEmptyBox(box)) return { ok: false, problem: { code: 'empty' } };
    const larger = Math.max(box.maxX - box.minX, box.maxY - box.minY);
    const said = UNIT_MM.get(this.file.header.get('$INSUNITS') ?? 0);
    const unitSaid = said !== undefined && larger * said <= LARGEST_MM && larger * said >= 1e-3;
    const unit = unitSaid ? said : 1;
    const near = Math.max(EPSILON_MM / unit, JOIN_SHARE * larger);
    const areas = layers.map(({ colour, closed, open }) => {
      const { rings, loose } = joinLines(open, near);
      if (loose > 0)
        this.leftOut.set('lines that do not close', (this.leftOut.get('lines that do not close') ?? 0) + loose);
      const all = [...closed, ...rings].map((ring) => Float64Array.from(ring, (v) => v * unit));
      return { colour, polygons: unionRings(all, 'evenodd') };
    });
    const seen = areas.flatMap(({ polygons }) => polygons.map(({ outer }) => outer));
    const whole = seen.reduce((grown: typeof EMPTY_BOX, ring: Ring) => boxOfCoordinates(ring, grown), EMPTY_BOX);
    if (isEmptyBox(whole)) return { ok: false, problem: { code: 'empty' } };
    const [cx, cy] = [(whole.minX + whole.maxX) / 2, (whole.minY + whole.maxY) / 2];
    const colours = areas
      .filter(({ polygons }) => polygons.length > 0)
      .map(({ colour, polygons }): DrawingColour => ({
        colour,
        rings: polygons.flatMap(ringsOf).map((ring) => ring.map((v, i) => v - (i % 2 ? cy : cx))),
        areaMm2: polygons.reduce((sum, p) => sum + polygonArea(p), 0),
      }));
    const drawing: Drawing = {
      widthMm: whole.maxX - whole.minX,
      heightMm: whole.maxY - whole.minY,
      // As the layers come in the file: what comes later is drawn over what came before.
      colours,
      sheet: null,
      leftOut: [...this.leftOut].map(([what, count]) => ({ what, count })),
      unitSaid,
    };
    return { ok: true, drawing, asDrawn: null };
  }

  private note(what: string): null {
    this.leftOut.set(what, (this.leftOut.get(what) ?? 0) + 1);
    return null;
  }
}

/** Whether all of a line is somewhere, and not beyond what numbers of a drawing hold. */
const isSomewhere = (line: Line): boolean => line.every((v) => Number.isFinite(v) && Math.abs(v) < 1e12);

/** Colours that stand for layers: no two alike, none a film's. */
const colourOf = (index: number): string =>
  `#${((0x3a6ea5 + index * 0x2f4b1d) & 0xffffff).toString(16).padStart(6, '0')}`;
