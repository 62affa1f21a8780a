import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import process from 'node:process';
import { fileURLToPath } from 'node:url';
import { PDFDocument } from '@cantoo/pdf-lib';
import { describe, expect, it } from 'vitest';
import { emptyBackup, type LogbookEntry, newProject, newShelfBlank, type Blank, type Project } from '@mivet/core';
import { blankEntry } from '@mivet/core/tables';
import { makeBlank, makeProfile, textItem, tumbler, wave } from '../../core/test/jobs.ts';
import { run } from './run.ts';

const folder = mkdtempSync(join(tmpdir(), 'mivet-cli-'));
let files = 0;

function save(content: unknown): string {
  const path = join(folder, `in-${files++}.json`);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

async function mivet(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let out = '';
  let err = '';
  const code = await run(args, { out: (t) => (out += t), err: (t) => (err += t) });
  return { code, out, err };
}

const project = (items: Project['items'] = [wave(9)]): Project => ({
  ...newProject('p1', 'Test tumbler', tumbler(), null, '2026-01-01T10:00:00'),
  items,
});

const LOW = { facing: 'front' as const, angleDeg: 0, from: 'base' as const, mm: 30, turnDeg: 0 };

describe('the command line', () => {
  it('knows its own commands only', async () => {
    for (const name of ['constructor', '__proto__', 'toString', 'dance'])
      expect(await mivet(name)).toMatchObject({
        code: 2,
        err: expect.stringContaining(`there is no command “${name}”`),
      });
  });

  it('gives up in words what takes longer than it may', () => {
    const main = fileURLToPath(new URL('./main.ts', import.meta.url));
    const env = { ...process.env, MIVET_LIMIT_S: '0.01' };
    const done = spawnSync(process.execPath, ['--import', 'tsx', main, 'check', save(project())], { env, encoding: 'utf8' }); // prettier-ignore
    expect([done.status, done.stdout]).toEqual([2, '']);
    expect(done.stderr).toMatch(/longer than 0\.01 s .* MIVET_LIMIT_S/);
  });
});

describe('units and paper', () => {
  it('are those that are asked for, in words and prints, and nothing else is taken', async () => {
    const path = save(project());
    const to = join(folder, 'in-inches');
    expect((await mivet('make', path, '--out', to, '--units', 'in', '--paper', 'letter')).err).not.toMatch(
      /needs|takes/,
    );
    const guide = readFileSync(join(to, 'guide-1.svg'), 'utf8');
    const words = [...guide.matchAll(/<text[^>]*>([^<]*)/g)].map(([, text]) => text!);
    expect(words.length).toBeGreaterThan(0);
    for (const text of words) expect(text).toMatch(/ from [\d /]+ to [\d /]+ in, [\d /]+ in across/);
    // A sheet of Letter is 612 × 792 points.
    const [sheet] = (await PDFDocument.load(readFileSync(join(to, 'template.pdf')))).getPages();
    expect(Object.values(sheet!.getSize()).map(Math.round).sort()).toEqual([612, 792]);
    expect(await mivet('make', path, '--out', join(folder, 'x'), '--units', 'ell')).toMatchObject({ code: 2, err: 'mivet make: --units takes mm, in or in-decimal, not “ell”.\n' }); // prettier-ignore
    expect(await mivet('make', path, '--out', join(folder, 'x'), '--paper', 'a3')).toMatchObject({ code: 2, err: 'mivet make: --paper takes a4 or letter, not “a3”.\n' }); // prettier-ignore
    const told = JSON.parse((await mivet('proof', path, '--units', 'in')).out) as { findings: { words: unknown }[] };
    expect(JSON.stringify(told.findings.map(({ words }) => words))).not.toMatch(/\d [mc]m/);
  });
});

describe('mivet bench', () => {
  it('tells the steps in order, each with what it waits for and counts with', async () => {
    const { code, out } = await mivet('bench', save(project([wave(9), textItem('COX', { film: 'ensign' })])));
    const { steps } = JSON.parse(out) as { steps: { id: string; kind: string; after: string[]; title: string; text: string; about: { film: string | null }; numbers: Record<string, number>; cautions: string[]; why: string | null }[] }; // prettier-ignore
    expect(code).toBe(0);
    expect(steps.map(({ kind }) => kind)).toEqual(['lay-out', 'place-film', 'test-cut', 'unload', 'trim', 'weed', 'weed', 'tape', 'stack', 'tape', 'clean', 'mark', 'aim', 'lay', 'seam', 'tape-off', 'cure', 'wrap-up']); // prettier-ignore
    steps.forEach(({ after }, i) => after.forEach((id) => expect(steps.slice(0, i).map((one) => one.id)).toContain(id))); // prettier-ignore
    // C, O and X with the counter of the O; film of two strips, told by its id.
    expect(steps.find(({ id }) => id === 'weed:ensign')).toMatchObject({ about: { film: 'ensign' }, numbers: { pieces: 3, counters: 1 }, cautions: [] }); // prettier-ignore
    expect(steps.find(({ kind }) => kind === 'place-film')!.numbers).toMatchObject({ count: 2, handsMinutes: 4 });
    expect(steps.find(({ kind }) => kind === 'cure')!.numbers['waitMinutes']).toBe(2880);
    const inches = await mivet('bench', save(project()), '--units', 'in');
    expect(inches.out).not.toMatch(/\d mm/);
    expect((await mivet('bench')).code).toBe(2);
  });
});

describe('mivet plan', () => {
  const handOver = { day: '2026-12-10', time: '12:00', whatFor: 'market', number: '', note: '', price: null } as const;
  const backup = (at: Project['handOver']) => save({ ...emptyBackup('2026-12-01T09:00:00.000Z'), projects: [{ ...project(), handOver: at }] }); // prettier-ignore
  type Lines = { tasks: { project: string; step: string; start: string; end: string; kind: string; slackMinutes: number }[]; late: { project: string; byMinutes: number; choices: { id: string }[] }[] }; // prettier-ignore

  it('tells what is done when, hung from the hand-over, and writes a calendar', async () => {
    const ics = join(folder, 'plan.ics');
    const { code, out } = await mivet('plan', backup(handOver), '--from', '2026-12-01T09:00', '--ics', ics);
    const { tasks, late } = JSON.parse(out) as Lines;
    expect({ code, late }).toEqual({ code: 0, late: [] });
    // It has cured for two days when it is handed over, and hands are at it before that, one thing at a time.
    const cure = tasks.find(({ step }) => step === 'cure')!;
    expect(cure).toMatchObject({
      project: 'Test tumbler',
      kind: 'wait',
      end: new Date('2026-12-10T12:00').toISOString(),
    });
    expect(Date.parse(cure.end) - Date.parse(cure.start)).toBe(48 * 3_600_000);
    const hands = tasks.filter(({ kind }) => kind === 'hands').sort((a, b) => a.start.localeCompare(b.start));
    hands.slice(1).forEach(({ start }, i) => expect(start >= hands[i]!.end).toBe(true));
    expect(readFileSync(ics, 'utf8').match(/BEGIN:VEVENT/g)!.length).toBeGreaterThanOrEqual(hands.length);
  });

  it('says by how much it is late and what could be done, and takes nothing that is no time', async () => {
    const { code, out } = await mivet('plan', backup({ ...handOver, day: '2026-12-02' }), '--from', '2026-12-01T09:00');
    const { late } = JSON.parse(out) as Lines;
    expect(code).toBe(1);
    expect(late[0]!.byMinutes).toBeGreaterThan(24 * 60);
    expect(late[0]!.choices.map(({ id }) => id)).toContain('before-cure');
    expect((await mivet('plan', backup(handOver), '--from', 'soon')).code).toBe(2);
    expect((await mivet('plan', save('no'))).code).toBe(2);
    expect(JSON.parse((await mivet('plan', backup(null))).out)).toEqual({ tasks: [], late: [] });
  });
});

describe('mivet learn', () => {
  it('tells what the logbook teaches, with how many entries it stands on, its range and where it is used', async () => {
    const entry = (minutes: number): LogbookEntry => ({ ...blankEntry(`e${minutes}`, '2026-05-01T10:00:00.000Z'), title: 'Mug', work: [{ kind: 'weed', minutes, pieces: 20, cutM: 3, things: 1 }] }); // prettier-ignore
    const path = save({ ...emptyBackup('2026-12-01T09:00:00.000Z'), entries: [12, 13, 14, 15].map(entry) });
    const { code, out } = await mivet('learn', path);
    const { learnt } = JSON.parse(out) as { learnt: { key: string; n: number; value: number; low: number; high: number; unit: string; usedAt: string }[] }; // prettier-ignore
    expect(code).toBe(0);
    const piece = learnt.find(({ key }) => key === 'pace:weed:piece')!;
    // The start is a quarter of a minute; 20 pieces in 14 minutes are slower than that.
    expect(piece).toMatchObject({ n: 4, unit: 'min each' });
    expect(piece.value).toBeGreaterThan(0.25);
    expect(piece.low).toBeLessThan(piece.value);
    expect(piece.high).toBeGreaterThan(piece.value);
    expect(piece.usedAt).toContain('Bench');
    expect((await mivet('learn', save('{}'))).code).toBe(2);
  });
});

describe('mivet flatten', () => {
  it('agrees with the closed-form sector for every taper from 0 to 40° both ways', async () => {
    for (const degrees of [0, 0.01, 0.5, 3, 12, 27.5, 40])
      for (const sign of [1, -1]) {
        const side = 120;
        const drop = 2 * Math.PI * side * Math.sin((degrees * Math.PI) / 180);
        const girths = sign > 0 ? { girthRim: 200 + drop, girthBase: 200 } : { girthRim: 200, girthBase: 200 + drop };
        const blank = makeBlank({ ...girths, side });
        const { code, out } = await mivet('flatten', save(newShelfBlank(blank, '')));
        expect(code).toBe(0);
        const flat = JSON.parse(out);
        const k = (girths.girthRim - girths.girthBase) / (2 * Math.PI * side);
        const angle = 2 * Math.PI * Math.abs(k);
        expect(Math.abs(flat.sectorAngle - angle)).toBeLessThan(1e-9);
        // Corner of the rim by the sector: apex radius C/angle at half the angle off the middle.
        const corner = k === 0 ? { x: 100, y: 0 } : sectorCorner(girths.girthRim, k);
        expect(Math.hypot(flat.corners.rimRight.x - corner.x, flat.corners.rimRight.y - corner.y)).toBeLessThan(1e-6);
        const widest = angle > Math.PI ? Math.max(girths.girthRim, girths.girthBase) / angle : null;
        if (widest !== null) expect(Math.abs(flat.bounds.maxX - widest)).toBeLessThan(1e-6);
        expect(Math.abs(flat.rimLength - girths.girthRim)).toBeLessThan(1e-9);
      }
  });

  it('takes every kind of blank, with the strain that remains', async () => {
    const flat = async (blank: Blank) => JSON.parse((await mivet('flatten', save(newShelfBlank(blank, '')))).out);
    const lid = await flat(makeBlank({ across: 88, hole: 9, holeIn: 12 }, { kind: 'lid' }));
    expect(lid).toMatchObject({ width: 88, height: 88, way: 'exact', strain: { hoop: 0, load: 0 } });
    expect(lid.holes[0].segments[0].radius).toBe(4.5);
    expect(await flat(makeBlank({ width: 120, height: 70 }, { kind: 'flat' }))).toMatchObject({
      width: 120,
      height: 70,
    });
    // 2√(6 · 2 %) · R of the widest disk on a ball of 100 mm.
    const ball = await flat(makeBlank({ across: 100 }, { kind: 'ball' }));
    expect(ball.widestFlat.disk).toBeCloseTo(2 * Math.sqrt(0.12) * 50, 6);
    expect(ball.width).toBe(34);
    const balloon = await flat(makeBlank({ girth: 880, overCrown: 440 }, { kind: 'balloon', balloon: { gas: 'air', hours: 0, shrinkPerDay: 2 } })); // prettier-ignore
    expect(balloon.widestFlat.strip).toBeCloseTo((Math.sqrt(8 * 0.02) * 440) / Math.PI, 4);
    const bowl = makeProfile([[0, 300], [30, 320], [60, 300]]); // prettier-ignore
    expect(await flat(bowl)).toMatchObject({ way: 'band', endBandAt: { end: expect.any(String) } });
    const gores = await flat({ ...bowl, flattening: { ...bowl.flattening, way: 'gores', parts: 8 } });
    expect(gores.panels).toHaveLength(8);
    // Widest at the middle, 320/8 wide.
    expect(gores.panels[0].bounds.maxX - gores.panels[0].bounds.minX).toBeCloseTo(40, 1);
  });

  it('says in one line what is missing or wrong', async () => {
    const missing = await mivet('flatten', save(newShelfBlank(makeBlank({ girthRim: 200 }), '')));
    expect(missing).toMatchObject({ code: 2, out: '' });
    expect(missing.err).toBe('mivet flatten: Still to read: down the side of the band.\n');
    expect((await mivet('flatten', join(folder, 'nowhere.json'))).code).toBe(2);
    expect((await mivet('flatten', save('{'))).err).toMatch(/not JSON/);
    expect((await mivet('flatten')).code).toBe(2);
    expect((await mivet('unroll')).err).toMatch(/no command “unroll”/);
  });
});

function sectorCorner(girth: number, k: number): { x: number; y: number } {
  const apex = girth / (2 * Math.PI * k);
  return { x: apex * Math.sin(Math.PI * k), y: -apex * (1 - Math.cos(Math.PI * k)) };
}

describe('mivet proof', () => {
  it('exits 1 on a finding that will fail and 0 once it is gone', async () => {
    const over = textItem('COX', { placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: -4, turnDeg: 0 } });
    const bad = await mivet('proof', save(project([over])));
    expect(bad.code).toBe(1);
    const codes = JSON.parse(bad.out).findings.map(
      (f: { code: string; severity: string }) => `${f.code} ${f.severity}`,
    );
    expect(codes).toContain('rim-zone fails');
    expect((await mivet('proof', save(project([textItem('COX')])))).code).toBe(0);
  });
});

