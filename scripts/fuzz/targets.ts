import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describeBlankProblem, describeDrawingProblem, describeReadProblem, emptyBackup, examineProject, FIRST_TRACE, isResults, readBackup, readDocument, readResults, type Project } from '@mivet/core'; // prettier-ignore
import { readBackupZip, writeBackupZip } from '@mivet/core/backups';
import { describeHpglProblem, readHpgl } from '@mivet/core/cutter';
import { readDxfDrawing, readSvgDrawing, traceRaster } from '@mivet/core/drawings';
import { FontProblem, fontSample, readFont } from '@mivet/core/fonts';
import { readBlanksCsv, readEntriesCsv, readNames, readStockCsv } from '@mivet/core/tables';
import { demoEntries } from '../../app/src/demo/demo-entries.ts';
import { demoProjects } from '../../app/src/demo/demo.ts';
import { demoShelf } from '../../app/src/demo/demo-shelf.ts';
import { demoStock } from '../../app/src/demo/demo-stock.ts';
import { loadFonts } from '../../cli/src/input/fonts.ts';
import { run } from '../../cli/src/run.ts';
import { type Chance, spoilBytes, spoilDocument, spoilText, wildSvg } from './cases.ts';

const NOW = '2026-05-04T10:00:00.000Z';
const require = createRequire(import.meta.url);
const projects = demoProjects(NOW);
const shelf = demoShelf(NOW);
const fonts = loadFonts({});
const fontBytes = ['barlow-condensed/files/barlow-condensed-latin-600-normal.woff', 'pacifico/files/pacifico-latin-400-normal.woff2'].map((name) => new Uint8Array(readFileSync(require.resolve(`@fontsource/${name}`)))); // prettier-ignore
const backup = { ...emptyBackup(NOW), projects: projects.slice(0, 3), shelf, stock: demoStock(NOW), entries: demoEntries(NOW, shelf) }; // prettier-ignore
const zip = writeBackupZip(backup);
const DRAWING = '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="20mm" viewBox="0 0 40 20"><defs><clipPath id="c"><circle cx="10" cy="10" r="8"/></clipPath><style>.a{fill:#0f4c5c}</style></defs><g transform="rotate(12 3 4) scale(1.1)"><path class="a" clip-path="url(#c)" d="M0 0H20V10C18 12 4 14 0 10ZM4 4h3v3h-3z" fill-rule="evenodd"/><circle r="3" cx="30" cy="9" stroke="#e4572e" stroke-width="1.5" fill="none" stroke-dasharray="2 1"/></g><use href="#x"/><rect id="x" width="5" height="5"/></svg>'; // prettier-ignore
const DXF = ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '4', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES', '0', 'LWPOLYLINE', '8', 'Deep', '90', '4', '70', '1', '10', '0', '20', '0', '42', '0.4', '10', '20', '20', '0', '10', '20', '20', '10', '10', '0', '20', '10', '0', 'CIRCLE', '8', 'Deep', '62', '1', '10', '5', '20', '5', '40', '2', '0', 'SPLINE', '8', 'X', '71', '3', '73', '4', '40', '0', '40', '0', '40', '0', '40', '0', '40', '1', '40', '1', '40', '1', '40', '1', '10', '0', '20', '0', '10', '1', '20', '4', '10', '5', '20', '2', '10', '6', '20', '0', '0', 'ENDSEC', '0', 'EOF'].join('\n'); // prettier-ignore
const HPGL = 'IN;SP1;PU400,400;PD2000,400,2000,2000,400,2000,400,400;PU;PA;SP2;PU0,0;PR;PD100,0,0,100,-100,0;PU;';
const NAMES = 'name;blank;colour\nTansy;Crew mug;dark teal\nSorrel;;\n"O’Hara, ""Bo""";Mug 2;orange\n';
const BLANKS = 'name,kind,rim,base,side\nCrew mug,straight,"259 mm","259 mm",96\nTumbler,tapered,276,"8 1/2 in",168\n';
const STOCK =
  'name,colour,finish,form,width,length,left,price\nDeep water,#0F4C5C,gloss permanent,roll,305,5000,3420,12.5\n';
