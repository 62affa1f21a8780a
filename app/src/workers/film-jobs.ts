import { deriveWrap, layingShown, limitsWith, lookCloser, SheetProblem, type Wrap, type WorthALook, withCare, layWays, worthALook } from '@mivet/core'; // prettier-ignore
import { type Call, inTurns } from './call.ts';
import { fontsOf } from './fonts.ts';
import { materialsOf } from './learnt.ts';
import type { CoreAnswer, CoreJobs } from './protocol.ts';

/** ms of work between two checks for cancellation. */
const LOOK_MS = 60;

/** The pieces of a project that are looked at. */
async function piecesOf(
  { project, limits, learnt }: Pick<CoreJobs['look']['input'], 'project' | 'limits' | 'learnt'>,
  itemId?: string,
): Promise<{ found: WorthALook[]; wrap: Wrap | null; limitMm: number }> {
  // prettier-ignore
  const materials = materialsOf(learnt);
  const limitMm = limitsWith(limits).tentPresses;
  const derived = deriveWrap(project, await fontsOf(project.items), materials);
  if (!derived.ok) return { found: [], wrap: null, limitMm };
  return { found: worthALook(project, derived.wrap, materials, limitMm, itemId), wrap: derived.wrap, limitMm };
}

/** Lays pieces of film by computation, those that ask most first, and tells what was found of each. */
export async function look(input: CoreJobs['look']['input'], call: Call): Promise<CoreAnswer<'look'>> {
  const { found, limitMm } = await piecesOf(input, input.itemId);
  const known = new Set(input.project.looked?.map(({ of }) => of));
  const wanted = found.filter(({ key }) => input.itemId !== undefined || !known.has(key));
  for (const [done, { piece, on, key }] of wanted.entries()) {
    const tell = { done, of: wanted.length, itemId: piece.itemIds[0]! };
    call.part({ ...tell, share: 0, found: null, settled: false });
    try {
      const last = await inTurns(
        lookCloser(piece.flat, on, limitMm),
        call,
        ({ share, look: now }) => call.part({ ...tell, share, found: now && { of: key, ...now }, settled: false }),
        LOOK_MS,
      );
      call.part({ ...tell, share: 1, found: { of: key, ...last }, settled: true });
    } catch (problem) {
      // A piece that no mesh can be made of keeps the forecast.
      if (!(problem instanceof SheetProblem)) throw problem;
      call.part({ ...tell, share: 1, found: null, settled: true });
    }
  }
  return null;
}

/** Lays the piece of an item that asks most, coarsely and then finely, and tells where it is at each step. */
export async function layFilm(input: CoreJobs['layFilm']['input'], call: Call): Promise<CoreAnswer<'layFilm'>> {
  const { found } = await piecesOf(input, input.itemId);
  const worst = found[0];
  if (!worst) return null;
  const left = 1 - input.stifferPercent / 100;
  const { stretch, squeeze } = worst.on.gives;
  const held = { ...worst.on, gives: { stretch: stretch * left, squeeze: squeeze * left } };
  const on = input.pulled ? withCare(held) : held;
  for (const how of ['coarse', 'fine'] as const) {
    const { flat, triangles, outline, steps } = layingShown(worst.piece.flat, on, input.way, how);
    const laying = await inTurns(steps, call, () => undefined, LOOK_MS);
    call.part({ flat, triangles, outline, laying, fine: how === 'fine', azimuth: on.azimuth ?? 0 });
  }
  return null;
}

/** Lays the sheets of every way to lay a side flat, and tells how each comes out. */
export async function layWaysOf(
  { project, learnt }: CoreJobs['layWays']['input'],
  call: Call,
): Promise<CoreAnswer<'layWays'>> {
  // prettier-ignore
  await inTurns(layWays(project, materialsOf(learnt)), call, (way) => call.part(way));
  return null;
}
