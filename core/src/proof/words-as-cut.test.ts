import { describe, expect, it } from 'vitest';
import { contextOf, findingsOf, fixed, jobOf, projectOf } from '../../test/findings.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeBlank, makeJob, plate, textItem } from '../../test/jobs.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import type { TextItem } from '../model/item.ts';
import type { NameList, NameRow } from '../model/names.ts';
import type { Project } from '../model/project.ts';
import { type Examined, examineProject } from '../pipeline.ts';
import { describeFinding } from './words.ts';

const cup = makeBlank({ girthRim: 300, side: 120 });
const row = (name: string, more: Partial<NameRow> = {}): NameRow => ({ id: name, name, count: 1, hand: null, capMm: null, blankId: null, ...more }); // prettier-ignore
const list = (rows: NameRow[], more: Partial<NameList> = {}): NameList => ({ itemId: 'text-1', widthMm: 60, leastCapMm: 6, closeMm: 1, rows, ...more }); // prettier-ignore
function examined(project: Project): Extract<Examined, { ok: true }> {
  const result = examineProject(project, testFonts);
  if (!result.ok) throw new Error(result.problem.code);
  return result;
}

describe('a script', () => {
  const words = (text: string, more: Partial<TextItem> = {}): Project =>
    jobOf(cup, textItem(text, { font: 'script', size: { by: 'cap', mm: 20 }, ...more }));
  it('that falls apart is found, and its fix joins it whatever its size becomes', () => {
    const [finding] = findingsOf(words('Odessa'), 'script-apart');
    expect(finding).toMatchObject({ numbers: { parts: 2 } });
    expect(contextOf(words('Odessa')).wrap.pieces).toHaveLength(2);
    const after = fixed(words('Odessa'), finding!);
    const item = after.items[0] as TextItem;
    for (const mm of [20, 8, 55]) {
      const sized = { ...after, items: [{ ...item, size: { by: 'cap' as const, mm } }] };
      expect(contextOf(sized).wrap.pieces, `${mm} mm`).toHaveLength(1);
      expect(findingsOf(sized, 'script-apart')).toEqual([]);
    }
  });
  it('that holds together, two words of one, and letters that never join are not', () => {
    expect(findingsOf(words('bowman'), 'script-apart')).toEqual([]);
    expect(findingsOf(words('bow man'), 'script-apart')).toEqual([]);
    expect(findingsOf(words('Odessa', { font: 'condensed' }), 'script-apart')).toEqual([]);
  });
});

describe('a list as it is cut', () => {
  const item = textItem('ILL', { size: { by: 'cap', mm: 12 } });
  it('is judged by what each name leaves of what it is cut out of', () => {
    const heart = plate('heart', 70, 30, { film: 'deep-water', acts: { ...NO_ACTS, cutAway: ['text-1'] } });
    const out = { ...item, acts: { ...NO_ACTS, shapesOnly: true } };
    const cutOut = (...rows: NameRow[]): Project => ({ ...projectOf(makeJob(cup, [out, heart])), names: list(rows) });
    expect(findingsOf(cutOut(row('ILL')), 'loose-dot')).toEqual([]);
    // Inside a P of 5 mm there is an island of less than 2.5 mm; so are both of a B.
    const found = findingsOf(cutOut(row('ILL'), row('PIP', { capMm: 5 }), row('BILL', { capMm: 5 })), 'loose-dot');
    expect(found).toHaveLength(1);
    expect(describeFinding(found[0]!, 'mm').title).toMatch(/\(with PIP, and one more name\)$/);
    expect(found[0]!.numbers.count).toBe(2);
  });

  it('never closes letters that stand apart until they merge', () => {
    for (const widthMm of [30, 20, 12]) {
      const { batch } = examined({ ...projectOf(makeJob(cup, [item])), names: list([row('BISCUIT')], { widthMm, closeMm: 8 }) }); // prettier-ignore
      expect(batch[0]!.pieces, `${widthMm} mm`).toHaveLength(7);
    }
  });

  it('comes in a ring as well, fitted by the room left, each judged by itself', () => {
    const ring = { acrossMm: 40, tops: 'out' as const, times: 1, between: null };
    const round = textItem('COX', { size: { by: 'cap', mm: 6 }, ring });
    const lid = makeBlank({ across: 80 }, { kind: 'lid' });
    const long = 'WILLOWMERE AUTUMN REGATTA CLUB OF THE RIVER COX AND OARS';
    const project = { ...projectOf(makeJob(lid, [round])), names: list([row('IDA'), row('ROWAN'), row(long)], { leastCapMm: 5 }) }; // prettier-ignore
    const { batch } = examined(project);
    expect(batch.map((one) => one.row.name)).toEqual(['IDA', 'ROWAN', long]);
    expect(batch.map((one) => one.pieces.length).slice(0, 2)).toEqual([3, 5]);
    // 40 mm across is 125.7 mm round: what is longer at 5 mm says so.
    expect(findingsOf(project, 'names-overflow')).toMatchObject([{ case: 'too-long', severity: 'fails' }]);
    const short = { ...project, names: list([row('IDA'), row('ROWAN')], { leastCapMm: 5 }) };
    expect(findingsOf(short, 'names-overflow')).toMatchObject([{ severity: 'fine' }]);
  });
});

describe('a ball', () => {
  const ball = makeBlank({ girth: 250 }, { kind: 'ball' });
  const name = (w: number, h: number): Project => jobOf(ball, plate('name', w, h, { running: 'rigid' }));
  it('has a patch as large as what goes on it: only what cannot lie flat is found, and made smaller by one fix', () => {
    expect(findingsOf(name(52, 13), 'face-edge')).toEqual([]);
    expect(findingsOf(name(52, 13), 'wrinkle').filter((f) => f.severity === 'fails')).toEqual([]);
    const large = name(90, 60);
    const found = examined(large).findings.filter(({ finding }) => finding.severity === 'fails');
    expect(found.map(({ finding }) => finding.code)).toEqual(['wrinkle']);
    const scale = found[0]!.finding.fixes.findIndex((fix) => fix.do === 'scale-item');
    expect(findingsOf(fixed(large, found[0]!.finding, scale), 'wrinkle').filter((f) => f.severity === 'fails')).toEqual([]); // prettier-ignore
  });
});
