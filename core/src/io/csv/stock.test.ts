import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCutter, makeOffcut, makeStockFilm } from '../../../test/stock.ts';
import { STARTING_FILMS } from '../../material/film.ts';
import { stockDocument } from '../../document/new-project.ts';
import { checkDocument } from '../../document/read.ts';
import type { StockThing } from '../../model/stock.ts';
import { isStockCsv, readStockCsv, writeStockCsv } from './stock.ts';

let ids = 0;
const read = (text: string): ReturnType<typeof readStockCsv> =>
  readStockCsv(text, 'mm', () => `id-${ids++}`, STARTING_FILMS);
const tape: StockThing = { kind: 'tape', id: 'tape', name: 'Clear', tack: 'clear strong', widthMm: 300, lengthMm: 0, boughtLengthMm: 10_000, price: 18.5, uses: 3, lowAt: 1000, notes: '=1+1, “quoted”' }; // prettier-ignore
const things: StockThing[] = [
  makeStockFilm(),
  makeStockFilm({ id: 's', form: 'sheet', widthMm: 304.8, lengthMm: 304.8, boughtLengthMm: 304.8, count: 0, price: null, boughtOn: null, coverSheet: true, directional: true, lowAt: 2 }), // prettier-ignore
  makeOffcut({ outline: [0, 0, 100, 0, 50, 80.5], worth: null }),
  tape,
];
const withoutId = (thing: StockThing): object => ({ ...thing, id: '' });

describe('stock as a table', () => {
  it('comes back as it was', () => {
    const text = writeStockCsv([...things, makeCutter()]);
    expect(isStockCsv(text)).toBe(true);
    const back = read(text);
    expect(back.leftOut).toEqual([]);
    expect(back.things.map(withoutId)).toEqual(things.map(withoutId));
    // Nothing runs as a formula in a spreadsheet.
    expect(text).toContain("'=1+1");
  });

  it('takes what a person types, and a film that is named again is the same film', () => {
    const { things: made, leftOut } = read(
      'what;name;width;length;count;finish\nroll;Lichen;12 in;5 m;1;\nsheet;lichen;305;305;4;glitter\nroll;Chalk;300;2000;1;\n',
    );
    expect(leftOut).toEqual([]);
    expect(made).toMatchObject([
      {
        form: 'roll',
        widthMm: expect.closeTo(304.8, 9),
        lengthMm: 5000,
        film: { name: 'Lichen', finish: 'gloss permanent' },
      },
      { form: 'sheet', count: 4 },
      { film: { id: 'chalk' } },
    ]);
    expect((made[1] as { film: unknown }).film).toBe((made[0] as { film: unknown }).film);
  });

  it('leaves out a line that it cannot read, and says why', () => {
    const why = (line: string): string => read(`what,name,width,length,price,bought on\n${line}\n`).leftOut[0]!.why;
    expect(why('roll,,300,5000,,')).toBe('It has no name.');
    expect(why('box,Lichen,300,5000,,')).toContain('“box” is nothing');
    expect(why('roll,Lichen,wide,5000,,')).toContain('width:');
    expect(why('sheet,Lichen,300,0,,')).toBe('It has no size.');
    expect(why('roll,Lichen,300,5000,much,')).toContain('“much” is no number');
    expect(why('roll,Lichen,300,5000,3,March')).toContain('2026-03-28');
    expect(read('name,rim girth\na,3\n').leftOut).toHaveLength(1);
  });

  it('gives nothing but what fits the format, whatever the table', () => {
    const cell = fc.oneof(fc.constantFrom('roll', 'sheet', 'offcut', 'tape', '3 in', '-4', '1e9', '2026-13-40', ''), fc.string()); // prettier-ignore
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 6, maxLength: 8 }), { maxLength: 6 }), (rows) => {
        const quoted = rows.map((row) => row.map((c) => `"${c.replace(/"/g, '""')}"`).join(','));
        const { things: made } = read(['what,name,width,length,count,price,low at,outline', ...quoted].join('\n'));
        for (const thing of made) expect(checkDocument(stockDocument(thing, ''))).toMatchObject({ ok: true });
      }),
    );
  });
});
