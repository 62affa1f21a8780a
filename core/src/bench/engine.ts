import { CAUTIONS, type CautionCode } from './cautions.ts';
import type { BenchStep, StepDraft } from './step.ts';

/**
 * Puts steps in an order in which each comes after those it waits for; of those that may come next, the one that was named
 * first. Hazards are told at the first step that has them; what waits knows what can be done beside it.
 *
 * @param drafts in the order in which they are told where nothing else asks for another
 * @throws RangeError when steps wait for each other in a circle, or two have one id
 */
export function inOrder(drafts: readonly StepDraft[]): BenchStep[] {
  const ids = new Set(drafts.map(({ id }) => id));
  if (ids.size !== drafts.length) throw new RangeError('two steps have one id');
  const needs = new Map(drafts.map((draft) => [draft.id, neededBy(draft, drafts)]));
  const ordered: StepDraft[] = [];
  const done = new Set<string>();
  while (ordered.length < drafts.length) {
    const next = drafts.find(({ id }) => !done.has(id) && needs.get(id)!.every((one) => done.has(one)));
    if (!next) {
      const left = drafts.filter(({ id }) => !done.has(id)).map(({ id }) => id);
      throw new RangeError(`steps wait for each other: ${left.join(', ')}`);
    }
    ordered.push(next);
    done.add(next.id);
  }
  const told = new Set<CautionCode>();
  return ordered.map((draft, i): BenchStep => {
    const cautions = (draft.cautions ?? []).filter((code) => !told.has(code));
    cautions.forEach((code) => told.add(code));
    const { handsMinutes = 1, waitMinutes = 0 } = draft;
    const waitsFor = waitMinutes > 0 ? dependents(draft.id, needs) : null;
    return {
      why: null,
      check: null,
      because: null,
      things: [],
      about: { film: null, part: null, row: null },
      layer: null,
      list: [],
      ...draft,
      after: needs.get(draft.id)!,
      cautions,
      caution: cautions.map((code) => CAUTIONS[code]).join(' ') || null,
      handsMinutes,
      waitMinutes,
      beside: waitsFor ? ordered.slice(i + 1).flatMap(({ id }) => (waitsFor.has(id) ? [] : [id])) : [],
      numbers: { ...draft.numbers, handsMinutes, waitMinutes },
    };
  });
}

/** Ids that a step waits for: those it names, and every one of the kinds it names. */
const neededBy = (draft: StepDraft, drafts: readonly StepDraft[]): string[] => [
  ...new Set(
    (draft.after ?? []).flatMap((name) =>
      drafts.flatMap(({ id, kind }) => ((id === name || `every ${kind}` === name) && id !== draft.id ? [id] : [])),
    ),
  ),
];

/** Everything that has to wait for a step, however many steps lie between. */
function dependents(id: string, needs: ReadonlyMap<string, readonly string[]>): ReadonlySet<string> {
  const found = new Set([id]);
  for (let grown = true; grown;) {
    grown = false;
    for (const [other, own] of needs)
      if (!found.has(other) && own.some((one) => found.has(one))) {
        found.add(other);
        grown = true;
      }
  }
  return found;
}
