import { checkDocument, type Project } from '@mivet/core';

/** A change that the page had no time to save before it was left; written at once, since nothing slower is allowed then. */
export interface JournalEntry {
  /** Revision that the change was made on. */
  readonly revision: number;
  readonly document: Project;
}

const key = (id: string): string => `mivet-unsaved-${id}`;

/** Writes a change down. A full or refused store loses nothing else: the database still has the last save. */
export function writeJournal(entry: JournalEntry): void {
  try {
    localStorage.setItem(key(entry.document.id), JSON.stringify(entry));
  } catch {
    // The database is still tried by the caller.
  }
}

/** Reads and takes away what was written down for a project. */
export function takeJournal(id: string): JournalEntry | null {
  try {
    const text = localStorage.getItem(key(id));
    localStorage.removeItem(key(id));
    if (!text) return null;
    const raw = JSON.parse(text) as { revision?: unknown; document?: unknown };
    const result = checkDocument(raw.document);
    if (typeof raw.revision !== 'number' || !result.ok || result.document.format !== 'mivet-project') return null;
    return { revision: raw.revision, document: result.document };
  } catch {
    return null;
  }
}
