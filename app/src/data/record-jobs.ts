import type { KeptRecords, LogbookEntry, Project, Unreadable } from '@mivet/core';
import * as database from './database.ts';
import { DoesNotFit, OlderTabOpen } from './refused.ts';

/** What is asked of the worker that reads and writes much at once. */
export type RecordRequest = { readonly id: number } & (
  | { readonly does: 'readProjects' }
  | { readonly does: 'readProject'; readonly projectId: string }
  | { readonly does: 'readLogbook' }
  | { readonly does: 'readCopies' }
  | { readonly does: 'readLibrary'; readonly store: database.LibraryStore }
  | { readonly does: 'compareWithBackup'; readonly records: KeptRecords }
  | {
      readonly does: 'writeAll';
      readonly projects: readonly Project[];
      readonly library: database.LibraryDocuments;
      readonly only: 'all' | 'missing';
    }
);

/** Its answers: parts of one that is long, then the rest. */
export type RecordReply = { readonly id: number } & (
  | { readonly part: readonly Project[] | database.Read<LogbookEntry> }
  | { readonly value: unknown }
  | { readonly failed: 'does not fit' | 'older tab' | 'other'; readonly message: string }
);

/** Documents that are handed over at once: few enough that nothing waits for them. */
const AT_ONCE = 40;

async function answer(
  request: RecordRequest,
  part: (part: readonly Project[] | database.Read<LogbookEntry>) => void,
): Promise<unknown> {
  switch (request.does) {
    case 'readProjects': {
      const unreadable: Unreadable[] = [];
      for await (const read of database.readProjectsInTurns(AT_ONCE)) {
        if (read.kept.length > 0) part(read.kept);
        unreadable.push(...read.unreadable);
      }
      return unreadable;
    }
    case 'readProject':
      return database.readProject(request.projectId);
    case 'readLogbook':
      for await (const read of database.readLogbook()) part(read);
      return null;
    case 'readCopies': {
      const { kept, unreadable } = await database.readCopies();
      return { kept, unreadable };
    }
    case 'readLibrary':
      return database.readLibrary(request.store);
    case 'compareWithBackup':
      return database.compareWithBackup(request.records);
    case 'writeAll':
      return database.writeAll(request.projects, request.library, request.only);
  }
}

/**
 * Serves the worker's jobs.
 *
 * @param reply posts a message to the caller
 * @returns handler of incoming messages
 */
export function serveRecords(reply: (message: RecordReply) => void): (request: RecordRequest) => Promise<void> {
  return async (request) => {
    const { id } = request;
    try {
      reply({ id, value: await answer(request, (part) => reply({ id, part })) });
    } catch (problem) {
      const failed =
        problem instanceof DoesNotFit ? 'does not fit' : problem instanceof OlderTabOpen ? 'older tab' : 'other';
      reply({ id, failed, message: problem instanceof Error ? problem.message : String(problem) });
    }
  };
}
