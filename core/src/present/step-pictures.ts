import { facesOf, figuresOf, TAPE_MARGIN_MM } from '../bench/facts.ts';
import type { Thing } from '../bench/job-facts.ts';
import { layingStyle, type LayingStyle } from '../bench/laying-style.ts';
import type { BenchStep } from '../bench/step.ts';
import { layerOf } from '../layers/layer.ts';
import { rimLineOf } from '../measure/zones.ts';
import { formatLength, formatRange, formatSize, type Units } from '../measure/length.ts';
import type { Habits } from '../model/habits.ts';
import type { Blank } from '../model/blank.ts';
import type { Project } from '../model/project.ts';
import type { Piece } from '../pieces/pieces.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { Examined, PieceAir } from '../pipeline.ts';
import { type Box, boxCentre, boxHeight, boxOfCoordinates, boxWidth, EMPTY_BOX, joinBoxes } from '../plane/box.ts';
import { nearestOnRing } from '../plane/nearest-on-ring.ts';
import { pathData } from '../plane/path-text.ts';
import type { Ring } from '../polygon/polygon.ts';
import { eyeDistance } from '../surface/foreshortening.ts';
import { eyeView } from './eye-view.ts';
import { ringsData } from './rings-data.ts';
import { arrow, dimension, letterOf, lineTo, rectangle, type PictureShape, type PictureText, type StepPicture } from './step-picture.ts'; // prettier-ignore

/** What pictures of a job are drawn from. */
export interface PictureInput {
  readonly project: Project;
  readonly examined: Extract<Examined, { ok: true }>;
  readonly unit: Units;
  readonly habits: Habits;
}

/** One thing with its pieces, on what it is made. */
interface Drawn {
  readonly blank: Blank;
  readonly wrap: Wrap;
  readonly pieces: readonly Piece[];
  readonly input: PictureInput;
  readonly step: BenchStep;
}

/** mm. How far away a blank is looked at. */
const GLANCE_MM = 500;
/** Counters that are numbered one by one. */
const NUMBERED = 60;
/** mm. Rows of counters are as high as this at least. */
const ROW_MM = 6;

/**
 * The pictures of a step on one thing: one, or the few of a short loop; empty where there is nothing to draw.
 *
 * @param thing the one it is about; null for the first, or the job itself
 */
export function stepPictures(step: BenchStep, thing: Thing | null, input: PictureInput): StepPicture[] {
  const { project, examined } = input;
  const id =
    thing?.row ?? (examined.things.find((one) => one.id === step.things[0]) ?? examined.things[0])?.row ?? null;
  const make = examined.batch.find(({ row }) => row.id === id);
  const wrap = make?.wrap ?? make?.on?.wrap ?? examined.wrap;
  const pieces = (make?.pieces ?? examined.wrap.pieces).filter((piece) => !piece.spare);
  if (pieces.length === 0) return [];
  return PICTURES[step.kind]?.({ blank: make?.on?.blank ?? project.blank, wrap, pieces, input, step }) ?? [];
}

/** Kinds whose pictures are worth their room on paper, and which of them. */
const PRINTED: { readonly [kind in BenchStep['kind']]?: number } = {
  'place-film': 0,
  weed: 0,
  tape: 0,
  slit: 0,
  stack: 1,
  mark: 0,
  aim: 0,
  seam: 0,
};

/** The one picture of a step that is printed; null where paper is better left to words. */
export function printedPicture(step: BenchStep, input: PictureInput): StepPicture | null {
  const nth = PRINTED[step.kind];
  return nth === undefined ? null : (stepPictures(step, null, input)[nth] ?? null);
}

const PICTURES: { readonly [kind in BenchStep['kind']]?: (drawn: Drawn) => StepPicture[] } = {
  'place-film': boardPicture,
  weed: weedPictures,
  tape: tapePicture,
  slit: slitPicture,
  stack: stackPictures,
  prepare: (drawn) => seenPicture(drawn, []),
  clean: (drawn) => seenPicture(drawn, []),
  mark: markPicture,
  aim: aimPicture,
  lay: layPictures,
  seam: seamPicture,
  'tape-off': tapeOffPicture,
  'cover-rest': (drawn) => seenPicture(drawn),
  strip: (drawn) => seenPicture(drawn),
  etch: (drawn) => seenPicture(drawn),
  blast: (drawn) => seenPicture(drawn),
  paint: (drawn) => seenPicture(drawn),
  peel: (drawn) => seenPicture(drawn),
  seal: (drawn) => seenPicture(drawn),
  cure: (drawn) => seenPicture(drawn),
};

