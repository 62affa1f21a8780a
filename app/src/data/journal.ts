import type { Project, ReadResult } from '@mivet/core';

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

/** Takes away what was written down for a project: it is saved by now. */
export function dropJournal(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // A store that is refused holds nothing.
  }
}

/**
 * Reads and takes away what was written down for a project.
 *
 * @param check holds it to its format
 */
export function takeJournal(id: string, check: (raw: unknown) => ReadResult): JournalEntry | null {
  try {
    const text = localStorage.getItem(key(id));
    localStorage.removeItem(key(id));
    if (!text) return null;
    const raw = JSON.parse(text) as { revision?: unknown; document?: unknown };
    const result = check(raw.document);
    if (typeof raw.revision !== 'number' || !result.ok || result.document.format !== 'mivet-project') return null;
    return { revision: raw.revision, document: result.document };
  } catch {
    return null;
  }
}
