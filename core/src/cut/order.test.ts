import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { writeCutSvg } from '../io/svg/write-cut.ts';
import { boardById } from '../load/boards.ts';
import { planJob } from '../load/job-sheet.ts';
import { planLoads } from '../load/load.ts';
import { STARTING_FILMS } from '../material/film.ts';
import { boxOfCoordinates } from '../plane/box.ts';
import { pathLength } from '../plane/path-length.ts';
import { pathFromRing } from '../plane/path.ts';
import { cutPieces } from './order.ts';

const box = (x: number, y: number, w: number): number[] => [x, y, x + w, y, x + w, y + w, x, y + w];
const piece = (id: string, ...rings: number[][]) => ({
  id,
  film: 'reed',
  part: '',
  paths: rings.map(pathFromRing),
  flat: { outer: Float64Array.from(rings[0]!), holes: rings.slice(1).map((r) => Float64Array.from(r)) },
  flatBox: boxOfCoordinates(rings[0]!),
  areaMm2: 100,
});

describe('cutPieces', () => {
  const plate = piece('o', box(0, 0, 20), box(5, 5, 4));
  const strip = planLoads([{ film: 'reed', part: '', box: plate.flatBox }], boardById('square')).loads[0]!.strips[0]!;

  it('cuts counters before the outline round them', () => {
    const [cut] = cutPieces([plate], strip.parts[0]!);
    expect(cut!.paths.map(pathLength)).toEqual([16, 80]);
  });

  it('goes to the nearest next', () => {
    const order = cutPieces(
      [piece('far', box(200, 0, 5)), piece('near', box(1, 1, 5)), piece('mid', box(90, 0, 5))],
      strip.parts[0]!,
    );
    expect(order.map((p) => p.pieceId)).toEqual(['near', 'mid', 'far']);
  });

  it('writes a matrix that leads from the file back to the template', () => {
    const cut = cutPieces([plate], strip.parts[0]!);
    const cuts = { film: STARTING_FILMS[3]!, strip, pieces: cut };
    const svg = writeCutSvg([cuts], 1, boardById('square'), 'Oars & <paddles>');
    expect(svg).toContain('width="295mm" height="290mm" viewBox="0 0 295 290"');
    expect(svg).toContain('<title>Oars &amp; &lt;paddles&gt;</title>');
    const [a, b, c, d, e, f] = /data-to-template="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number);
    const start = / d="M(\S+) ([^LC]+)/.exec(svg)!;
    const [X, Y] = [Number(start[1]), Number(start[2])];
    // The counter is cut first and starts at (5, 5) on the template.
    expect(a! * X + c! * Y + e!).toBeCloseTo(5, 3);
    expect(b! * X + d! * Y + f!).toBeCloseTo(5, 3);
  });
});

describe('the way between pieces', () => {
  const laid = { part: '', turned: false, matrix: [1, 0, 0, 1, 0, 0] } as const;
  /** mm from the load corner to the first piece and on from each to the next. */
  const wayOf = (at: readonly { x: number; y: number }[]): number =>
    at.reduce((sum, p, i) => sum + Math.hypot(p.x - (at[i - 1]?.x ?? 0), p.y - (at[i - 1]?.y ?? 0)), 0);
  const starts = (places: readonly (readonly [number, number])[]): { x: number; y: number }[] =>
    cutPieces(
      places.map(([x, y], i) => piece(String(i), box(x, y, 1))),
      laid,
    ).map((cut) => cut.paths[0]!.start);

  it('is turned round where going to the nearest next leaves one behind', () => {
    // From 0 the nearest next are 3, −4 and 12: 3 + 7 + 16. By −4 first it is 4 + 7 + 9.
    const way = starts([[3, 0], [-4, 0], [12, 0]]); // prettier-ignore
    expect(way.map(({ x }) => x)).toEqual([-4, 3, 12]);
    expect(wayOf(way)).toBe(20);
  });

  it('is never longer than by the nearest next, and with few pieces seldom far from the shortest there is', () => {
    const spot = fc.tuple(fc.integer({ min: 0, max: 280 }), fc.integer({ min: 0, max: 280 }));
    const shares: number[] = [];
    fc.assert(
      fc.property(fc.uniqueArray(spot, { minLength: 3, maxLength: 7, selector: String }), (places) => {
        const ours = wayOf(starts(places));
        const left = places.map(([x, y]) => ({ x, y }));
        const nearest: { x: number; y: number }[] = [];
        for (let at = { x: 0, y: 0 }; left.length > 0; at = nearest.at(-1)!) {
          const away = left.map((p) => Math.hypot(p.x - at.x, p.y - at.y));
          nearest.push(left.splice(away.indexOf(Math.min(...away)), 1)[0]!);
        }
        expect(ours).toBeLessThanOrEqual(wayOf(nearest) + 1e-9);
        const orders = (rest: { x: number; y: number }[]): { x: number; y: number }[][] =>
          rest.length === 0 ? [[]] : rest.flatMap((p, i) => orders(rest.toSpliced(i, 1)).map((tail) => [p, ...tail]));
        shares.push(ours / Math.min(...orders(nearest).map(wayOf)));
      }),
      { numRuns: 60 },
    );
    expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeLessThan(1.06);
  });
});

describe('planJob', () => {
  it('counts pieces, counters, cutting and use per film, in the order of the stack', () => {
    const pieces = [piece('o', box(0, 0, 20), box(5, 5, 4)), { ...piece('x', box(0, 0, 30)), film: 'ensign' }];
    const sheet = planJob(pieces, STARTING_FILMS, boardById('square'));
    expect(sheet.needs.map((n) => [n.film.id, n.pieces, n.counters, n.cutMm])).toEqual([
      ['reed', 1, 1, 96],
      ['ensign', 1, 0, 120],
    ]);
    // Strips of 26 × 26 and 36 × 36 mm carry 100 mm² each.
    expect(sheet.use).toBeCloseTo(200 / (26 * 26 + 36 * 36), 12);
    // 216 mm at 40 mm/s and three lifts of a second.
    expect(planJob([], STARTING_FILMS, boardById('square'))).toMatchObject({ needs: [], use: 0 });
  });
});
