import type { z } from 'zod';
import type { Project } from '../model/project.ts';
import { itemSchema } from './item-schema.ts';
import { projectSchema } from './schema.ts';

/** A change that can be kept, as it is kept; or what of it does not fit, with the place. */
export type Keepable =
  | { readonly ok: true; readonly project: Project }
  | { readonly ok: false; readonly path: string; readonly issue: z.core.$ZodIssue };

type Key = keyof typeof projectSchema.shape;
const KEYS = Object.keys(projectSchema.shape) as Key[];

/**
 * Holds a changed project against the format before it is kept, so that nothing is written that could not be read again.
 * Only what changed is looked at; what comes back is plain data, whatever was handed in.
 *
 * @param next as it is to be
 * @param before as it was, known to fit
 */
export function keepable(next: Project, before: Project | null): Keepable {
  const parts: Partial<Record<Key, unknown>> = {};
  for (const key of KEYS) {
    if (before && next[key] === before[key]) continue;
    if (key === 'items' && before && Array.isArray(next.items)) {
      const items = keepableItems(next.items, new Set<unknown>(before.items));
      if (!items.ok) return items;
      parts.items = items.items;
      // How many there may be is still asked; each is known to fit.
      if (next.items.length <= before.items.length) continue;
    }
    const parsed = projectSchema.shape[key].safeParse(next[key]);
    if (!parsed.success) return failed([key], parsed.error);
    if (!(key in parts) && (parsed.data !== undefined || key in next)) parts[key] = parsed.data;
  }
  return { ok: true, project: { ...next, ...parts } as Project };
}

type NotKept = Extract<Keepable, { ok: false }>;

function keepableItems(
  items: Project['items'],
  known: ReadonlySet<unknown>,
): { readonly ok: true; readonly items: Project['items'] } | NotKept {
  const kept: Project['items'][number][] = [];
  for (const [i, item] of items.entries()) {
    if (known.has(item)) {
      kept.push(item);
      continue;
    }
    const parsed = itemSchema.safeParse(item);
    if (!parsed.success) return failed(['items', i], parsed.error);
    kept.push(parsed.data);
  }
  return { ok: true, items: kept };
}

function failed(at: readonly (string | number)[], error: z.ZodError): NotKept {
  const issue = error.issues[0]!;
  return { ok: false, path: [...at, ...issue.path].join('.'), issue };
}
