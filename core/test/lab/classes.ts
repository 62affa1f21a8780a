import { readFileSync } from 'node:fs';
import { reportErrors } from '../../src/measure/measured.ts';
import { solveFit } from '../../src/measure/fit-check.ts';
import { sizeBlank } from '../../src/measure/measured.ts';
import { loadFiles, CUT_WRITERS } from '../../src/io/files/cut-files.ts';
import { examineProject } from '../../src/pipeline.ts';
import { readDxfDrawing } from '../../src/io/dxf/art/read.ts';
import { writeTemplateDxf } from '../../src/io/dxf/write-template.ts';
import { writeTemplatePdf } from '../../src/io/pdf/template.ts';
import { readSvgDrawing } from '../../src/io/svg/art/read.ts';
import { writeTemplateSvg } from '../../src/io/svg/write-template.ts';
import { writeDxf } from '../../src/io/files/job-files.ts';
import { readPhotoProfile } from '../../src/measure/photo/photo-profile.ts';
import { findSilhouette } from '../../src/measure/photo/silhouette.ts';
import { breadthOf } from '../../src/polygon/inscribed.ts';
import { polygonArea } from '../../src/polygon/polygon.ts';
import { NO_TRIAL, tryOut } from '../../src/measure/what-if.ts';
import { bandCuts, bestConicBand } from '../../src/surface/conic-band.ts';
import { loopGive, neededGive, relaxedSqueeze } from '../../src/surface/film-strain.ts';
import { deriveWrap } from '../../src/pieces/wrap.ts';
import { projectOf } from '../findings.ts';
import { fontFile, testFonts } from '../fonts.ts';
import { bare, makeBlank, makeJob, plate, textItem } from '../jobs.ts';
import { photographScene } from './camera.ts';
import { drawFrom, type Draw } from './draw.ts';
import { linesOfDxf, linesOfHpgl, linesOfPathData, linesOfPdf, type Line } from './files.ts';
import { shotOf } from './photo-scenes.ts';
import { SHAPES_RELAXED } from './relaxed-shapes.ts';
import { girthOf, layOn, unroll, wrap, type Cup } from './solid.ts';

/** A class of promise: measured on as many samples as one likes, each by its number. */
export interface LabClass {
  readonly name: string;
  readonly unit: 'mm' | '%';
  readonly tolerance: number;
  /** Samples in every test run, and in the lab. */
  readonly samples: { readonly short: number; readonly long: number };
  /** How far off sample `i` is at its worst; null when it was refused with words, which is no error. */
  readonly measure: (i: number) => number | null | Promise<number | null>;
}

/** Any cup up to 58° from upright, either end wider; every third one unrolls to nearly half a circle. */
function cupOf(draw: Draw, i: number): Cup {
  const side = draw(30, 220);
  const lean = i % 3 === 0 ? 0.5 + draw(-0.004, 0.004) : Math.sin(draw(-1, 1) ** 3 * 1.01);
  const spread = 2 * Math.PI * side * lean * (draw(0, 1) < 0.5 ? -1 : 1);
  const narrow = draw(70, 420);
  return spread > 0 ? { rim: narrow + spread, base: narrow, side } : { rim: narrow, base: narrow - spread, side };
}

const blankOf = ({ rim, base, side }: Cup) => makeBlank({ girthRim: rim, girthBase: base, side }, { kind: 'tapered' });

