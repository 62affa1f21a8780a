import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Backup, Project } from '../../model/project.ts';
import { FORMAT_VERSION } from '../../model/format.ts';
import { readBackup } from '../read-backup.ts';
import { checkDocument } from '../read.ts';
import { STEPS } from './index.ts';
import { bringUp, type Raw } from './walk.ts';

const folder = new URL('../../../test/fixtures/documents/', import.meta.url);
/** Backups as older programs wrote them, with a project of names, fonts and motifs from when there were any. */
const old = (version: number): Raw =>
  JSON.parse(readFileSync(new URL(`v${version}.backup.json`, folder), 'utf8')) as Raw;
const versions = Array.from({ length: FORMAT_VERSION - 1 }, (_, i) => i + 1);

function opened(version: number): Backup {
  const result = checkDocument(old(version));
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.document as Backup;
}

describe('files of older versions', () => {
  it('are here for every version, and every version has its step', () => {
    expect(readdirSync(folder).length).toBe(FORMAT_VERSION - 1);
    expect(Object.keys(STEPS).map(Number)).toEqual(versions);
  });

  it.each(versions)('open whole, and each document by itself: version %i', (version) => {
    const backup = opened(version);
    const raw = old(version);
    for (const list of ['projects', 'shelf', 'fonts', 'motifs', 'stock'] as const) {
      const documents = (raw[list] ?? []) as Raw[];
      expect(backup[list]).toHaveLength(documents.length);
      documents.forEach((document, i) => {
        expect(document['version']).toBe(version);
        expect(checkDocument(document)).toEqual({ ok: true, document: backup[list][i] });
      });
    }
    expect(backup.projects.length).toBeGreaterThan(0);
    expect(readBackup(raw)).toEqual({ ok: true, backup });
  });

  it('mean what they meant, whatever is usual by now', () => {
    const project = (version: number): Project => opened(version).projects[0]!;
    for (const v of [1, 2])
      expect(project(v).blank).toMatchObject({
        fitCheck: null,
        stations: [],
        stationsAlong: 'side',
        flattening: { way: 'best', parts: null, keep: null, patchMm: null, patchUpDeg: 0 },
        balloon: { gas: 'air', hours: 12, shrinkPerDay: 2 },
        readingLog: [],
      });
    expect(opened(1).shelf[0]).toMatchObject({ price: null, variantOf: null, photo: null, inStock: null });
    for (const v of [1, 2, 3])
      expect(project(v).seam).toMatchObject({ way: 'straight', panels: 1, clearanceMm: 1, atSeam: [] });
    for (const v of [1, 2, 3])
      expect(project(v).items.find((item) => item.type === 'text')).toMatchObject({
        align: 'middle',
        linePitch: 1.75,
        pairGaps: [],
        spares: 0,
        ring: null,
      });
    expect(opened(4).projects[1]!.names!.rows.every(({ blankId }) => blankId === null)).toBe(true);
    for (const v of [1, 2, 3, 4, 5]) expect(project(v)).toMatchObject({ process: 'decal', warm: true });
    for (const v of [1, 2, 3, 4, 5, 6]) {
      const { stack, films } = project(v);
      expect(stack).toEqual({
        build: 'full',
        underlapMm: 0.6,
        thinMm: 4,
        order: [],
        lay: 'flat',
        levels: 'once',
        marks: Object.fromEntries(films.map(({ id }) => [id, 'by hand'])),
      });
    }
    for (const v of versions)
      for (const item of project(v).items) {
        expect(item.acts).toMatchObject({ bridgeMm: 0, specksMm: 0 });
        if (item.type === 'text') expect(item.gapsAtMm).toBeNull();
      }
    // What a project carries moves on with it.
    for (const v of [5, 6, 7, 8]) expect(project(v).carried!.fonts[0]!.version).toBe(FORMAT_VERSION);
    for (const v of versions) expect(project(v).blank.inside).toBeNull();
    expect([9, 10].map((v) => project(v).items.at(-1)!.byItself)).toEqual([undefined, true]);
    for (const v of versions) expect(project(v)).toMatchObject({ handOver: null, planning: { pinned: {}, skipSeal: false, beforeCure: false, helperMinutes: 0 } }); // prettier-ignore
    expect(opened(13).projects[0]!.bench.answers).toHaveLength(1);
    expect(opened(13).entries).toEqual([]);
    for (const v of versions) expect(project(v).rowDrawings).toBeUndefined();
    // Films stood once: whether one stands twice is asked of what is new.
    for (const v of versions) expect(project(v).stack.levels).toBe('once');
    expect(opened(11).projects[1]!.names!.columns).toHaveLength(1);
    expect(project(6).carried!.limits).toEqual({ tinyPiece: 3 });
  });
});

describe('bringing a document up', () => {
  const seen = (blank: Raw): Raw => ({ ...blank, seen: true });
  const steps = { 1: { blank: seen, font: seen, motif: seen, stock: seen } };
  const font = { format: 'mivet-font', version: 1 };
  const project = { format: 'mivet-project', version: 1, blank: {}, otherBlanks: [{}, 7], carried: { fonts: [font] } };

  it('reaches every blank and every document in it, each by its own version', () => {
    const moved = { ...font, version: 2, seen: true };
    const after = { ...project, version: 2, blank: { seen: true }, otherBlanks: [{ seen: true }, 7], carried: { fonts: [moved] } }; // prettier-ignore
    expect(bringUp(project, 2, steps)).toEqual(after);
    const backup = {
      format: 'mivet-backup',
      version: 1,
      projects: [project, after],
      shelf: [{ format: 'mivet-blank', version: 1, blank: {} }],
      fonts: [font],
      motifs: [{ format: 'mivet-motif', version: 1 }],
      stock: [{ format: 'mivet-stock', version: 1 }],
      copies: [{ at: 'then', document: project }],
    };
    expect(bringUp(backup, 2, steps)).toEqual({
      ...backup,
      version: 2,
      projects: [after, after],
      shelf: [{ format: 'mivet-blank', version: 2, blank: { seen: true } }],
      fonts: [moved],
      motifs: [{ format: 'mivet-motif', version: 2, seen: true }],
      stock: [{ format: 'mivet-stock', version: 2, seen: true }],
      copies: [{ at: 'then', document: after }],
    });
  });
});
