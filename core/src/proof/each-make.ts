import type { Make } from '../wrap/batch.ts';
import type { Command, Finding, Judge, ProofContext } from './finding.ts';
import { RANK, signatureOf } from './finding.ts';

/**
 * Judges where film lies for everything on a list: the words of each, which take the place of the job's own, and what is
 * made on another blank or for the other hand.
 *
 * @param context of the whole job
 * @param judges those that hang on where film lies
 * @returns one finding for each kind, of the gravest, with how many more there are
 */
export function judgeMakes(context: ProofContext, judges: readonly Judge[]): Finding[] {
  const judge = (part: ProofContext): Finding[] => judges.flatMap((one) => one(part));
  const known = new Set(judge(withoutNamed(context)).map((f) => `${f.id} ${signatureOf(f)}`));
  const found: Finding[] = [];
  const seen = new Set([context.wrap]);
  for (const { on } of context.makes) {
    if (!on || seen.has(on.wrap)) continue;
    seen.add(on.wrap);
    const job = { ...context.job, blank: on.blank, hand: on.hand };
    for (const finding of judge(withoutNamed({ ...context, job, wrap: on.wrap })))
      if (!known.has(`${finding.id} ${signatureOf(finding)}`))
        found.push({
          ...finding,
          id: `${finding.id}:on:${on.blank.id}:${on.hand}`,
          names: { ...finding.names, on: on.blank === context.job.blank ? `the ${on.hand}-handed one` : on.blank.name },
          // What is moved for this blank moves on the others: only a person can weigh that.
          fixes: [],
        });
  }
  const worst = new Map<string, { finding: Finding; count: number }>();
  for (const make of context.makes)
    for (const finding of judgeWords(context, make, judge)) {
      const before = worst.get(finding.code);
      const graver = !before || RANK[finding.severity] < RANK[before.finding.severity];
      worst.set(finding.code, { finding: graver ? finding : before.finding, count: (before?.count ?? 0) + 1 });
    }
  for (const { finding, count } of worst.values())
    found.push({
      ...finding,
      id: `${finding.id}:names`,
      names: { ...finding.names, ...(count > 1 ? { more: String(count - 1) } : {}) },
    });
  return found;
}

/** A job without the text that the names take the place of, when there are names. */
export function withoutNamed(context: ProofContext): ProofContext {
  const itemId = context.makes.length > 0 ? (context.job.names?.itemId ?? null) : null;
  if (itemId === null) return context;
  return { ...context, wrap: { ...context.wrap, placed: context.wrap.placed.filter((p) => p.item.id !== itemId) } };
}

function judgeWords(context: ProofContext, make: Make, judge: (part: ProofContext) => Finding[]): Finding[] {
  const { on, placed, text, pieces } = make;
  if (!on || !placed || !text) return [];
  const items = context.job.items.map((item) => (item.id === text.id ? text : item));
  const job = { ...context.job, blank: on.blank, hand: on.hand, items };
  const found = judge({ ...context, job, wrap: { ...on.wrap, placed: [placed], pieces } });
  return found.map((finding) => ({
    ...finding,
    names: { ...finding.names, ...(on.blank === context.job.blank ? {} : { on: on.blank.name }) },
    fixes: finding.fixes.flatMap((fix) => fixForName(fix, make, context)),
  }));
}

/** A fix of the text as it serves a name: what was set by hand, or fitted already, is not changed by the text's own size. */
function fixForName(fix: Command, { fitted }: Make, { job }: ProofContext): Command[] {
  if (fix.do === 'both-faces') return fitted?.how === 'as is' ? [fix] : [];
  if (fix.do !== 'scale-item' || !fitted || fitted.how === 'as is') return [fix];
  if (fitted.how === 'by hand' || fix.toMiddleMm !== undefined) return [];
  const widthMm = fitted.widthMm * fix.factor;
  const leastCapMm = Math.min(job.names?.leastCapMm ?? Infinity, fitted.capMm * fix.factor * 0.99);
  return [{ do: 'name-box', widthMm, leastCapMm }];
}