const wrapOf = (cup: Cup) => {
  const derived = deriveWrap(makeJob(blankOf(cup), []), testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return derived.wrap;
};

/** How far an outline, y up and anywhere on its sheet, is from that of a cup: off its edges and its ends, mm. */
function offOutline(cup: Cup, line: Line): number {
  const xs = line.map(([x]) => x);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  // Rim and base cross the middle; of the two crossings the upper is the front of the rim edge.
  const crossings = line.flatMap(([x, y], i) => {
    const [px, py] = line[(i + line.length - 1) % line.length]!;
    const [a, b] = [px - middle, x - middle];
    return a * b < 0 || a === 0 ? [py + ((y - py) * a) / (a - b)] : [];
  });
  const front = Math.max(...crossings);
  let worst = 0;
  for (const [x, y] of line) {
    const spot = wrap(cup, [x - middle, y - front]);
    const ends = (Math.abs(Math.abs(spot.azimuth) - Math.PI) / (2 * Math.PI)) * girthOf(cup, spot.slant);
    worst = Math.max(worst, Math.min(Math.abs(spot.slant), Math.abs(spot.slant - cup.side), ends));
  }
  return worst;
}

/** Area with its sign, by the shoelace. */
const turnedArea = (line: Line): number =>
  line.reduce((sum, [x, y], i) => {
    const [px, py] = line[(i + line.length - 1) % line.length]!;
    return sum + (px * y - x * py) / 2;
  }, 0);

const FONT = fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff');
const up = (line: Line): Line => line.map(([x, y]) => [x, -y]);
/** The outline among frames and marks: it alone is round. */
const roundest = (lines: readonly Line[]): Line => lines.reduce((a, b) => (b.length > a.length ? b : a));

/** A cup with things on it, its films of some thickness. */
function madeOf(draw: Draw, letters: boolean) {
  const side = draw(80, 150);
  const lean = Math.sin((draw(-12, 12) * Math.PI) / 180);
  const base = draw(180, 300);
  const cup: Cup = { rim: base + 2 * Math.PI * side * lean, base, side };
  const placement = { facing: 'front' as const, angleDeg: 0, from: 'middle' as const, mm: draw(-10, 10), turnDeg: 0 };
  const item = letters
    ? textItem('BOW', { size: { by: 'cap', mm: draw(8, 20) }, running: 'round', placement })
    : plate('one', draw(20, 60), draw(8, 25), { running: 'round', placement });
  const thick = draw(0.04, 0.2);
  const job = makeJob(blankOf(cup), [item]);
  const project = {
    ...projectOf({ ...job, films: job.films.map((film) => ({ ...film, thicknessMm: thick })) }, 'long'),
  };
  const examined = examineProject(project, testFonts);
  if (!examined.ok) throw new Error(examined.problem.code);
  const files = loadFiles(project, examined.cut, examined.sheet, undefined, [
    CUT_WRITERS.svg,
    writeDxf,
    CUT_WRITERS.hpgl,
  ]);
  const text = (ending: string): string => files.find(({ name }) => name.endsWith(ending))!.content as string;
  const svg = text('.svg');
  const [a, b, c, d, e, f] = /data-to-template="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number) as [number, number, number, number, number, number]; // prettier-ignore
  const high = Number(/viewBox="0 0 [\d.]+ ([\d.]+)"/.exec(svg)![1]);
  const back = ([x, y]: readonly [number, number]): [number, number] => [a * x + c * y + e, b * x + d * y + f];
  const down = (lines: readonly Line[]): Line[] => lines.map((line) => line.map(([x, y]): [number, number] => [x, high - y])); // prettier-ignore
  const written = [
    [...svg.matchAll(/<path [^>]*d="([^"]+)"/g)].flatMap(([, data]) => linesOfPathData(data!)),
    down(linesOfDxf(text('.dxf')).map(({ line }) => line)),
    down(linesOfHpgl(text('.hpgl'))),
  ];
  const film: Cup = { ...cup, rim: cup.rim + Math.PI * thick, base: cup.base + Math.PI * thick };
  const spots = written.map((lines) => lines.map((line) => line.map((p) => wrap(film, back(p)))));
  return { film, item, placed: examined.wrap.placed[0]!, spots, svg, text, written };
}

export const LAB_CLASSES: readonly LabClass[] = [
  {
    name: 'template.svg: edges and ends on the cup',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 60, long: 1500 },
    measure: (i) => {
      const cup = cupOf(drawFrom(i), i);
      const data = /id="outline" d="([^"]+)"/.exec(writeTemplateSvg(wrapOf(cup), [], 'lab'))![1]!;
      return offOutline(cup, up(linesOfPathData(data)[0]!));
    },
  },
  {
    name: 'template.dxf: the same',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 40, long: 800 },
    measure: (i) => {
      const cup = cupOf(drawFrom(i), i);
      const lines = linesOfDxf(writeTemplateDxf(wrapOf(cup), [])).filter(({ layer }) => layer === 'template');
      return offOutline(cup, lines[0]!.line);
    },
  },
  {
    name: 'template.pdf: the same',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 8, long: 120 },
    measure: async (i) => {
      const cup = cupOf(drawFrom(i), i);
      const print = { wrap: wrapOf(cup), films: [], title: 'lab', paper: 'a4', unit: 'mm', withPieces: false, font: FONT } as const; // prettier-ignore
      return offOutline(cup, roundest(linesOfPdf(await writeTemplatePdf(print))[0]!));
    },
  },
  {
    name: 'cut files, SVG, DXF and HPGL: plates where they were put, each film at its middle',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 20, long: 300 },
    measure: (i) => {
      const { film, item, placed, spots } = madeOf(drawFrom(i), false);
      const half = { w: (item as { widthMm: number }).widthMm / 2, h: placed.own.acrossMm / 2 };
      const reach = (half.w * 2 * Math.PI) / girthOf(film, placed.slant);
      let worst = 0;
      for (const { azimuth, slant } of spots.flat(2)) {
        const aside = ((Math.abs(azimuth) - reach) / (2 * Math.PI)) * girthOf(film, slant);
        worst = Math.max(worst, Math.min(Math.abs(aside), Math.abs(Math.abs(slant - placed.slant) - half.h)));
      }
      return worst;
    },
  },
  {
    name: 'cut files: letters, point by point',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 4, long: 46 },
    measure: (i) => {
      const { film, placed, spots } = madeOf(drawFrom(i + 1000), true);
      const rings = placed.groups.flat();
      let worst = 0;
      for (const { azimuth, slant } of spots.slice(0, 2).flat(2)) {
        const per = girthOf(film, slant) / (2 * Math.PI);
        let least = Infinity;
        for (const ring of rings)
          for (let k = 0, n = ring.length; k < n; k += 2) {
            const [ax, ay] = [(ring[k]! - azimuth) * per, ring[k + 1]! - slant];
            const [bx, by] = [(ring[(k + 2) % n]! - azimuth) * per, ring[(k + 3) % n]! - slant];
            const [dx, dy] = [bx - ax, by - ay];
            const t = Math.max(0, Math.min(1, -(ax * dx + ay * dy) / (dx * dx + dy * dy || 1)));
            least = Math.min(least, Math.hypot(ax + t * dx, ay + t * dy));
          }
        worst = Math.max(worst, least);
      }
      return worst;
    },
  },
  {
    name: 'own cut files brought in again: area',
    unit: '%',
    tolerance: 0.1,
    samples: { short: 4, long: 60 },
    measure: (i) => {
      const { svg, text, written } = madeOf(drawFrom(i + 2000), i % 2 === 0);
      const read = [readSvgDrawing(svg), readDxfDrawing(text('.dxf'))];
      return Math.max(
        ...read.map((one, k) => {
          if (!one.ok) return Infinity;
          // Holes turn the other way than what they are in.
          const area = Math.abs(written[k]!.reduce((sum, line) => sum + turnedArea(line), 0));
          return 100 * Math.abs(one.drawing.colours.reduce((sum, c) => sum + c.areaMm2, 0) / area - 1);
        }),
      );
    },
  },
  {
    name: 'a band on other films: its ends meet',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 12, long: 150 },
    measure: (i) => {
      const draw = drawFrom(i + 3000);
      const [girth, thin, thick] = [draw(180, 320), draw(0.04, 0.1), draw(0.1, 0.25)];
      const band = (id: string, film: string, mm: number) =>
        plate(id, 50, 12, { film, running: 'round', repeat: { mode: 'joined', count: 6 }, placement: { facing: 'front', angleDeg: 0, from: 'rim', mm, turnDeg: 0 } }); // prettier-ignore
      const on = i % 2 === 0;
      const job = makeJob(makeBlank({ girthRim: girth, side: 90 }), [band('a', 'deep-water', 20), band('b', 'ensign', on ? 20 : 50)]); // prettier-ignore
      const films = job.films.map((film) => ({ ...film, thicknessMm: film.id === 'ensign' ? thick : thin }));
      const derived = deriveWrap({ ...job, films }, testFonts);
      if (!derived.ok) throw new Error(derived.problem.code);
      const piece = derived.wrap.pieces.find((one) => one.film === 'ensign')!;
      // On film it runs round at girth and twice what lies below, with half of its own.
      return Math.abs(piece.flatBox.maxX - piece.flatBox.minX - girth - Math.PI * (thick + (on ? 2 * thin : 0)));
    },
  },
  {
    name: 'paper fit check: sizes from what another cup shows',
    unit: 'mm',
    tolerance: 0.05,
    samples: { short: 40, long: 400 },
    measure: (i) => {
      const draw = drawFrom(i + 4000);
      const base = draw(180, 320);
      const side = draw(70, 160);
      const made: Cup = { rim: base + 2 * Math.PI * side * draw(-0.2, 0.2), base, side };
      const truth: Cup = { rim: made.rim + draw(-4, 4), base: base + draw(-4, 4), side: side + draw(-2, 2) };
      const paper = (cup: Cup): Cup => ({ ...cup, rim: cup.rim + Math.PI * 0.1, base: cup.base + Math.PI * 0.1 });
      const { gapRim, gapBase, front } = layOn(paper(made), paper(truth));
      const seen = { gapRimMm: gapRim, gapBaseMm: gapBase, standMm: front };
      const solved = solveFit({ girthRim: made.rim, girthBase: made.base, side: made.side }, seen, false);
      if (!solved.ok) return Infinity;
      const { after } = solved;
      return Math.max(Math.abs(after.girthRim - truth.rim), Math.abs(after.girthBase - truth.base), Math.abs(after.side - truth.side)); // prettier-ignore
    },
  },
  {
    name: 'error report: gaps and drift that reading errors make',
    unit: 'mm',
    tolerance: 0.01,
    samples: { short: 40, long: 400 },
    measure: (i) => {
      const cup = cupOf(drawFrom(i + 5000), i + 1);
      const readings = { girthRim: bare(cup.rim), girthBase: bare(cup.base), side: bare(cup.side, 'ruler') };
      const blank = makeBlank({}, { kind: 'tapered', readings });
      const sized = sizeBlank(blank);
      if (!sized.ok) return null;
      const said = reportErrors(blank, sized.size);
      const sigma = { rim: 0.7, base: 0.7, side: 0.5 };
      const seen = (['rim', 'base', 'side'] as const).map((key) => {
        const [more, less] = [0.004, -0.004].map((by) => layOn({ ...cup, [key]: cup[key] + by }, cup));
        const per = (of: 'gapRim' | 'gapBase' | 'front' | 'back'): number =>
          ((more![of] - less![of]) / 0.008) * sigma[key];
        return { rim: per('gapRim'), base: per('gapBase'), front: per('front'), climb: per('back') - per('front') };
      });
      const all = (of: keyof (typeof seen)[number]): number => Math.hypot(...seen.map((one) => one[of]));
      // Against the size of what is told: of a gap of several millimetres nobody asks for hundredths.
      const off = (mm: number, of: keyof (typeof seen)[number]): number =>
        Math.abs(mm - all(of)) / Math.max(1, all(of));
      return Math.max(off(said.gapRim, 'rim'), off(said.gapBase, 'base'), off(said.driftFront, 'front'), off(said.driftBack, 'climb')); // prettier-ignore
    },
  },
  {
    name: 'what if: the step that is told and drawn, turned about the rim edge',
    unit: 'mm',
    tolerance: 0.02,
    samples: { short: 30, long: 300 },
    measure: (i) => {
      const draw = drawFrom(i + 6000);
      const cup = cupOf(draw, i + 1);
      const tiltMm = draw(-2, 2);
      const cone = { girthRim: cup.rim, girthBase: cup.base, side: cup.side };
      const out = tryOut(cone, { ...NO_TRIAL, tiltMm })!;
      const angle = Math.atan(tiltMm / 100);
      const turned = (azimuth: number): number => {
        const [x, y] = unroll(cup, { azimuth, slant: 0 });
        const at: [number, number] = [
          x * Math.cos(angle) - y * Math.sin(angle),
          x * Math.sin(angle) + y * Math.cos(angle),
        ];
        return wrap(cup, at).slant;
      };
      const step = turned(-Math.PI) - turned(Math.PI);
      const drawn = out.layAt(-Math.PI, 0)!.slant - out.layAt(Math.PI, 0)!.slant;
      return Math.max(Math.abs(out.stepMm - step), Math.abs(drawn - step));
    },
  },
  {
    name: 'several bands: worst strain against the best cuts of a fine grid',
    unit: '%',
    tolerance: 2,
    samples: { short: 3, long: 40 },
    measure: (i) => {
      const draw = drawFrom(i + 7000);
      const [at, wide, high] = [draw(20, 80), draw(12, 40), draw(20, 90)];
      const girthAt = (slant: number): number => 260 + high * Math.exp(-(((slant - at) / wide) ** 2)) + 0.4 * slant;
      const give = { stretch: 0.015, squeeze: 0.005 };
      const loadOf = (cuts: readonly number[]): number =>
        Math.max(...cuts.slice(1).map((to, k) => bestConicBand(girthAt, [cuts[k]!, to], give).load));
      let best = Infinity;
      for (let a = 4; a < 96; a += 4)
        for (let b = a + 4; b < 100; b += 4) best = Math.min(best, loadOf([0, a, b, 100]));
      return 100 * Math.max(0, loadOf(bandCuts(girthAt, [0, 100], give, 3)) / best - 1);
    },
  },
  {
    name: 'film on a ball against one relaxed by finite elements: plain shapes and rings',
    unit: '%',
    tolerance: 18,
    samples: { short: 7, long: 7 },
    measure: (i) => forecastOff(i, false),
  },
  {
    name: 'the same where inner corners are sharp: outside of what is said',
    unit: '%',
    tolerance: 18,
    samples: { short: 4, long: 4 },
    measure: (i) => forecastOff(i, true),
  },
  {
    name: 'photographs by another camera: girth, or refused',
    unit: '%',
    tolerance: 1.5,
    samples: { short: 6, long: 130 },
    measure: (i) => {
      // The short run takes the hard kinds: shine, a handle, a shadow, from above, a mirror.
      const { scene, view } = shotOf(i < 6 ? [1, 3, 4, 9, 11, 12][i]! : i);
      const found = findSilhouette(photographScene(scene, view), { axis: null });
      if (!found.ok) return null;
      const scale = { by: 'girth', mm: 2 * Math.PI * scene.radiusAt(scene.height / 2), at: 0.5 } as const;
      const read = readPhotoProfile(found.silhouette, { scale, cameraMm: view.far, band: [0.06, 0.94], count: 9 });
      if (!read) return null;
      return 100 * Math.max(...read.map(({ at, girth }) => Math.abs(girth / (2 * Math.PI * scene.radiusAt(at * scene.height)) - 1))); // prettier-ignore
    },
  },
];

