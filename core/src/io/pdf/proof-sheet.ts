import { rgb } from '@cantoo/pdf-lib';
import { colourWord } from '../../present/colour-word.ts';
import type { ArtworkItem } from '../../model/item.ts';
import type { Film } from '../../model/film.ts';
import { formatLength, formatSize, type Units } from '../../measure/length.ts';
import type { Project } from '../../model/project.ts';
import type { Examined } from '../../pipeline.ts';
import { describeFinding } from '../../proof/words.ts';
import { itemName } from '../../proof/finding-names.ts';
import { eyeDistance } from '../../surface/foreshortening.ts';
import type { EyeView } from '../../present/eye-view.ts';
import { eyeView } from '../../present/eye-view.ts';
import { azimuthOfFacing } from '../../layout/place.ts';
import type { Ring } from '../../polygon/polygon.ts';
import type { Flow, SheetPrint } from './flow.ts';
import { linesOf, startFlow } from './flow.ts';
import { hexColour } from './template.ts';

/** What goes on the proof sheet. */
export interface ProofPrint extends SheetPrint {
  readonly project: Project;
  readonly examined: Extract<Examined, { ok: true }>;
  readonly unit: Units;
}

/** Points in a millimetre. */
const PT = 72 / 25.4;
/** pt. Tallest that the views may be, and between two of them. */
const [VIEW_HIGH, VIEW_GAP] = [250, 14];
/** mm from which a customer looks at a thing on a table. */
const AT_TABLE = 600;
/** Columns of a list of names. */
const COLUMNS = 3;

/**
 * A sheet for the customer: how it will look from its sides, sizes, films, names, and what was found and
 * accepted; with a line to sign.
 *
 * @returns PDF bytes
 */
export async function writeProofPdf(print: ProofPrint): Promise<Uint8Array> {
  const flow = await startFlow(print);
  const { project, examined, unit } = print;
  const { plain, bold } = flow;
  const mm = (v: number): string => formatLength(v, unit);
  flow.write(print.title, bold, 18);
  flow.write(`${project.blank.name}, ${project.blank.surface}. ${bandWords(examined, unit)}`, plain, 10);
  flow.leave(10);
  drawViews(flow, print);

  flow.leave(6);
  flow.write('What is on it', bold, 12);
  for (const placed of examined.wrap.placed) {
    if (!placed.slants || isPlate(placed.item)) continue;
    const copies = placed.copies.length > 1 ? `, ${placed.copies.length} times` : '';
    const [top, foot] = placed.slants;
    const down = examined.wrap.template.closed ? `, ${mm(top)} below the top of the band` : '';
    const name = itemName({ job: project }, placed.item.id);
    flow.write(
      `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${mm(placed.box.maxX - placed.box.minX)} wide, ${mm(foot - top)} high${copies}${down}`,
      plain,
      10,
    );
  }
  if (project.process !== 'decal')
    flow.write(
      `What is drawn as film is a mask, which comes off. What it leaves open is ${WORKED[project.process]}.`,
      plain,
      10,
    );
  drawFilms(flow, usedFilms(print));
  drawNames(flow, print);
  drawAccepted(flow, print);
  flow.keep(96);
  flow.leave(14);
  flow.write(
    'Please check spelling, sizes, sides and colours. Paper and screens do not show the colour of film: ask for a piece.',
    plain,
    9.5,
  );
  flow.leave(36);
  const { page, y, margin, width } = flow;
  for (const [at, label] of [
    [0, 'Approved by'],
    [0.62, 'Date'],
  ] as const) {
    // prettier-ignore
    const [from, to] = [margin + at * width, margin + (at === 0 ? 0.55 : 1) * width];
    page.drawLine({ start: { x: from, y }, end: { x: to, y }, thickness: 0.6, color: rgb(0, 0, 0) });
    page.drawText(label, { x: from, y: y - 12, size: 8.5, font: plain, color: rgb(0, 0, 0) });
  }
  return flow.finish();
}

/** What becomes of the open parts of a mask. */
const WORKED = { strip: 'stripped bare', etch: 'etched', blast: 'blasted', paint: 'painted' } as const;

/** A mask, or the field that one leaves open: no part of the design. */
const isPlate = (item: ArtworkItem): boolean => item.type === 'motif' && item.motif === 'plate';

function bandWords({ wrap }: ProofPrint['examined'], unit: Units): string {
  const mm = (v: number): string => formatLength(v, unit);
  const { size, template } = wrap;
  if (!template.closed) return `Film may lie on ${formatSize(template.rimLength, size.side, unit)}.`;
  const round =
    Math.abs(size.rim.surface - size.base.surface) < 0.05
      ? `${mm(size.rim.surface)} round`
      : `${mm(size.rim.surface)} round at the top, ${mm(size.base.surface)} at the foot`;
  return `Its band is ${round}, ${mm(size.side)} down the side.`;
}

