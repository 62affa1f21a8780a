import { STARTING_MATERIALS } from '../src/material/materials.ts';
import type { Blank } from '../src/model/blank.ts';
import type { ArtworkItem } from '../src/model/item.ts';
import type { Job } from '../src/model/job.ts';
import type { PlacedItem } from '../src/layout/place.ts';
import type { Piece } from '../src/pieces/pieces.ts';
import type { Wrap } from '../src/pieces/wrap.ts';
import type { Box } from '../src/plane/box.ts';
import type { ProofContext } from '../src/proof/finding.ts';
import { USUAL_LIMITS } from '../src/proof/limits.ts';
import { describeFinding } from '../src/proof/words.ts';
import type { Finding, Judge } from '../src/proof/finding.ts';
import { NO_LAYERS } from '../src/stack/report.ts';
import { makeJob, motifItem, mug } from './jobs.ts';

/** mm. The side on which things are judged here: so far from the axis, so long. */
export const [RADIUS, SIDE] = [50, 100];
/** mm once round it. */
export const TURN = 2 * Math.PI * RADIUS;

/** What a judge is given: a plain side without any film, but for what is said. Only what judges read is there. */
export function judging(change: {
  readonly wrap?: { readonly [key: string]: unknown };
  readonly blank?: Partial<Blank>;
  readonly job?: Partial<Job>;
  readonly context?: { readonly [key: string]: unknown };
}): ProofContext {
  const blank = mug({ handleWidthMm: 0, bandBelowRimMm: 0, ...change.blank });
  const items = (change.wrap?.['placed'] as PlacedItem[] | undefined)?.map(({ item }) => item) ?? [];
  const side = { rim: { surface: TURN }, base: { surface: TURN }, side: SIDE };
  const wrap = {
    size: { kind: 'straight', ...side, fit: 'none', taper: 0, data: {} },
    template: { closed: true, cone: { girthRim: TURN, girthBase: TURN, side: SIDE } },
    surface: { radiusAt: () => RADIUS, slantLength: SIDE },
    meanRadius: RADIUS,
    placed: [],
    pieces: [],
    frames: [{}],
    layers: [],
    tape: [],
    ...change.wrap,
  } as unknown as Wrap;
  return {
    job: makeJob(blank, items, change.job),
    wrap,
    doubts: [],
    plan: { board: {}, loads: [], tooLarge: [] },
    usage: { strips: [], films: [], born: [] },
    supply: { films: [], offcuts: [], cutters: [], today: '2026-05-04' },
    stack: NO_LAYERS,
    makes: [],
    limits: USUAL_LIMITS,
    materials: STARTING_MATERIALS,
    ...change.context,
  } as unknown as ProofContext;
}

/** An item of a width and between two slants, its middle so far round from the front, mm. */
export function placedItem(
  width: number,
  slants: readonly [number, number],
  roundMm = 0,
  item: ArtworkItem = motifItem('star', { id: 'star-1' }),
): PlacedItem {
  const azimuth = roundMm / RADIUS;
  const half = width / 2 / RADIUS;
  const ring = Float64Array.from([-half, slants[0], half, slants[0], half, slants[1], -half, slants[1]]).map((v, i) => (i % 2 === 0 ? v + azimuth : v)); // prettier-ignore
  const high = (slants[1] - slants[0]) / 2;
  return {
    item,
    azimuth,
    slant: (slants[0] + slants[1]) / 2,
    box: { minX: -width / 2, maxX: width / 2, minY: -high, maxY: high },
    slants,
    copies: [azimuth],
    groups: [[ring]],
    radius: RADIUS,
  } as unknown as PlacedItem;
}

/** A rectangular piece of film by its box on the side: mm round from the front, and down. */
export function pieceAt(box: Box, change: Partial<Piece> = {}): Piece {
  const { minX, maxX, minY, maxY } = box;
  return {
    film: 'deep-water',
    part: '',
    itemIds: ['star-1'],
    cutAt: null,
    spare: false,
    areaMm2: (maxX - minX) * (maxY - minY),
    flat: { outer: Float64Array.from([minX, -maxY, maxX, -maxY, maxX, -minY, minX, -minY]), holes: [] },
    flatBox: { minX, maxX, minY: -maxY, maxY: -minY },
    azimuths: [minX / RADIUS, maxX / RADIUS],
    slants: [minY, maxY],
    ...change,
  } as unknown as Piece;
}

/** The one thing that a judge finds, with what it says; or nothing. */
export function only(judge: Judge, context: ProofContext): (Finding & { said: string }) | null {
  const found = judge(context);
  if (found.length > 1) throw new Error(`found ${found.length}`);
  return found[0] ? { ...found[0], said: saidOf(found[0]) } : null;
}

/** Title and reason in one. */
export function saidOf(finding: Finding): string {
  const { title, why } = describeFinding(finding, 'mm');
  return `${title}. ${why}`;
}