const around = (box: Box, by: number): Box => ({ minX: box.minX - by, minY: box.minY - by, maxX: box.maxX + by, maxY: box.maxY + by }); // prettier-ignore
/** A box with y up as one with y down. */
const flipped = ({ minX, minY, maxX, maxY }: Box): Box => ({ minX, minY: -maxY, maxX, maxY: -minY });
const boxOf = (pieces: readonly Piece[]): Box =>
  flipped(pieces.reduce((box, piece) => joinBoxes(box, piece.flatBox), EMPTY_BOX));
const onFlat = (pieces: readonly Piece[], role: PictureShape['role']): PictureShape[] =>
  pieces.map((piece) => ({ role, film: piece.film, data: piece.paths.map((path) => pathData(path)).join('') }));
const ownPart = (pieces: readonly Piece[]): Piece[] => pieces.filter(({ part }) => part === pieces[0]!.part);
const ofLayer = ({ pieces, step }: Drawn): Piece[] =>
  step.layer === null ? [...pieces] : pieces.filter((piece) => layerOf(piece) === step.layer);

/** Middle of a ring, mm, y down. */
function middleOf(ring: Ring): { readonly x: number; readonly y: number } {
  const box = boxOfCoordinates(ring);
  return { x: (box.minX + box.maxX) / 2, y: -(box.minY + box.maxY) / 2 };
}

/** Holes in the order in which they are taken out: row by row, from the left. */
export function weedingOrder(pieces: readonly Piece[]): Ring[] {
  const holes = pieces.flatMap(({ flat }) => flat.holes);
  const row = (ring: Ring): number => Math.round(middleOf(ring).y / ROW_MM);
  return [...holes].sort((a, b) => row(a) - row(b) || middleOf(a).x - middleOf(b).x);
}

/** Counters numbered in the order in which they come out; from the back it is all mirrored. */
function weedPictures(drawn: Drawn): StepPicture[] {
  const { step, input } = drawn;
  const own = ofLayer(drawn);
  if (own.length === 0) return [];
  const reverse = step.list.length > 0;
  const pieces = own;
  const inner = boxOf(pieces);
  const box = around(inner, 0.06 * Math.max(boxWidth(inner), boxHeight(inner)) + 6);
  const letter = letterOf(box);
  const holes = weedingOrder(pieces);
  const masked = input.project.process !== 'decal';
  const numbers = holes.slice(0, NUMBERED).map((ring, i): PictureText => ({ ...middleOf(ring), text: String(i + 1), anchor: 'middle', disk: true })); // prettier-ignore
  const mirror = (picture: StepPicture): StepPicture => (reverse ? mirrored(picture) : picture);
  const ground: PictureShape[] = [{ role: 'sheet', data: rectangle(box.minX, box.minY, boxWidth(box), boxHeight(box)) }]; // prettier-ignore
  // Without arcs, so that it can be mirrored.
  const film = pieces.map((piece): PictureShape => ({ role: 'film', film: piece.film, data: ringsData([piece.flat.outer, ...piece.flat.holes]) })); // prettier-ignore
  const out: PictureShape[] = holes.map((ring) => ({ role: 'out', data: ringsData([ring]) }));
  const pull: PictureShape = { role: 'arrow', data: arrow(box.maxX - letter, box.maxY - letter, box.maxX - 5 * letter, box.maxY - 4 * letter, 1.2 * letter) }; // prettier-ignore
  const stays = masked && holes.length > 0 ? ', the film round them stays' : '';
  const first: StepPicture = {
    box,
    shapes: [...ground, ...film, ...out],
    texts: numbers,
    says: holes.length > 0 ? `${masked ? 'Openings' : 'Counters'} come out in this order: ${holes.length}${stays}` : 'What stays', // prettier-ignore
  };
  const last: StepPicture = { box, shapes: [...ground, ...film, pull], texts: [], says: 'Then the ground, low and slow from a corner' }; // prettier-ignore
  const order = input.habits.weeding === 'ground first' ? [last, first] : [first, last];
  return (holes.length > 0 ? order : [last]).map(mirror);
}