/** The views that there are of it: three sides of what is round, a face straight on; all at one scale. */
function drawViews(flow: Flow, { project, examined: { wrap } }: ProofPrint): void {
  const distance = eyeDistance(wrap.meanRadius, AT_TABLE);
  const sides = wrap.template.closed
    ? ([['From the front', 'front'], ['From the drinker’s side', 'drinker'], ['From the room’s side', 'room']] as const) // prettier-ignore
    : ([['Straight on', 'front']] as const);
  const views = sides.flatMap(([label, facing]) => {
    const view = eyeView(project, wrap, { azimuth: azimuthOfFacing(facing, 0, project.hand), distance });
    return view ? [{ label, view }] : [];
  });
  if (views.length === 0) return;
  const room = (flow.width - VIEW_GAP * (sides.length - 1)) / sides.length;
  const wide = Math.max(...views.map(({ view: { box } }) => box.maxX - box.minX));
  const high = Math.max(...views.map(({ view: { box } }) => box.maxY - box.minY));
  const scale = Math.min(PT, room / wide, VIEW_HIGH / high);
  flow.keep(high * scale + 34);
  const top = flow.y;
  views.forEach(({ label, view }, i) => {
    const { minX, maxX, maxY } = view.box;
    const left = flow.margin + i * (room + VIEW_GAP) + (room - (maxX - minX) * scale) / 2;
    drawView(flow, view, project, { x: left - minX * scale, y: top - maxY * scale, scale });
    const middle = flow.margin + i * (room + VIEW_GAP) + room / 2;
    const width = flow.plain.widthOfTextAtSize(label, 9);
    flow.page.drawText(label, { x: middle - width / 2, y: top - high * scale - 14, size: 9, font: flow.plain });
  });
  flow.leave(high * scale + 20);
  const share = (scale / PT) * 100;
  flow.write(share > 99.9 ? 'Drawn at life size.' : `Drawn at ${share.toFixed(0)} % of life size.`, flow.plain, 8.5);
}

interface At {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

function drawView(flow: Flow, view: EyeView, { films, blank }: Project, { x, y, scale }: At): void {
  const data = (rings: readonly Ring[], closed = true): string =>
    rings
      .map((ring) => {
        let path = '';
        for (let i = 0; i < ring.length; i += 2)
          path += `${i === 0 ? 'M' : 'L'}${ring[i]!.toFixed(2)} ${(-ring[i + 1]!).toFixed(2)}`;
        return closed ? `${path}Z` : path;
      })
      .join('');
  const body = hexColour(blank.colour);
  const edge = rgb(0.35, 0.35, 0.35);
  for (const ring of [...(view.handle ? [view.handle] : []), view.body])
    flow.page.drawSvgPath(data([ring]), { x, y, scale, color: body, borderColor: edge, borderWidth: 0.4 });
  for (const piece of view.pieces) {
    const film = films.find((f) => f.id === piece.film);
    flow.page.drawSvgPath(data(piece.rings), { x, y, scale, color: hexColour(film?.colour ?? '#888888') });
  }
}

function usedFilms({ project, examined }: ProofPrint): Film[] {
  const used = new Set(examined.cut.map((p) => p.film));
  return project.films.filter((film) => used.has(film.id));
}

function drawFilms(flow: Flow, films: readonly Film[]): void {
  if (films.length === 0) return;
  flow.keep(40);
  flow.leave(8);
  flow.write('Films', flow.bold, 12);
  for (const film of films) {
    flow.write(`${film.name}, ${colourWord(film.colour)}, ${film.finish}`, flow.plain, 10, 18);
    flow.page.drawRectangle({ x: flow.margin, y: flow.y - 1.5, width: 11, height: 10, color: hexColour(film.colour), borderWidth: 0.4, borderColor: rgb(0, 0, 0) }); // prettier-ignore
  }
}

/** All names as they will be written, in columns. */
function drawNames(flow: Flow, { project, examined: { batch } }: ProofPrint): void {
  const words = batch.map(({ row, on }) =>
    [
      row.name,
      row.count > 1 ? ` × ${row.count}` : '',
      project.blank.handleWidthMm > 0 && on ? ` (${on.hand} hand)` : '',
      on && on.blank !== project.blank ? `, on ${on.blank.name}` : '',
    ].join(''),
  );
  if (words.length === 0) return;
  flow.keep(60);
  flow.leave(8);
  flow.write(words.length === 1 ? 'Made for' : `Made for ${words.length}`, flow.bold, 12);
  const room = flow.width / COLUMNS;
  for (let i = 0; i < words.length; i += COLUMNS) {
    const cells = words.slice(i, i + COLUMNS).map((text) => linesOf(text, flow.plain, 10, room - 10));
    const high = Math.max(...cells.map((lines) => lines.length)) * 13.8;
    flow.keep(high);
    cells.forEach((lines, column) =>
      lines.forEach((line, k) =>
        flow.page.drawText(line, {
          x: flow.margin + column * room,
          y: flow.y - (k + 1) * 13.8,
          size: 10,
          font: flow.plain,
        }),
      ),
    );
    flow.leave(high);
  }
}

function drawAccepted(flow: Flow, { examined, unit }: ProofPrint): void {
  const accepted = examined.findings.filter((f) => f.acceptedFor !== null);
  if (accepted.length === 0) return;
  flow.keep(50);
  flow.leave(8);
  flow.write('Looked at, and left as it is', flow.bold, 12);
  for (const { finding, acceptedFor } of accepted)
    flow.write(`${describeFinding(finding, unit).title}: ${acceptedFor}`, flow.plain, 10);
}
