import DxfParser, { type ILwpolylineEntity } from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { testFonts } from '../../../test/fonts.ts';
import { makeBlank, makeJob, mug, textItem, tumbler, wave } from '../../../test/jobs.ts';
import { ringArea } from '../../polygon/polygon.ts';
import { deriveWrap } from '../../pieces/wrap.ts';
import type { Job } from '../../model/job.ts';
import { writeTemplateDxf } from './write-template.ts';

/** The file as an independent reader sees it. */
function readBack(job: Job) {
  const derived = deriveWrap(job, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  const drawing = new DxfParser().parseSync(writeTemplateDxf(derived.wrap, job.films))!;
  const on = (layer: string): ILwpolylineEntity[] =>
    drawing.entities.filter((e) => e.layer === layer && e.type === 'LWPOLYLINE') as ILwpolylineEntity[];
  return { wrap: derived.wrap, drawing, on };
}
/** Length of an edge from its chord and bulge: sweep = 4·atan b, radius = chord/2·sin(sweep/2). */
function edgeLength(a: { x: number; y: number; bulge?: number }, b: { x: number; y: number }): number {
  const chord = Math.hypot(b.x - a.x, b.y - a.y);
  const half = 2 * Math.atan(a.bulge ?? 0);
  return Math.abs(half) < 1e-9 ? chord : (chord * Math.abs(half)) / Math.sin(Math.abs(half));
}
const lengths = (line: ILwpolylineEntity): number[] =>
  line.vertices.map((v, i) => edgeLength(v, line.vertices[(i + 1) % line.vertices.length]!));

describe('writeTemplateDxf', () => {
  it('carries the outline in millimetres with true arcs of the right lengths', () => {
    const { drawing, on } = readBack(makeJob(tumbler(), []));
    expect(drawing.header['$INSUNITS']).toBe(4);
    const [outline, ...more] = on('template');
    expect(more).toEqual([]);
    expect(outline!.shape).toBe(true);
    expect(lengths(outline!)).toEqual([214, 168, 276, 168].map((n) => expect.closeTo(n, 6) as number));
    // Seen from above, the base edge runs counter-clockwise about an apex below it, and the rim edge back.
    expect(Math.sign(outline!.vertices[0]!.bulge)).toBe(-Math.sign(outline!.vertices[2]!.bulge));
  });

  it('holds for a sector of more than half a turn and for a cup that is wider at its base', () => {
    for (const [blank, edges] of [
      [makeBlank({ girthRim: 400, girthBase: 100, side: 80 }), [100, 80, 400, 80]],
      [makeBlank({ girthRim: 210, girthBase: 248, side: 96 }), [248, 96, 210, 96]],
      [mug({ handleWidthMm: 0 }), [258, 92, 258, 92]],
    ] as const) {
      const [outline] = readBack(makeJob(blank, [])).on('template');
      expect(lengths(outline!)).toEqual(edges.map((n) => expect.closeTo(n, 6) as number));
    }
  });

  it('carries a lid with its hole, and gores side by side, without artwork that is cut for one band', () => {
    const [edge, hole] = readBack(makeJob(makeBlank({ across: 88, hole: 9, holeIn: 12 }, { kind: 'lid' }), [])).on(
      'template',
    );
    const round = (line: ILwpolylineEntity): number => lengths(line).reduce((a, b) => a + b, 0);
    expect(round(edge!)).toBeCloseTo(88 * Math.PI, 6);
    expect(round(hole!)).toBeCloseTo(9 * Math.PI, 6);
    const ball = makeBlank({ girth: 250 }, { kind: 'ball' });
    const gores = { ...ball, flattening: { ...ball.flattening, way: 'gores' as const, parts: 12 } };
    const { drawing, on } = readBack(makeJob(gores, [textItem('3')]));
    expect(on('template')).toHaveLength(12);
    const width = (line: ILwpolylineEntity): number =>
      Math.max(...line.vertices.map((v) => v.x)) - Math.min(...line.vertices.map((v) => v.x));
    expect(on('template').reduce((sum, line) => sum + width(line), 0)).toBeCloseTo(250, 0);
    expect(Object.keys(drawing.tables.layer.layers)).not.toContain('film-deep-water');
  });

  it('has a layer for each film, with every outline of its pieces and their area', () => {
    const job = makeJob(tumbler(), [wave(9), textItem('BOW', { film: 'ensign' })]);
    const { wrap, drawing, on } = readBack(job);
    expect(Object.keys(drawing.tables.layer.layers)).toEqual(
      expect.arrayContaining(['template', 'marks', 'film-deep-water', 'film-ensign']),
    );
    expect(Object.keys(drawing.tables.layer.layers)).not.toContain('film-reed');
    for (const film of ['deep-water', 'ensign']) {
      const pieces = wrap.pieces.filter((p) => p.film === film);
      const lines = on(`film-${film}`);
      expect(lines).toHaveLength(pieces.reduce((sum, p) => sum + p.paths.length, 0));
      const area = lines.reduce((sum, line) => sum + ringArea(line.vertices.flatMap((v) => [v.x, v.y])), 0);
      const want = pieces.reduce((sum, p) => sum + p.areaMm2, 0);
      // Refitted curves may stray by 0.03 mm from the points that the area was taken from.
      expect(Math.abs(area - want) / want).toBeLessThan(0.005);
    }
  });

  it('says which way is up', () => {
    const { drawing } = readBack(makeJob(tumbler(), []));
    const words = drawing.entities.filter((e) => e.type === 'TEXT').map((e) => (e as unknown as { text: string }).text);
    expect(words).toContain('rim this way (the longer arc)');
  });
});