/** A picture as it is seen from the other side. */
function mirrored(picture: StepPicture): StepPicture {
  const flip = (data: string): string => data.replace(/([ML])(-?[\d.]+) /g, (_, letter: string, x: string) => `${letter}${(-Number(x)).toFixed(2)} `); // prettier-ignore
  const { minX, maxX, minY, maxY } = picture.box;
  return {
    ...picture,
    box: { minX: -maxX, maxX: -minX, minY, maxY },
    shapes: picture.shapes.map((shape) => ({ ...shape, data: flip(shape.data) })),
    texts: picture.texts.map((text) => ({ ...text, x: -text.x })),
    says: `${picture.says}; seen from the sticky side, mirrored`,
  };
}

/** The sheet of tape over its film, with both of its sizes. */
function tapePicture(drawn: Drawn): StepPicture[] {
  const { input, step } = drawn;
  const own = ownPart(ofLayer(drawn));
  if (own.length === 0) return [];
  const film = boxOf(own);
  const sheet = around(film, TAPE_MARGIN_MM);
  const box = around(sheet, 0.1 * Math.max(boxWidth(sheet), boxHeight(sheet)) + 4);
  const letter = letterOf(box);
  const say = (mm: number): string => formatLength(mm, input.unit);
  const [width, height] = [boxWidth(sheet), boxHeight(sheet)];
  return [
    {
      box,
      shapes: [
        ...onFlat(own, 'film'),
        { role: 'tape', data: rectangle(sheet.minX, sheet.minY, width, height) },
        { role: 'dimension', data: dimension(sheet.minX, sheet.maxY + 1.2 * letter, sheet.maxX, sheet.maxY + 1.2 * letter, 0.5 * letter) }, // prettier-ignore
        { role: 'dimension', data: dimension(sheet.maxX + 1.2 * letter, sheet.minY, sheet.maxX + 1.2 * letter, sheet.maxY, 0.5 * letter) }, // prettier-ignore
      ],
      texts: [
        { x: (sheet.minX + sheet.maxX) / 2, y: sheet.maxY + 2.6 * letter, text: say(width), anchor: 'middle' },
        { x: sheet.maxX + 0.6 * letter, y: (sheet.minY + sheet.maxY) / 2, text: say(height), anchor: 'end' },
      ],
      says: `Tape of ${formatSize(width, height, input.unit)} over the film${(step.numbers.count ?? 1) > 1 ? ', one of several' : ''}`,
    },
  ];
}

/** Where tape is slit, numbered, and how deep. */
function slitPicture({ wrap, pieces, input }: Drawn): StepPicture[] {
  const slits = wrap.tape.flatMap((sheet) => sheet.slits);
  if (slits.length === 0) return [];
  const ends = slits.reduce((box, { from, to }) => joinBoxes(box, { minX: Math.min(from.x, to.x), maxX: Math.max(from.x, to.x), minY: Math.min(from.y, to.y), maxY: Math.max(from.y, to.y) }), EMPTY_BOX); // prettier-ignore
  const all = joinBoxes(flipped(ends), boxOf(pieces));
  const box = around(all, 0.08 * Math.max(boxWidth(all), boxHeight(all)) + 4);
  const depths = slits.map(({ from, to }) => Math.hypot(to.x - from.x, to.y - from.y));
  const [least, most] = [Math.min(...depths), Math.max(...depths)];
  const deep = most - least < 0.5 ? formatLength(most, input.unit) : formatRange(least, most, input.unit);
  return [
    {
      box,
      shapes: [
        ...onFlat(pieces, 'film'),
        ...slits.map(({ from, to }): PictureShape => ({ role: 'slit', data: lineTo(from.x, -from.y, to.x, -to.y) })),
      ],
      texts: slits.slice(0, NUMBERED).map(({ from, to }, i): PictureText => ({ x: from.x + 0.12 * (from.x - to.x), y: -from.y - 0.12 * (from.y - to.y), text: String(i + 1), anchor: 'middle', disk: true })), // prettier-ignore
      says: `${slits.length} slits, ${deep} deep, from the edge of the tape inwards`,
    },
  ];
}

