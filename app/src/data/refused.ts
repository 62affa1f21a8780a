/** Something that does not fit its format, and so was not written: it could not be read again. */
export class DoesNotFit extends Error {}

/** Another tab runs an older Mivet and keeps the database for itself, or a newer one that has taken it over. */
export class OlderTabOpen extends Error {}

/** The browser could not write it, in words; what it said itself is the cause. */
export class NotWritten extends Error {
  constructor(cause: DOMException) {
    super('This browser could not keep it; the disk may be full.', { cause });
  }
}
