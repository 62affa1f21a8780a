/** A document as it was read, before it is known to fit any format. */
export type Raw = { readonly [key: string]: unknown };

/** What documents of one version need to become those of the next, by the kind of thing. What is left out stays. */
export interface VersionStep {
  readonly backup?: (backup: Raw) => Raw;
  readonly project?: (project: Raw) => Raw;
  /** A blank, wherever it stands: on the shelf, in a project, among its other blanks. */
  readonly blank?: (blank: Raw) => Raw;
  /** The shelf's document round a blank. */
  readonly shelf?: (document: Raw) => Raw;
  readonly font?: (font: Raw) => Raw;
  readonly motif?: (motif: Raw) => Raw;
  readonly stock?: (document: Raw) => Raw;
  readonly entry?: (document: Raw) => Raw;
}

/** Whether a value is an object with named fields. */
export const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Does something to every object of a list; what is no list stays as it is, to be refused by the schema. */
export const eachOf = (list: unknown, change: (one: Raw) => unknown): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => (isRaw(one) ? change(one) : one)) : list;

/**
 * Brings a document, with every document inside it, up to a version.
 *
 * @param raw a document with a version of its own
 * @param to the version that it is brought up to
 * @param steps what each version needs to become the next
 */
export function bringUp(raw: Raw, to: number, steps: { readonly [from: number]: VersionStep }): Raw {
  let document = raw;
  for (let from = Number(raw['version']); from < to; from++) {
    if (!Number.isSafeInteger(from) || from < 1) return raw;
    document = { ...moved(document, steps[from] ?? {}, from + 1, steps), version: from + 1 };
  }
  return document;
}

function moved(raw: Raw, step: VersionStep, to: number, steps: { readonly [from: number]: VersionStep }): Raw {
  const inside = (format: string) => (value: Raw) => (value['format'] === format ? bringUp(value, to, steps) : value);
  const blank = (value: Raw): Raw => step.blank?.(value) ?? value;
  const one = (key: string, own: Raw, change: (value: Raw) => Raw): Raw => {
    const value = own[key];
    return isRaw(value) ? { [key]: change(value) } : {};
  };
  const many = (key: string, own: Raw, change: (value: Raw) => unknown): Raw =>
    key in own ? { [key]: eachOf(own[key], change) } : {};
  switch (raw['format']) {
    case 'mivet-backup': {
      const own = step.backup?.(raw) ?? raw;
      return {
        ...own,
        ...many('projects', own, inside('mivet-project')),
        ...many('shelf', own, inside('mivet-blank')),
        ...many('fonts', own, inside('mivet-font')),
        ...many('motifs', own, inside('mivet-motif')),
        ...many('stock', own, inside('mivet-stock')),
        ...many('entries', own, inside('mivet-entry')),
        ...many('copies', own, (copy) => ({ ...copy, ...one('document', copy, inside('mivet-project')) })),
      };
    }
    case 'mivet-project': {
      const own = step.project?.(raw) ?? raw;
      return {
        ...own,
        ...one('blank', own, blank),
        ...many('otherBlanks', own, blank),
        ...one('carried', own, (carried) => ({ ...carried, ...many('fonts', carried, inside('mivet-font')) })),
      };
    }
    case 'mivet-blank': {
      const own = step.shelf?.(raw) ?? raw;
      return { ...own, ...one('blank', own, blank) };
    }
    case 'mivet-font':
      return step.font?.(raw) ?? raw;
    case 'mivet-motif':
      return step.motif?.(raw) ?? raw;
    case 'mivet-stock':
      return step.stock?.(raw) ?? raw;
    case 'mivet-entry':
      return step.entry?.(raw) ?? raw;
    default:
      return raw;
  }
}