/** A layer above those that lie already: apart, with squares over squares, then down. */
function stackPictures(drawn: Drawn): StepPicture[] {
  const { pieces, step, input } = drawn;
  const layers = drawn.wrap.layers.filter((layer) => pieces.some((piece) => layerOf(piece) === layer));
  const at = layers.indexOf(step.layer ?? '');
  if (at < 0) return [];
  const upward = input.habits.building === 'one tape' && step.title.startsWith('Take up');
  const lying = pieces.filter((piece) => (upward ? layers.indexOf(layerOf(piece)) > at : layers.indexOf(layerOf(piece)) < at)); // prettier-ignore
  const own = ofLayer(drawn);
  const marks = input.examined.cut.filter((piece) => piece.mark && piece.part === own[0]?.part);
  const squares = (of: (layer: string) => boolean): PictureShape[] =>
    marks.filter((mark) => of(layerOf(mark))).map(({ paths }) => ({ role: 'square', data: paths.map((path) => pathData(path)).join('') })); // prettier-ignore
  const all = boxOf([...lying, ...own]);
  const lift = 0.35 * boxHeight(all) + 8;
  const box = around({ ...all, minY: all.minY - lift }, 8);
  const lower = [...onFlat(lying, 'film'), ...squares((layer) => layer !== step.layer)];
  const raised = onFlat(own, 'film').map((shape) => ({ ...shape, data: shifted(shape.data, -lift) }));
  const raisedSquares = squares((layer) => layer === step.layer).map((shape) => ({ ...shape, data: shifted(shape.data, -lift) })); // prettier-ignore
  const letter = letterOf(box);
  const x = (all.minX + all.maxX) / 2;
  const down: PictureShape = { role: 'arrow', data: arrow(x, all.minY - lift * 0.1, x, all.minY + lift * 0.35, 1.2 * letter) }; // prettier-ignore
  const down2: StepPicture = {
    box,
    shapes: [...lower, ...onFlat(own, 'film')],
    texts: [],
    says: 'Pressed down, rubbed',
  };
  return [
    { box, shapes: lower, texts: [], says: 'What lies already' },
    { box, shapes: [...lower, ...raised, ...raisedSquares, down], texts: [], says: marks.length > 0 ? 'The next layer comes over it, squares on squares' : 'The next layer comes over it' }, // prettier-ignore
    down2,
  ];
}

/** Path data moved down, mm. */
const shifted = (data: string, dy: number): string =>
  data.replace(/([MLAQC])([^MLAQCZ]*)/g, (_, letter: string, numbers: string) => {
    const values = numbers.trim().split(/[\s,]+/).map(Number); // prettier-ignore
    const y = letter === 'A' ? (i: number): boolean => i % 7 === 6 : (i: number): boolean => i % 2 === 1;
    return letter + values.map((value, i) => (y(i) ? value + dy : value)).join(' ');
  });

/** The blank as it is seen from a side, with what lies on it. */
function seenFrom({ blank, wrap }: Drawn, azimuth: number, pieces: readonly Piece[]) {
  return eyeView({ blank }, { ...wrap, pieces: [...pieces] }, { azimuth, distance: eyeDistance(wrap.meanRadius, GLANCE_MM) }); // prettier-ignore
}
function seenShapes(seen: NonNullable<ReturnType<typeof eyeView>>, role: 'film' | 'ghost' = 'film'): PictureShape[] {
  return [
    ...(seen.handle ? [{ role: 'handle' as const, data: ringsData([seen.handle]) }] : []),
    { role: 'body', data: ringsData([seen.body]) },
    ...seen.pieces.map(({ film, rings }): PictureShape => ({ role, film, data: ringsData(rings) })),
    ...seen.lines.map((ring): PictureShape => ({ role: 'line', data: ringsData([ring]).replace(/Z$/, '') })),
  ];
}
/** The side on which the middle of all film lies. */
const mainSide = (pieces: readonly Piece[]): number => facesOf(pieces)[0]?.azimuth ?? figuresOf(pieces)[0]?.azimuth ?? 0; // prettier-ignore

function seenPicture(drawn: Drawn, pieces = drawn.pieces): StepPicture[] {
  const seen = seenFrom(drawn, mainSide(drawn.pieces), pieces);
  if (!seen) return [];
  return [{ box: around(flipped(seen.box), 8), shapes: seenShapes(seen), texts: [], says: 'The blank, from the side that one works on' }]; // prettier-ignore
}