describe('mivet make', () => {
  it('writes all files of the job once and never over an existing one', async () => {
    const input = save(
      project([
        wave(9),
        textItem('COX', {
          film: 'ensign',
          placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 40, turnDeg: 0 },
        }),
      ]),
    );
    const out = join(folder, 'job');
    const first = await mivet('make', input, '--out', out);
    expect(first.code).toBe(0);
    for (const name of [
      'load-1.svg',
      'load-1.dxf',
      'load-1.hpgl',
      'template.svg',
      'template.pdf',
      'bench.pdf',
      'guide-1.svg',
      'report.json',
    ])
      expect(existsSync(join(out, name)), name).toBe(true);
    expect(readFileSync(join(out, 'template.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
    const before = readFileSync(join(out, 'report.json'), 'utf8');
    const again = await mivet('make', input, '--out', out);
    expect(again.code).toBe(2);
    expect(again.err).toMatch(/exists already/);
    expect(readFileSync(join(out, 'report.json'), 'utf8')).toBe(before);
  });
});

describe('mivet make --together', () => {
  const named = (id: string, name: string, ...items: Project['items']): Project => ({ ...project(items), id, name });

  it('cuts several projects on common boards, and reports loads, strips and whose every part is', async () => {
    const [cups, lids] = [
      named('a', 'Cups', textItem('COX', { film: 'ensign' })),
      named(
        'b',
        'Lids',
        textItem('BOW', { film: 'ensign' }),
        textItem('TWO', { id: 'two', film: 'reed', placement: LOW }),
      ),
    ];
    const out = join(folder, 'set');
    const { code, err } = await mivet('make', save(cups), save(lids), '--together', '--out', out);
    expect([code, err]).toEqual([0, '']);
    const report = JSON.parse(readFileSync(join(out, 'report.json'), 'utf8')) as {
      loads: { load: number; strips: { film: string; from: number; to: number; parts: { project: string }[] }[] }[];
      projects: { project: string; pieces: number; films: { film: string; areaMm2: number }[] }[];
    };
    expect(
      report.loads.map(({ strips }) => strips.map(({ film, parts }) => [film, parts.map((p) => p.project).sort()])),
    ).toEqual([
      [
        ['Ensign', ['Cups', 'Lids']],
        ['Reed', ['Lids']],
      ],
    ]);
    const [one, other] = report.loads[0]!.strips;
    expect(other!.from).toBe(one!.to + 6);
    expect(report.projects.map(({ project: of, pieces }) => [of, pieces])).toEqual([
      ['Cups', 3],
      ['Lids', 6],
    ]);
    // One file for the one trip, in the board's frame, nine letters of two films.
    const svg = readFileSync(join(out, 'load-1.svg'), 'utf8');
    expect(svg.match(/<path /g)).toHaveLength(9);
    expect([...svg.matchAll(/<g id="(film-[^"]+)"/g)].map(([, id]) => id)).toEqual(['film-ensign', 'film-reed']);
    for (const name of ['cups/template.pdf', 'lids/bench.pdf', 'guide-1.svg', 'load-1.dxf', 'load-1.hpgl'])
      expect(existsSync(join(out, name)), name).toBe(true);
  });

  it('says what is wrong with what it is given, and writes nothing then', async () => {
    const one = save(named('a', 'Cups', wave(9)));
    const out = join(folder, 'none');
    expect((await mivet('make', one, one, '--together', '--out', out)).err).toMatch(/named twice/);
    expect((await mivet('make', one, save(named('b', 'Lids')), '--out', out)).err).toMatch(/--together/);
    const bare = named('c', 'Unread');
    const unread = save({ ...bare, blank: { ...bare.blank, readings: {} } });
    expect(await mivet('make', one, unread, '--together', '--out', out)).toMatchObject({ code: 2, err: expect.stringContaining('Unread: ') }); // prettier-ignore
    expect(existsSync(out)).toBe(false);
  });
});

describe('mivet check', () => {
  it('names the path of what is wrong', async () => {
    const good = project();
    expect((await mivet('check', save(good))).out).toMatch(/fine, a project “Test tumbler” with 1 items/);
    const bad = await mivet('check', save({ ...good, items: [{ ...good.items[0], widthMm: -1 }] }));
    expect(bad.code).toBe(2);
    expect(bad.err).toMatch(/items\.0\.widthMm/);
    expect((await mivet('check', save({ ...good, version: 99 }))).err).toMatch(/newer Mivet/);
  });
});
