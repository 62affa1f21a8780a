import 'fake-indexeddb/auto';
import { emptyBackup, readDocument, sameValue, type Project } from '@mivet/core';
import fc from 'fast-check';
import { MessageChannel } from 'node:worker_threads';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, it } from 'vitest';
import { anyProject } from '../../../core/test/random.ts';
import { takeRefusal } from '../stores/refusal.ts';
import { useProject } from '../stores/project.ts';
import { openBackup, packBackup } from '../workers/backup-jobs.ts';
import { readProject, writeProject } from './database.ts';

beforeEach(() => setActivePinia(createPinia()));

/** What somebody may have typed: any letters, marks and signs. */
const words = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 });
const share = fc.double({ min: -0.5, max: 0.5, noNaN: true });

/** A project with all that people add to one. */
const anyDocument: fc.Arbitrary<Project> = fc
  .tuple(anyProject, words, fc.array(fc.tuple(words, fc.integer({ min: 1, max: 9 }))), fc.array(fc.tuple(share, share)))
  .map(([project, text, rows, dropped]) => ({
    ...project,
    id: crypto.randomUUID(),
    name: text,
    blank: { ...project.blank, notes: text },
    names: {
      itemId: null,
      widthMm: 60,
      leastCapMm: 5,
      closeMm: 0.4,
      rows: rows.map(([name, count], i) => ({ id: `r${i}`, name, count, hand: null, capMm: null, blankId: null })),
    },
    items: project.items.map((item) => ({ ...item, acts: { ...item.acts, dropped } })),
    accepted: rows.map(([reason], i) => ({ findingId: `tiny-piece:${i}`, reason, signature: text })),
  }));

/** A document as a file says it: without what is undefined, and without −0. */
const written = (document: Project | null): Project => JSON.parse(JSON.stringify(document)) as Project;

/** What comes out at the other end of a worker's channel. */
async function throughWorker<T>(value: T): Promise<T> {
  const { port1, port2 } = new MessageChannel();
  const out = new Promise<T>((resolve) => port2.once('message', resolve));
  port1.postMessage(value);
  const got = await out;
  port1.close();
  return got;
}

it('is the same out of a clone, a worker, the database and a file, whatever is in it', async () => {
  let kept = 0;
  await fc.assert(
    fc.asyncProperty(anyDocument, async (document) => {
      await writeProject({ ...document, name: 'Before', items: [], names: null, accepted: [] }, 0);
      const store = useProject();
      await store.open(document.id);
      takeRefusal();
      store.edit('Change', () => document);
      const refused = takeRefusal();
      // What is refused leaves all as it was.
      if (refused !== null) {
        expect(store.doc!.items).toEqual([]);
        return;
      }
      kept += 1;
      await store.flush();
      const doc = written(store.doc);
      expect(doc).toEqual({ ...written(document), changedAt: doc.changedAt });
      expect(sameValue(store.doc, doc)).toBe(true);
      expect(sameValue(structuredClone(store.doc), doc)).toBe(true);
      expect(sameValue(await throughWorker(store.doc), doc)).toBe(true);
      expect(sameValue((await readProject(document.id))?.document, doc)).toBe(true);
      expect(readDocument(JSON.stringify(store.doc))).toEqual({ ok: true, document: doc });
      const copies = [{ at: '2026-05-04', document: store.doc! }];
      const backup = { ...emptyBackup(doc.createdAt), projects: [store.doc!], copies };
      const read = await openBackup(await packBackup(backup));
      expect(read.ok && sameValue(read.backup, backup)).toBe(true);
    }),
    { numRuns: 60 },
  );
  expect(kept).toBeGreaterThan(30);
});