/**
 * How far a forecast is from film relaxed by finite elements, kept in `relaxed.json` by `scripts/relax-shapes.ts`: of plain
 * shapes what is pushed together at the edge, of rings stretch and squeeze together. At inner corners up to half as much
 * again is said: there it is how far the film lies outside of what is said.
 */
function forecastOff(i: number, corners: boolean): number | null {
  const shape = SHAPES_RELAXED.filter((one) => one.corners === corners)[i];
  if (!shape) return null;
  const kept = JSON.parse(readFileSync(new URL('./relaxed.json', import.meta.url), 'utf8')) as {
    [name: string]: { radius: number; squeeze: number; range: number };
  };
  const { radius, squeeze, range } = kept[shape.name]!;
  const gaussian = 1 / radius ** 2;
  const polygon = shape.polygon();
  const breadth = breadthOf(polygon, 0.4);
  if (polygon.holes.length > 0) {
    const [net, whole] = [polygonArea(polygon), polygonArea({ outer: polygon.outer, holes: [] })];
    const needed = Math.max(neededGive(gaussian, breadth), loopGive(gaussian, net, whole - net));
    return 100 * Math.abs(needed / range - 1);
  }
  const forecast = relaxedSqueeze(gaussian, breadth);
  if (!corners) return 100 * Math.abs(forecast / squeeze - 1);
  return 100 * Math.max(0, forecast / squeeze - 1, squeeze / (1.5 * forecast) - 1);
}
