import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { LogbookEntry } from '../../model/entry.ts';
import { blankEntry, isLogbookCsv, readEntriesCsv, writeEntriesCsv } from './entries.ts';

const NOW = '2026-11-28T10:00:00.000Z';
const full: LogbookEntry = {
  ...blankEntry('e1', '2026-05-03T18:20:00.000Z'),
  title: '=Crew mug, “Ida”',
  count: 8,
  spoilt: 1,
  work: [{ kind: 'weed', minutes: 20.4, pieces: 30, cutM: 4, things: 8 }],
  faults: [{ kind: 'bubble', round: 0.25, down: 0.5, film: 'Ensign' }],
  outcome: 'sold',
  price: 96.5,
  text: 'A line;\nanother, with "quotes"',
  reports: [{ id: 'r', day: '2026-08-01', after: 'washes', count: 10, held: true, text: '' }],
  askOn: '2026-08-01',
};
let ids = 0;
const read = (text: string) => readEntriesCsv(text, () => `new-${++ids}`, NOW);

describe('the logbook as a table', () => {
  it('comes back as it was', () => {
    const text = writeEntriesCsv([full, { ...full, id: 'e2', title: 'Pot' }]);
    expect(isLogbookCsv(text)).toBe(true);
    expect(read(text)).toEqual({ entries: [full, { ...full, id: 'e2', title: 'Pot' }], leftOut: [] });
    // What a spreadsheet would take for a formula is none.
    expect(Papa.parse<string[]>(text).data[1]![1]).toBe("'=Crew mug, “Ida”");
  });

  it('takes what was changed in a spreadsheet, and rows that are new', () => {
    const [header, row] = Papa.parse<string[]>(writeEntriesCsv([full])).data;
    const changed = row!.map((value, i) => ({ outcome: 'kept', price: '', title: 'Mugs' })[header![i]!] ?? value);
    const { entries } = read(Papa.unparse([header!, changed, ['2026-06-01', 'Lids', 'Bow-seat lid', '14', '', '', '', 'GIVEN', '', '3,20', '', '']])); // prettier-ignore
    expect(entries[0]).toEqual({ ...full, title: 'Mugs', outcome: 'kept', price: null });
    expect(entries[1]).toMatchObject({ id: `new-${ids}`, at: '2026-06-01', title: 'Lids', count: 14, spoilt: 0, outcome: 'given', cost: 3.2, blank: { name: 'Bow-seat lid' } }); // prettier-ignore
  });

  it('leaves out what it cannot read, line by line, in words', () => {
    const { entries, leftOut } = read('finished,title,count\nsoon,Mug,1\n2026-06-01,Lids,many\n2026-06-01,Pot,2\n');
    expect(entries.map(({ title }) => title)).toEqual(['Pot']);
    expect(leftOut.map(({ line }) => line)).toEqual([2, 3]);
    expect(leftOut[0]!.why).toBe('“soon” is no date like 2026-11-27.');
    expect(read('a,b\n1,2').leftOut[0]!.why).toContain('“finished”');
  });
});