/** The mark on the blank, seen from the side that one works on: how far below the rim, how far round from the handle. */
function markPicture(drawn: Drawn): StepPicture[] {
  const { step, pieces, blank, wrap, input } = drawn;
  const whole = pieces.filter((piece) => !piece.byItself);
  const faces = facesOf(whole);
  const nth = Number(/-(\d+)$/.exec(step.id)?.[1] ?? 1) - 1;
  const { topBelowRimMm: top, middleBelowRimMm: middle, roundFromHandleMm: round } = step.numbers;
  const azimuth = middle === undefined ? 0 : (faces[nth]?.azimuth ?? 0);
  const seen = seenFrom(drawn, azimuth, pieces);
  if (!seen) return [];
  const body = flipped(boxOfCoordinates(seen.body));
  const all = flipped(seen.box);
  const room = 0.2 * Math.max(boxWidth(all), boxHeight(all));
  const box = { minX: all.minX - room, minY: all.minY - 0.06 * room, maxX: all.maxX + room * 0.4, maxY: all.maxY + room }; // prettier-ignore
  const letter = letterOf(box);
  const say = (mm: number): string => formatLength(mm, input.unit);
  const rim = rimLineOf(blank, wrap.size);
  const spot = (below: number): number => -seen.heightOf(below - rim);
  const shapes: PictureShape[] = [...seenShapes(seen, 'ghost')];
  const texts: PictureText[] = [];
  const left = body.minX - letter;
  const heights = [top, middle].filter((one) => one !== undefined);
  heights.forEach((below, i) => {
    const x = left - i * 2.6 * letter;
    shapes.push({ role: 'dimension', data: dimension(x, body.minY, x, spot(below), 0.5 * letter) });
    shapes.push({ role: 'line', data: lineTo(x, spot(below), 0, spot(below)) });
    texts.push({ x: x - 0.5 * letter, y: spot(below) + 1.3 * letter, text: say(below), anchor: 'end' });
  });
  shapes.push({ role: 'line', data: lineTo(0, body.minY, 0, body.maxY) });
  if (round !== undefined) {
    const way = azimuth > 0.3 ? 1 : azimuth < -0.3 ? -1 : 0;
    const edge = way === 0 ? body.maxX : way > 0 ? all.maxX : all.minX;
    shapes.push({ role: 'dimension', data: dimension(0, body.maxY + 1.4 * letter, edge, body.maxY + 1.4 * letter, 0.5 * letter) }); // prettier-ignore
    texts.push({ x: edge / 2, y: body.maxY + 2.9 * letter, text: `${say(round)} round`, anchor: 'middle' });
  }
  const dot = middle ?? top;
  if (dot !== undefined) texts.push({ x: 0, y: spot(dot), text: '', anchor: 'middle', disk: true });
  const says = blank.handleWidthMm > 0 && Math.abs(azimuth) >= 0.3 ? `Handle to your ${azimuth > 0 ? 'right' : 'left'}: this side faces you` : 'Where the mark goes, from the side that one works on'; // prettier-ignore
  return [{ box, shapes, texts, says }];
}

/** The template with its middle, which end is up, and the line along which it is held true. */
function aimPicture(drawn: Drawn): StepPicture[] {
  const { wrap, step, input } = drawn;
  const own = ofLayer(drawn);
  const edge = flipped(wrap.band.bounds);
  const all = wrap.template.closed ? joinBoxes(edge, boxOf(own)) : boxOf(own);
  const box = around(all, 0.05 * boxWidth(all) + 8);
  const letter = letterOf(box);
  const { trueOver100Mm } = step.numbers;
  const top = wrap.surface.forward(0, 0);
  const shapes: PictureShape[] = [
    { role: 'edge', data: wrap.band.outlines.map((path) => pathData(path)).join('') },
    ...onFlat(own.filter(({ part }) => part === '' || part === own[0]?.part), 'film'), // prettier-ignore
    { role: 'line', data: lineTo(top.x, -top.y, top.x, box.maxY - letter) },
    { role: 'arrow', data: arrow(box.maxX - 1.5 * letter, box.maxY - letter, box.maxX - 1.5 * letter, box.maxY - 5 * letter, 1.2 * letter) }, // prettier-ignore
  ];
  const texts: PictureText[] = [
    { x: box.maxX - 2.4 * letter, y: box.maxY - letter, text: 'this end up', anchor: 'end' },
  ];
  if (trueOver100Mm !== undefined) {
    const y = -top.y - 1.2 * letter;
    shapes.push({ role: 'dimension', data: dimension(top.x, y, top.x + 100, y, 0.6 * letter) });
    texts.push({ x: top.x + 50, y: y - 0.8 * letter, text: `true to ${formatLength(trueOver100Mm, input.unit)}`, anchor: 'middle' }); // prettier-ignore
  }
  return [{ box: around(box, 2 * letter), shapes, texts, says: 'The template with its middle on the mark' }];
}

