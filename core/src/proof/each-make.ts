import type { Blank } from '../model/blank.ts';
import type { Command } from '../model/command.ts';
import type { MadeOn, Make } from '../pieces/batch.ts';
import type { Finding, FindingCode, Judge, ProofContext } from './finding.ts';
import { RANK, signatureOf } from './finding.ts';

/** What is found of the blank itself, so that it is another finding on another blank with the same numbers. */
const OF_BLANK = new Set<FindingCode>(['reading-implausible', 'reading-spread', 'reading-weak', 'fit-unchecked', 'seam-gap', 'right-way-up']); // prettier-ignore

/**
 * Judges everything on a list as it is cut: the words of each, which take the place of the job's own, and what is made on
 * another blank, for the other hand, or with something else in an item's place.
 *
 * @param context of the whole job
 * @param side judges that look at a side with all that lies on it
 * @param each judges of one thing by itself
 * @returns of what the words of the list bring, one finding for each kind, of the gravest, with how many more there are
 */
export function judgeMakes(context: ProofContext, side: readonly Judge[], each: readonly Judge[]): Finding[] {
  const judge = (part: ProofContext, judges = each): Finding[] => judges.flatMap((one) => one(part));
  const told = (finding: Finding, blank: Blank): string =>
    `${finding.id} ${signatureOf(finding)} ${OF_BLANK.has(finding.code) ? blank.id : ''}`;
  const ofJob = [...judge(context, side), ...judge(withoutNamed(context))];
  const known = new Set(ofJob.map((finding) => told(finding, context.job.blank)));
  const found: Finding[] = [];
  const seen = new Set([context.wrap]);
  for (const { on, row } of context.makes) {
    if (!on || seen.has(on.wrap)) continue;
    seen.add(on.wrap);
    const { blank, hand, items, wrap, doubts } = on;
    const stack = context.stacks?.get(wrap) ?? context.stack;
    const own = { ...context, job: { ...context.job, blank, hand, items }, wrap, doubts, stack };
    for (const finding of [...judge(own, side), ...judge(withoutNamed(own))]) {
      if (known.has(told(finding, blank))) continue;
      known.add(told(finding, blank));
      found.push({
        ...finding,
        id: `${finding.id}:on:${items === context.job.items ? `${blank.id}:${hand}` : row.id}`,
        names: { ...finding.names, on: nameOfMade(on, row.name, context) },
        // What is moved for this one moves on the others: only a person can weigh that.
        fixes: [],
      });
    }
  }
  const worst = new Map<string, { finding: Finding; count: number }>();
  for (const make of context.makes) {
    const counted = new Set<string>();
    for (const finding of judgeWords(context, make, judge)) {
      // What the rest of the job brings is told once, above.
      if (known.has(told(finding, make.on?.blank ?? context.job.blank))) continue;
      const before = worst.get(finding.code);
      const graver = !before || RANK[finding.severity] < RANK[before.finding.severity];
      const first = !counted.has(finding.code);
      counted.add(finding.code);
      worst.set(finding.code, {
        finding: graver ? finding : before.finding,
        count: (before?.count ?? 0) + (first ? 1 : 0),
      });
    }
  }
  for (const { finding, count } of worst.values())
    found.push({
      ...finding,
      id: `${finding.id}:names`,
      names: { ...finding.names, ...(count > 1 ? { more: String(count - 1) } : {}) },
    });
  return found;
}

/** What tells a thing of a list from the job itself: what it has in some item's place, its blank, or its hand. */
function nameOfMade({ blank, hand, items }: MadeOn, name: string, { job }: ProofContext): string {
  if (items !== job.items) return name;
  return blank === job.blank ? `the ${hand}-handed one` : blank.name;
}

/** A job without the text that the names take the place of, when there are names, and without what hangs on it. */
export function withoutNamed(context: ProofContext): ProofContext {
  const itemId = context.makes.length > 0 ? (context.job.names?.itemId ?? null) : null;
  if (itemId === null) return context;
  // Where words shape what is round them, every thing of the list is judged whole, and there is nothing besides.
  const whole = context.makes.some(({ alone }) => !alone);
  const { wrap } = context;
  const placed = whole ? [] : wrap.placed.filter((p) => p.item.id !== itemId);
  const pieces = whole ? [] : wrap.pieces.filter((p) => !p.itemIds.includes(itemId));
  const cuts = whole ? [] : wrap.cuts.filter((cut) => cut.itemId !== itemId);
  return { ...context, wrap: { ...wrap, placed, pieces, cuts, tape: whole ? [] : wrap.tape } };
}

function judgeWords(context: ProofContext, make: Make, judge: (part: ProofContext) => Finding[]): Finding[] {
  const { on, text, wrap } = make;
  if (!on || !text || !wrap) return [];
  const items = on.items.map((item) => (item.id === text.id ? text : item));
  const job = { ...context.job, blank: on.blank, hand: on.hand, items };
  return judge({ ...context, job, wrap }).map((finding) => ({
    ...finding,
    names: {
      ...finding.names,
      // Of what is round the words it would not be known which they are.
      ...(finding.itemIds.includes(text.id) ? {} : { round: make.row.name }),
      ...(on.blank === context.job.blank ? {} : { on: on.blank.name }),
    },
    fixes: finding.fixes.flatMap((fix) => fixForName(fix, make, context)),
  }));
}

/** A fix of the text as it serves a name: what was set by hand, or fitted already, is not changed by the text's own size. */
function fixForName(fix: Command, { fitted }: Make, { job }: ProofContext): Command[] {
  // A gap is closed in the words of the job, not in those of one name.
  if (fix.do === 'close-gaps') return [];
  if (fix.do === 'both-faces') return fitted?.how === 'as is' ? [fix] : [];
  if (fix.do !== 'scale-item' || !fitted || fitted.how === 'as is') return [fix];
  if (fitted.how === 'by hand' || fix.toMiddleMm !== undefined) return [];
  const widthMm = fitted.widthMm * fix.factor;
  const leastCapMm = Math.min(job.names?.leastCapMm ?? Infinity, fitted.capMm * fix.factor * 0.99);
  return [{ do: 'name-box', widthMm, leastCapMm }];
}
