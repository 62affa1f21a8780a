import type { HandCollision, KeptFilm, PartOnBoard, Project, StripPart, StripViewModel } from '@mivet/core';
import { collisionOf, letGoOfPart, putByHand } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { watchApart } from '../workers/core-client.ts';
import type { Board } from '@mivet/core';
import type { CloserPart } from '../workers/protocol.ts';
import { useViewModel } from './view-model.ts';
import { useProject } from './project.ts';
import { useSettings } from './settings.ts';
import { useStock } from './stock.ts';

/** A part that is being dragged on its strip. */
export interface HandMove {
  readonly strip: StripViewModel;
  readonly part: StripPart;
  /** mm from where it lies, x along the feed and y across it. */
  readonly dx: number;
  readonly dy: number;
  readonly collision: HandCollision;
}

/** How the films lie on boards: as planned, tightened while the user watches, or placed by hand. */
export const usePlan = defineStore('plan', () => {
  const project = useProject();
  const viewModel = useViewModel();
  const settings = useSettings();
  const stock = useStock();

  /** The best so far while the user watches; otherwise null. */
  const closer = shallowRef<CloserPart | null>(null);
  const watching = ref(false);
  const problem = ref<string | null>(null);
  let stopWork: (() => void) | null = null;
  /** The project with what was found in it, until its picture is there: till then what was found is shown. */
  let settling: Project | null = null;
  let seed = 1;

  const sheet = computed(() => closer.value?.sheet ?? viewModel.good?.sheet ?? null);
  /** Where parts were put by hand, board matrices by name, in a project that is not planned with them yet: the next one builds on them. */
  const ahead = shallowRef<{ readonly of: Project; readonly at: ReadonlyMap<string, StripPart['matrix']> } | null>(
    null,
  );
  const unplanned = computed(() => (ahead.value?.of === project.doc && !viewModel.current ? ahead.value!.at : null));
  const nameOf = ({ film, lot }: StripViewModel, { part }: StripPart): string => `${film} ${lot} ${part}`;
  /** Whether a part was put where it is shown and the plan does not have it yet. */
  const isAhead = (strip: StripViewModel, part: StripPart): boolean =>
    unplanned.value?.has(nameOf(strip, part)) ?? false;
  const strips = computed<readonly StripViewModel[]>(() => {
    const planned = closer.value?.strips ?? viewModel.good?.strips ?? [];
    const at = unplanned.value;
    if (!at) return planned;
    const moved = (strip: StripViewModel, part: StripPart): StripPart => {
      const matrix = at.get(nameOf(strip, part));
      return matrix ? { ...part, matrix, fixed: true } : part;
    };
    return planned.map((strip) => ({ ...strip, parts: strip.parts.map((part) => moved(strip, part)) }));
  });
  const laidAs = computed<readonly KeptFilm[]>(() =>
    unplanned.value ? (project.doc?.laid ?? []) : (viewModel.good?.laidAs ?? []),
  );
  const fixed = computed(() => strips.value.reduce((sum, s) => sum + s.parts.filter((p) => p.fixed).length, 0));
  /** Whether there is anything to lay closer: a film of several parts. */
  const canCloser = computed(() =>
    laidAs.value.some(({ lots }) => lots.reduce((n, lot) => n + lot.parts.length, 0) > 1),
  );
  const along = (of: CloserPart['sheet'] | undefined): number =>
    (of?.plan.loads ?? []).flatMap(({ strips: own }) => own).reduce((sum, { used }) => sum + used.along, 0);
  /** mm of film along the boards that watching has saved so far; of an offcut, what more of it stays. */
  const saved = computed(() => (closer.value ? along(viewModel.good?.sheet) - along(closer.value.sheet) : 0));

  function start(): void {
    const doc = project.doc;
    if (!doc || watching.value) return;
    watching.value = true;
    problem.value = null;
    const options = { ...settings.cutting, mirrored: false };
    const supply = stock.supplyFor(doc);
    stopWork = watchApart(
      'closer',
      { project: doc, limits: settings.limits, learnt: settings.learnt, supply, options, seed: seed++ },
      (part) => (closer.value = part),
      (why) => {
        problem.value = why;
        keep();
      },
    );
  }
  function end(): CloserPart | null {
    stopWork?.();
    stopWork = null;
    watching.value = false;
    const best = closer.value;
    closer.value = null;
    settling = null;
    return best;
  }
  /** Keep this layout: what was found is kept. */
  function keep(): void {
    const better = saved.value > 1e-6 || (closer.value?.sheet.plan.loads.length ?? 0) < (sheetLoads() ?? 0);
    const best = end();
    if (!best || !better) return;
    project.edit('Tighten the layout', (p) => ({ ...p, laid: best.kept }));
    [settling, closer.value] = [project.doc, best];
  }
  const sheetLoads = (): number | undefined => viewModel.good?.sheet.plan.loads.length;

  // What changes meanwhile is planned again; another project has another plan.
  watch(
    () => project.doc,
    (doc) => doc !== settling && end(),
  );
  watch(
    () => viewModel.good?.sheet,
    () => settling && end(),
  );

  /** Film that a part may lie on: the offcut, or what may be cut for it. */
  function roomOf(strip: StripViewModel, board: Board): { along: number; across: number } {
    if (strip.offcut !== null) return { along: strip.to - strip.from, across: strip.across };
    const own = stock.supply.films
      .filter(({ film }) => film.id === strip.film)
      .map(({ widthMm }) => Math.floor(widthMm));
    const most = board.widthMm - 2 * board.marginMm;
    return {
      along: board.lengthMm - 2 * board.marginMm,
      across: own.length > 0 ? Math.min(most, Math.max(...own)) : most,
    };
  }
  const local = ({ rings, matrix }: StripPart, strip: StripViewModel, board: Board, dx = 0, dy = 0): Float64Array[] => {
    const [a, b, c, d, e, f] = matrix;
    return rings.map((ring) =>
      ring.map((v, i) =>
        i % 2 === 0
          ? a * v + c * ring[i + 1]! + e + dx - strip.from
          : b * ring[i - 1]! + d * v + f + dy - board.marginMm,
      ),
    );
  };
  /** What is in the way when a part is moved by some millimetres. */
  function collision(strip: StripViewModel, part: StripPart, dx: number, dy: number): HandCollision {
    const board = sheet.value!.plan.board;
    const others = strip.parts.filter((one) => one !== part).map((one) => local(one, strip, board));
    return collisionOf(local(part, strip, board, dx, dy), others, roomOf(strip, board), board);
  }
  /** Puts a part where it was dragged to, unless something is in the way; it stays there from then on. */
  function put(strip: StripViewModel, part: StripPart, dx: number, dy: number): boolean {
    if (collision(strip, part, dx, dy) !== null) return false;
    const [a, b, c, d, e, f] = part.matrix;
    const before = unplanned.value ?? [];
    const { marginMm } = sheet.value!.plan.board;
    const to: PartOnBoard['matrix'] = [a, b, c, d, e + dx - strip.from, f + dy - marginMm];
    const boxes = new Map(strips.value.filter((s) => s.film === strip.film).flatMap((s) => s.parts.map((p) => [p.part, p.box]))); // prettier-ignore
    project.edit('Move a part on its film', (p) => ({
      ...p,
      laid: laidAs.value.map((kept) =>
        kept.film === strip.film ? putByHand(kept, strip.lot, part.part, to, boxes) : kept,
      ),
    }));
    ahead.value = { of: project.doc!, at: new Map([...before, [nameOf(strip, part), [a, b, c, d, e + dx, f + dy]]]) };
    return true;
  }
  /** Lets a part be moved by the plan again, or all of them. */
  function letGo(film: string | null, part: string | null): void {
    project.edit('Unlock what was placed by hand', (p) => ({
      ...p,
      laid: laidAs.value.map((kept) => (film === null || kept.film === film ? letGoOfPart(kept, part) : kept)),
    }));
  }
  /** Plans everything again, without what was placed by hand. */
  function anew(): void {
    project.edit('Plan the loads anew', (p) => ({ ...p, laid: [] }));
  }

  return { closer, watching, problem, sheet, strips, laidAs, fixed, canCloser, saved, start, keep, end, collision, isAhead, put, letGo, anew }; // prettier-ignore
});