/** Order in which the film is pressed, part by part: shares of its width from the left, and where the hand goes. */
const PRESSED: { readonly [style in LayingStyle]: readonly { readonly from: number; readonly to: number; readonly ways: readonly (1 | -1)[]; readonly says: string }[] } = {
  'centre out': [
    { from: 0.42, to: 0.58, ways: [], says: 'The middle first' },
    { from: 0.42, to: 1, ways: [1], says: 'Then to one side' },
    { from: 0, to: 1, ways: [-1], says: 'Then to the other' },
  ],
  'one end round': [
    { from: 0, to: 0.1, ways: [], says: 'One end, along its whole height' },
    { from: 0, to: 0.6, ways: [1], says: 'Then round, a finger-width at a time' },
    { from: 0, to: 1, ways: [1], says: 'The first end lifted before the last comes down' },
  ],
  'two halves': [
    { from: 0.47, to: 0.53, ways: [], says: 'The front line' },
    { from: 0.47, to: 1, ways: [1], says: 'One half round to the back' },
    { from: 0, to: 1, ways: [-1], says: 'Then the other half' },
  ],
  'middle first': [
    { from: 0.42, to: 0.58, ways: [], says: 'The middle, down the front' },
    { from: 0.42, to: 1, ways: [1], says: 'Round to one side' },
    { from: 0, to: 1, ways: [-1], says: 'Round to the other: the ends close at the back' },
  ],
}; // prettier-ignore

/** Pressing, in three pictures. */
function layPictures(drawn: Drawn): StepPicture[] {
  const { wrap, input, step } = drawn;
  if (step.id.startsWith('lay') === false) return seenPicture(drawn);
  const own = ownPart(ofLayer(drawn));
  const film = boxOf(own);
  const box = around(film, 0.06 * boxWidth(film) + 5);
  const letter = letterOf(box);
  const { style } = layingStyle(input.project, wrap, input.habits.laying);
  const pressed = PRESSED[own[0]?.part.startsWith('panel') ? 'centre out' : style].map(
    ({ from, to, ways, says }): StepPicture => {
      const [x1, x2] = [film.minX + from * boxWidth(film), film.minX + to * boxWidth(film)];
      const y = (film.minY + film.maxY) / 2;
      return {
        box,
        shapes: [
          ...onFlat(own, 'film'),
          { role: 'pressed', data: rectangle(x1, film.minY, x2 - x1, boxHeight(film)) },
          ...ways.map((way): PictureShape => ({ role: 'arrow', data: arrow(way > 0 ? x2 - 0.3 * (x2 - x1) : x1 + 0.3 * (x2 - x1), y, way > 0 ? x2 - letter : x1 + letter, y, 1.3 * letter) })), // prettier-ignore
        ],
        texts: [],
        says,
      };
    },
  );
  const air = input.examined.air.filter(({ piece, tents }) => tents.length > 0 && own.includes(piece));
  if (air.length === 0) return pressed;
  return [
    ...pressed,
    { box, shapes: [...onFlat(own, 'ghost'), ...air.flatMap(airShapes(letter))], texts: [], says: AIR },
  ];
}

const AIR = 'Expect air here: leave it a way out to the edge, and press that down last';

