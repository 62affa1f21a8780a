/** Something that does not fit its format, and so was not written: it could not be read again. */
export class DoesNotFit extends Error {}

/** Another tab still runs an older Mivet and keeps the database for itself. */
export class OlderTabOpen extends Error {}
