import { type FilmGiveOf, givesOf, layingShown, limitsWith, lookCloser, SheetProblem, slitsOnFlat, tapedWith, warmedBy, withSlits, type OfMake, withCare, layWays, worthALookOf } from '@mivet/core'; // prettier-ignore
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
): Promise<OfMake[]> {
  // prettier-ignore
  const fonts = await fontsOf(project.items);
  return worthALookOf(project, fonts, materialsOf(learnt), limitsWith(limits).tentPresses, itemId);
}

/** Lays pieces of film by computation, those that ask most first, and tells what was found of each. */
export async function look(input: CoreJobs['look']['input'], call: Call): Promise<CoreAnswer<'look'>> {
  const found = await piecesOf(input, input.itemId);
  const limitMm = limitsWith(input.limits).tentPresses;
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

/** What is made of a mesh, where there is one; says in words where there is none. */
function meshed<T>(make: () => T): T {
  try {
    return make();
  } catch (problem) {
    if (problem instanceof SheetProblem)
      throw new Error('This piece is too fine to be laid by computation.', { cause: problem });
    throw problem;
  }
}

/** Lays the piece of an item that asks most, coarsely and then finely, and tells where it is at each step. */
export async function layFilm(input: CoreJobs['layFilm']['input'], call: Call): Promise<CoreAnswer<'layFilm'>> {
  const { slits, itemId, way } = input;
  const whole = { ...input.project, items: input.project.items.map((item) => (item.id === itemId ? { ...item, slitIn: undefined } : item)) }; // prettier-ignore
  const [worst] = await piecesOf(slits ? { ...input, project: whole } : input, itemId);
  if (!worst) return null;
  const { piece, job, wrap } = worst;
  const left = 1 - input.stifferPercent / 100;
  const less = ({ stretch, squeeze }: FilmGiveOf): FilmGiveOf => ({ stretch: stretch * left, squeeze: squeeze * left });
  const at = typeof way === 'string' ? null : warmedBy(way);
  const warmed = givesOf({ ...job, warm: true }, piece.film, materialsOf(input.learnt));
  const warms = warmed.stretch > worst.on.gives.stretch || warmed.squeeze > worst.on.gives.squeeze;
  const warm = at && { at, ...less(warmed) };
  const held = {
    ...worst.on,
    gives: { ...less(worst.on.gives), ...(warm && { warm }) },
    ...(slits && { opens: slits.opens }),
  };
  const on = input.pulled ? withCare(held) : held;
  const item = job.items.find(({ id }) => id === itemId)!;
  const even = slits && slitsOnFlat(slits, item, wrap.frames, piece);
  const flat = (even && withSlits(piece.flat, even)?.piece) ?? piece.flat;
  const together = tapedWith(job, wrap, piece, materialsOf(input.learnt));
  const taped = input.taped ? together : null;
  const laid = taped ? { ...taped.on, ...on, slant: taped.on.slant, azimuth: taped.on.azimuth ?? 0, askew: taped.on.askew ?? 0, flat: taped.on.flat, gives: { ...on.gives, tape: taped.on.gives.tape } } : on; // prettier-ignore
  for (const how of ['coarse', 'fine'] as const) {
    const shown = meshed(() => layingShown(taped?.sheet ?? flat, laid, way, how, (input.askewDeg * Math.PI) / 180));
    const laying = await inTurns(shown.steps, call, () => undefined, LOOK_MS);
    const { triangles, outline } = shown;
    call.part({
      flat: shown.flat,
      triangles,
      outline,
      laying,
      fine: how === 'fine',
      azimuth: laid.azimuth ?? 0,
      warms,
      tapes: together !== null,
    });
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