const ENTRIES = 'finished,title,everything\n2026-04-01,Crew mugs,{}\n2026-04-02,Tumbler,"{""id"":""x""}"\n';
const RESULTS = { format: 'mivet-results', version: 1, projectId: 'demo-mug', project: 'Crew mugs', bench: { doneSteps: ['a'], startedAt: NOW }, photos: [] }; // prettier-ignore
let ids = 0;
const id = (): string => `fuzz-${++ids}`;

/** Words in which a machine speaks to those who made it. */
const MACHINE = /Cannot read|is not a function|is not defined|undefined|\[object |Invalid array|Maximum call|could not be cloned|expected \w+, received|Invalid input|at \w+ \(|node_modules|\bNaN\b|JSON at position|Unexpected token/; // prettier-ignore

/** Words for a person: never a machine's. */
function said(words: string): void {
  if (words.trim() === '') throw new Error('it was refused without a word');
  // What somebody wrote is said again as it was.
  if (MACHINE.test(words.replace(/“[^”]*”?/g, '')))
    throw new Error(`it was refused in a machine’s words: ${words.slice(0, 200)}`);
}
/** What was read goes out and in again without a loss. */
function comesBack(text: string): void {
  const read = readDocument(text);
  if (!read.ok) return said(describeReadProblem(read.problem));
  const again = readDocument(JSON.stringify(read.document));
  if (!again.ok) throw new Error(`what was read cannot be read again: ${describeReadProblem(again.problem)}`);
  if (JSON.stringify(again.document) !== JSON.stringify(read.document)) throw new Error('it is another after it was read again'); // prettier-ignore
}
const finite = (numbers: Iterable<number>, what: string): void => {
  for (const n of numbers) if (!Number.isFinite(n)) throw new Error(`${what} holds ${n}`);
};

function drawing(read: ReturnType<typeof readSvgDrawing>): void {
  if (!read.ok) return said(describeDrawingProblem(read.problem));
  for (const { widthMm, heightMm } of [read.drawing]) finite([widthMm, heightMm], 'the size of the drawing');
  for (const { rings } of read.drawing.colours) for (const ring of rings) finite(ring, 'the drawing');
}

/** A project goes through the whole core, be it fit to or not. */
function judge(project: Project): void {
  const read = readDocument(JSON.stringify(project));
  if (!read.ok) return said(describeReadProblem(read.problem));
  if (read.document.format !== 'mivet-project') return;
  const made = examineProject(read.document, fonts);
  if (!made.ok) return said(describeBlankProblem(made.problem, 'mm'));
  finite([made.wrap.template.rimLength, made.wrap.template.baseLength], 'the template');
}

async function commandLine(text: string, chance: Chance, write: (text: string) => string): Promise<void> {
  const file = write(text);
  const words: string[] = [];
  const command = chance.of(['flatten', 'proof', 'bench', 'plan', 'learn', 'check']);
  const code = await run([command, file], { out: () => undefined, err: (one) => words.push(one) });
  if (![0, 1, 2].includes(code)) throw new Error(`it ended with ${code}`);
  if (code === 2) said(words.join(''));
}

/** A format that comes in: a case is made by chance, and read. What is wrong is thrown. */
export interface Target {
  readonly name: string;
  /** Share of all cases. */
  readonly weight: number;
  readonly make: (chance: Chance) => string | Uint8Array;
  readonly read: (given: string | Uint8Array, chance: Chance, write: (text: string) => string) => void | Promise<void>;
}

const text = (given: string | Uint8Array): string =>
  typeof given === 'string' ? given : new TextDecoder().decode(given);
const bytes = (given: string | Uint8Array): Uint8Array => (typeof given === 'string' ? new TextEncoder().encode(given) : given); // prettier-ignore

export const TARGETS: readonly Target[] = [
  { name: 'svg', weight: 6, make: (c) => (c.next() < 0.5 ? wildSvg(c) : spoilText(DRAWING, c)), read: (g) => drawing(readSvgDrawing(text(g))) }, // prettier-ignore
  { name: 'dxf', weight: 6, make: (c) => spoilText(DXF, c), read: (g) => drawing(readDxfDrawing(text(g))) },
  { name: 'document', weight: 8, make: (c) => { const one = JSON.stringify(spoilDocument<unknown>(c.of([...projects, ...shelf, ...backup.stock, ...backup.entries]), c)); return c.next() < 0.3 ? spoilText(one, c) : one; }, read: (g) => comesBack(text(g)) }, // prettier-ignore
  { name: 'project', weight: 4, make: (c) => JSON.stringify(spoilDocument(c.of(projects), c)), read: (g) => judge(JSON.parse(text(g)) as Project) }, // prettier-ignore
  { name: 'backup', weight: 2, make: (c) => JSON.stringify(spoilDocument(backup, c)), read: (g) => { const read = readBackup(text(g)); if (!read.ok) said(describeReadProblem(read.problem)); } }, // prettier-ignore
  { name: 'zip', weight: 2, make: (c) => spoilBytes(zip, c), read: (g) => { const read = readBackupZip(bytes(g)); if (!read.ok) said(describeReadProblem(read.problem)); } }, // prettier-ignore
  { name: 'results', weight: 2, make: (c) => JSON.stringify(spoilDocument<unknown>(RESULTS, c)), read: (g) => { const raw = JSON.parse(text(g)) as unknown; isResults(raw); readResults(raw); } }, // prettier-ignore
  { name: 'names csv', weight: 4, make: (c) => spoilText(NAMES, c), read: (g) => void readNames(text(g)) },
  { name: 'blanks csv', weight: 4, make: (c) => spoilText(BLANKS, c), read: (g) => leftOut(readBlanksCsv(text(g), 'mm', id, NOW).leftOut) }, // prettier-ignore
  { name: 'stock csv', weight: 4, make: (c) => spoilText(STOCK, c), read: (g) => leftOut(readStockCsv(text(g), 'mm', id, projects[0]!.films).leftOut) }, // prettier-ignore
  { name: 'entries csv', weight: 4, make: (c) => spoilText(ENTRIES, c), read: (g) => leftOut(readEntriesCsv(text(g), id, NOW).leftOut) }, // prettier-ignore
  { name: 'hpgl', weight: 4, make: (c) => spoilText(HPGL, c), read: (g) => { const read = readHpgl(text(g)); if (!read.ok) said(describeHpglProblem(read.problem)); else for (const { points } of read.strokes) finite(points, 'a stroke'); } }, // prettier-ignore
  { name: 'font', weight: 3, make: (c) => spoilBytes(c.of(fontBytes), c), read: (g) => { try { const face = readFont([bytes(g)]); face.layout('COX Øß1'); fontSample(bytes(g)); } catch (problem) { if (!(problem instanceof FontProblem)) throw problem; said(problem.message); } } }, // prettier-ignore
  { name: 'picture', weight: 1, make: (c) => Uint8Array.from({ length: 4 * 24 * 24 }, () => (c.next() < 0.5 ? 255 * c.below(2) : c.below(256))), read: (g, c) => drawing(traceRaster({ width: 24, height: 24, rgba: bytes(g) }, { ...FIRST_TRACE, mode: c.of(['dark', 'light', 'ground', 'colours'] as const), smooth: c.below(4), tolerance: c.below(442), threshold: c.of([null, 128]), widthMm: c.of([1, 80, 5000]) }).result) }, // prettier-ignore
  { name: 'command line', weight: 2, make: (c) => { const one = JSON.stringify(spoilDocument<unknown>(c.of([projects[0], projects[1], shelf[0]!.blank, backup]), c)); return c.next() < 0.3 ? spoilText(one, c) : one; }, read: (g, c, write) => commandLine(text(g), c, write) }, // prettier-ignore
];

function leftOut(lines: readonly { readonly why: string }[]): void {
  for (const { why } of lines) said(why);
}
