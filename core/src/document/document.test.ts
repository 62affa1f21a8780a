import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_SEAM } from '../seam/plain-seam.ts';
import { z } from 'zod';
import { readFileSync } from 'node:fs';
import { projectOf } from '../../test/findings.ts';
import { bare, makeJob, motifItem, mug, textItem, tumbler, wave } from '../../test/jobs.ts';
import { applyCommand, moveItem, scaleItem } from './commands/apply.ts';
import { newMotif, newText } from '../artwork/new-item.ts';
import { newBlank, newProject, newShelfBlank } from './new-project.ts';
import { NEW_RUN } from '../model/bench-run.ts';
import { FORMAT_VERSION } from '../model/format.ts';
import type { Backup, Project } from '../model/project.ts';
import { emptyBackup } from './read-backup.ts';
import { checkDocument, describeReadProblem, readDocument } from './read.ts';
import { backupSchema, projectSchema, shelfBlankSchema } from './schema.ts';
import { ownFontSchema, ownMotifSchema } from './own-schema.ts';
import { KINDS } from '../measure/kinds/kinds.ts';

const full: Project = {
  ...projectOf(
    makeJob(mug(), [
      textItem('Zoë', { placement: { facing: 'drinker', angleDeg: 0, from: 'rim', mm: 20, turnDeg: 5 } }),
      motifItem('buoy'),
      wave(7),
    ]),
  ),
  accepted: [{ findingId: 'glance:text-1', reason: 'It is a banner', signature: 'wide look' }],
  bench: { ...NEW_RUN, doneSteps: ['clean'], waitsUntil: { clean: '2026-01-01T10:00:00Z' } },
  log: [{ id: 'l', at: '2026-01-01T10:00:00Z', outcome: 'so-so', text: 'Lifted at the lap' }],
};
const code = (raw: unknown): string => {
  const result = checkDocument(raw);
  return result.ok ? 'fine' : result.problem.code;
};