/** Ridges under which air is caught, and its way out: straight to the nearest edge. */
const airShapes =
  (letter: number) =>
  ({ piece, tents }: PieceAir): PictureShape[] => {
    const middle = boxCentre(piece.flatBox);
    return tents.flatMap(({ x, y, lengthMm, direction }): PictureShape[] => {
      const [tx, ty] = [middle.x + x, middle.y + y];
      const [dx, dy] = [(Math.cos(direction) * lengthMm) / 2, (Math.sin(direction) * lengthMm) / 2];
      const out = nearestOnRing(piece.flat.outer, tx, ty);
      const way = Math.hypot(out.x - tx, out.y - ty) || 1;
      // The arrow goes on past the edge, so that it is seen on a tent that reaches it.
      const past = { x: out.x + ((out.x - tx) / way) * 2 * letter, y: out.y + ((out.y - ty) / way) * 2 * letter };
      return [
        { role: 'air', data: lineTo(tx - dx, -(ty - dy), tx + dx, -(ty + dy)) },
        { role: 'arrow', data: arrow(tx, -ty, past.x, -past.y, letter) },
      ];
    });
  };

/** The ends as they meet at the back. */
function seamPicture(drawn: Drawn): StepPicture[] {
  const { wrap, pieces, input, step } = drawn;
  const seam = wrap.template.region.left[0];
  const seen = seenFrom(drawn, seam, pieces);
  if (!seen) return [];
  const all = flipped(seen.box);
  const box = around(all, 10);
  const { lapMm = 0 } = step.numbers;
  const letter = letterOf(box);
  return [
    {
      box,
      shapes: [
        ...seenShapes(seen),
        { role: 'slit', data: lineTo(0, all.minY, 0, all.maxY) },
        ...(lapMm > 0 ? [{ role: 'slit' as const, data: lineTo(lapMm, all.minY, lapMm, all.maxY) }] : []),
      ],
      texts: [{ x: letter, y: all.maxY + 0.9 * letter, text: lapMm > 0 ? `lap ${formatLength(lapMm, input.unit)}` : 'ends meet', anchor: 'start' }], // prettier-ignore
      says: 'Where the ends meet, seen from the seam',
    },
  ];
}

function tapeOffPicture(drawn: Drawn): StepPicture[] {
  const [seen] = seenPicture(drawn);
  if (!seen) return [];
  const { minX, maxX, minY, maxY } = seen.box;
  const letter = letterOf(seen.box);
  const y = minY + 0.25 * (maxY - minY);
  const back = arrow(minX + 0.75 * (maxX - minX), y, minX + 0.35 * (maxX - minX), y + letter, 1.4 * letter);
  return [{ ...seen, shapes: [...seen.shapes, { role: 'arrow', data: back }], says: 'Back on itself, low and slow' }];
}

/** What lies where on the board, from–to along it. */
function boardPicture({ step, input }: Drawn): StepPicture[] {
  const number = Number(step.id.split(':')[1]);
  const { board, loads } = input.examined.sheet.plan;
  const load = loads.find((one) => one.number === number);
  if (!load) return [];
  const end = Math.max(...load.strips.map(({ to }) => to)) + board.marginMm;
  const bare = { minX: -0.04 * end, maxX: 1.04 * end, minY: -0.06 * board.widthMm, maxY: 1.1 * board.widthMm };
  const letter = letterOf(bare);
  const box = { ...bare, maxY: bare.maxY + 1.5 * letter * load.strips.length, maxX: Math.max(bare.maxX, 22 * letter) };
  const nameOf = (id: string): string => input.project.films.find((film) => film.id === id)?.name ?? id;
  const line = (i: number): number => board.widthMm + (2.4 + 1.5 * i) * letter;
  return [
    {
      box,
      shapes: [
        { role: 'edge', data: rectangle(0, 0, end, board.widthMm) },
        ...load.strips.map((strip): PictureShape => ({ role: 'film', film: strip.film, data: rectangle(strip.from, board.marginMm, strip.to - strip.from, strip.across) })), // prettier-ignore
      ],
      texts: load.strips.flatMap((strip, i): PictureText[] => [
        { x: (strip.from + strip.to) / 2, y: board.marginMm + strip.across / 2, text: String(i + 1), anchor: 'middle', disk: true }, // prettier-ignore
        { x: letter, y: line(i) - 0.3 * letter, text: String(i + 1), anchor: 'middle', disk: true },
        { x: 2.4 * letter, y: line(i), text: `${nameOf(strip.film)} ${formatRange(strip.from, strip.to, input.unit)}`, anchor: 'start' }, // prettier-ignore
      ]),
      says: 'What lies where on the board, measured from its first edge',
    },
  ];
}