describe('documents', () => {
  it('come back from JSON as they were', () => {
    const backup: Backup = {
      ...emptyBackup('2026-01-01'),
      projects: [full],
      settings: { unit: 'in', rates: { hour: 20 } },
      copies: [{ at: '2026-01-01', document: full }],
      shelf: [newShelfBlank(tumbler(), '')],
    };
    for (const document of [full, newShelfBlank(mug(), ''), backup]) {
      const result = readDocument(JSON.stringify(document));
      expect(result).toEqual({ ok: true, document });
    }
  });

  it('are made valid from the start', () => {
    for (const kind of KINDS) {
      const project = newProject('p', 'New', newBlank('b', kind, 'Cup'), null, '');
      expect(
        code({
          ...project,
          items: [newText('t', 'Cox', 'ensign'), newMotif('m', 'wave', 'reed'), newMotif('o', 'oar', 'reed')],
        }),
      ).toBe('fine');
    }
  });

  it('are refused with the reason and the place', () => {
    expect(readDocument('{"format":').ok).toBe(false);
    expect(code([])).toBe('not-mivet');
    expect(code({ format: 'mivet-project' })).toBe('not-mivet');
    expect(code({ ...full, version: FORMAT_VERSION + 1 })).toBe('newer');
    // Counting up from the second never arrives: 1e118 + 1 = 1e118 in floating point.
    for (const version of [0, -2e118, 1.5, -Infinity, NaN, '2']) expect(code({ ...full, version })).toBe('not-mivet');
    for (const format of ['constructor', '__proto__', { toString: 1, valueOf: 1 }])
      expect(code({ ...full, format })).toBe('not-mivet');
    const broken = checkDocument({
      ...full,
      blank: { ...full.blank, readings: { girthRim: { ...bare(200), takes: [{ typed: 'x', mm: -1 }] } } },
    });
    expect(broken).toMatchObject({
      ok: false,
      problem: { code: 'invalid', path: 'blank.readings.girthRim.takes.0.mm' },
    });
    if (!broken.ok) expect(describeReadProblem(broken.problem)).toMatch(/blank\.readings\.girthRim\.takes\.0\.mm/);
    for (const bad of [
      { boardId: '' },
      { films: [] },
      { seam: { ...PLAIN_SEAM, lapMm: NaN } },
      { items: [{ ...full.items[0], text: 'x'.repeat(2001) }] },
      { items: [{ ...full.items[1], motif: '../../etc' }] },
    ])
      expect(code({ ...full, ...bad })).toBe('invalid');
  });

  it.each([
    [
      'items.0.acts.fillHoles',
      { items: [{ ...full.items[0], acts: { ...full.items[0]!.acts, fillHoles: 3 } }] },
      'it is missing, or of another kind than it has to be',
    ],
    ['items.0.text', { items: [{ ...full.items[0], text: 'x'.repeat(2001) }] }, 'it is longer than 2000 characters'],
    ['films', { films: [] }, 'fewer than 1 are listed there'],
    ['boardId', { boardId: '' }, 'it is empty or too short'],
    ['seam.lapMm', { seam: { ...PLAIN_SEAM, lapMm: -1 } }, 'it is less than 0'],
    ['hand', { hand: 'both' }, 'it is none of what may stand there'],
  ])('are refused in words of our own: %s', (path, bad, message) => {
    const read = checkDocument({ ...full, ...bad });
    expect(read).toMatchObject({ ok: false, problem: { code: 'invalid', path, message } });
  });

  it('of any shape are refused without throwing', () => {
    fc.assert(
      fc.property(fc.anything(), (raw) => {
        expect(['not-mivet', 'invalid', 'newer']).toContain(code(raw));
      }),
    );
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(full)), fc.jsonValue(), (key, value) => {
        expect(['fine', 'invalid', 'not-mivet', 'newer']).toContain(code({ ...full, [key]: value }));
      }),
    );
  });

  it('have their JSON Schema published as it is', () => {
    for (const [name, schema] of [
      ['project', projectSchema],
      ['blank', shelfBlankSchema],
      ['backup', backupSchema],
      ['font', ownFontSchema],
      ['motif', ownMotifSchema],
    ] as const) {
      const published = JSON.parse(
        readFileSync(new URL(`../../../docs/format/${name}.schema.json`, import.meta.url), 'utf8'),
      );
      expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(schema))));
    }
  });
});

describe('applyCommand', () => {
  const base = projectOf(makeJob(tumbler(), [textItem('COX'), wave(9)]));

  it('moves an item the way it is counted', () => {
    const down = applyCommand(base, { do: 'move-item', itemId: 'wave-1', downMm: 3 });
    expect(down.items[1]!.placement.mm).toBe(12 - 3);
    expect(moveItem(textItem('COX'), 0, 3, base).placement.mm).toBe(3);
  });

  it('turns from where an item faces and stays within half a turn', () => {
    const item = textItem('COX', { placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 0, turnDeg: 0 } });
    expect(moveItem(item, 100, 0, { hand: 'right' }).placement).toMatchObject({ facing: 'angle', angleDeg: -170 });
    expect(moveItem(item, 100, 0, { hand: 'left' }).placement.angleDeg).toBe(10);
    expect(moveItem(item, 0, 5, { hand: 'left' }).placement.facing).toBe('drinker');
  });

  it('scales text with its gaps and motifs with their stretch', () => {
    expect(scaleItem(textItem('COX', { letterGapMm: 2, gapsAtMm: null }), 0.5)).toMatchObject({
      size: { mm: 9 },
      letterGapMm: 1,
    });
    expect(scaleItem(wave(9), 0.5)).toMatchObject({ heightMm: 20, widthMm: 15 });
  });

  it('leaves the project as it is when there is nothing to do it to', () => {
    expect(applyCommand(base, { do: 'replace-reading', reading: 'acrossRim', mm: 88 })).toBe(base);
    expect(applyCommand(base, { do: 'lap-seam', mm: 2 }).seam.lapMm).toBe(2);
  });
});
