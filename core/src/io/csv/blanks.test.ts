import type { Units } from '../../measure/length.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeBlank, makeProfile, mug, tumbler } from '../../../test/jobs.ts';
import { sizeBlank } from '../../measure/measured.ts';
import { newShelfBlank } from '../../document/new-project.ts';
import { shelfBlankSchema } from '../../document/schema.ts';
import { readBlanksCsv, writeBlanksCsv } from './blanks.ts';

const now = '2026-05-04T10:00:00.000Z';
const ids = () => {
  let n = 0;
  return () => `id-${(n += 1)}`;
};
const read = (text: string, unit: Units = 'mm') => readBlanksCsv(text, unit, ids(), now);

describe('the shelf as a table', () => {
  it('comes back as it went, with sizes to a ten-thousandth of a millimetre', () => {
    const shelf = [
      {
        ...newShelfBlank(tumbler({ name: 'Steel, tall', notes: 'He said "wide end up",\nthen left.' }), now),
        price: 6.5,
      },
      newShelfBlank(mug({ name: 'Crew mug' }), now),
      newShelfBlank(makeBlank({ girthRim: 276.22512, girthBase: 214, upright: 150 }, { name: 'By height' }), now),
    ];
    const back = read(writeBlanksCsv(shelf));
    expect(back.leftOut).toEqual([]);
    expect(back.shelf).toHaveLength(3);
    back.shelf.forEach((entry, i) => {
      const was = shelf[i]!;
      expect(shelfBlankSchema.safeParse(entry).success).toBe(true);
      expect(entry.price).toBe(was.price);
      for (const key of ['name', 'kind', 'surface', 'colour', 'handleWidthMm', 'bandBelowRimMm', 'notes'] as const)
        expect(entry.blank[key], key).toEqual(key === 'colour' ? was.blank[key] : was.blank[key]);
      for (const name of ['girthRim', 'girthBase', 'side', 'upright'] as const)
        expect(entry.blank.readings[name]?.takes.map((t) => t.mm)).toEqual(
          was.blank.readings[name]?.takes.map((t) => expect.closeTo(t.mm, 4) as number),
        );
    });
  });

  it('keeps where film goes, and where its girths were read', () => {
    const ways = [null, { read: 'inside', wallMm: 0 }, { read: 'outside', wallMm: 2.5 }] as const;
    const shelf = ways.map((inside, i) => newShelfBlank(tumbler({ name: `Glass ${i}`, inside }), now));
    expect(read(writeBlanksCsv(shelf)).shelf.map(({ blank }) => blank.inside)).toEqual(ways);
    expect(read('name,rim girth,side,film on\nA,250,90,Both\n').leftOut[0]!.why).toContain('none of outside; inside');
  });

  it('holds every kind, heights and all', () => {
    const bowl = makeProfile([[0, 300], [35, 322.5], [70, 296]], { name: 'Bowl', stationsAlong: 'upright' }); // prettier-ignore
    const start = { ...bowl.stations[0]!, down: { ...bowl.stations[0]!.down, takes: [] } };
    const kinds = [
      { ...bowl, stations: [start, ...bowl.stations.slice(1)] },
      makeBlank({ girth: 252 }, { kind: 'ball', name: 'Ball' }),
      makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', name: 'Balloon', surface: 'latex' }),
      makeBlank({ across: 88, hole: 9, holeIn: 12 }, { kind: 'lid', name: 'Lid' }),
      makeBlank({ width: 160, height: 90 }, { kind: 'flat', name: 'Box' }),
    ];
    const back = read(writeBlanksCsv(kinds.map((blank) => newShelfBlank(blank, now))));
    expect(back.leftOut).toEqual([]);
    back.shelf.forEach(({ blank }, i) => {
      const [was, is] = [sizeBlank(kinds[i]!), sizeBlank(blank)];
      expect(blank.kind).toBe(kinds[i]!.kind);
      expect(is.ok && was.ok && is.size).toEqual(was.ok && was.size);
    });
    expect(read('name,kind,heights and girths\nPot,profile,0 300\n').leftOut[0]!.why).toContain('“height: girth”');
    expect(read('name,kind,girth\nA,ball,25 cm\n').shelf).toHaveLength(1);
  });

  it('takes lengths as people type them, several goes, and columns in any order', () => {
    const { shelf, leftOut } = read(
      'Notes,Rim Girth,NAME,base girth,side,price,something\n,10 3/8 | 10.375 in,Tall one,"8 7/16""",168,"4,20",x\n',
    );
    expect(leftOut).toEqual([]);
    expect(shelf[0]!.blank).toMatchObject({ name: 'Tall one', kind: 'tapered' });
    expect(shelf[0]!.blank.readings.girthRim!.takes.map((t) => t.mm)).toEqual([263.525, 263.525]);
    expect(shelf[0]!.blank.readings.girthBase!.takes[0]!.mm).toBeCloseTo(214.3125, 6);
    expect(shelf[0]!.price).toBe(4.2);
    expect(read('name,rim girth,side\nMug,10,3 1/2\n', 'in').shelf[0]!.blank.readings.girthRim!.takes[0]!.mm).toBe(254);
  });

  it('leaves out a line that it cannot read, says why, and takes the rest', () => {
    const { shelf, leftOut } = read(
      [
        'name,kind,surface,colour,rim girth,side,price',
        'Good,straight,glass,#AABBCC,258,92,3',
        ',straight,glass,#AABBCC,258,92,3',
        'Odd,spherical,glass,,258,92,',
        'Wet,straight,water,,258,92,',
        'Pink,straight,glass,pink,258,92,',
        'Words,straight,glass,,long,92,',
        'Nought,straight,glass,,0,92,',
        'Dear,straight,glass,,258,92,much',
        'Also good,,,,25.8 cm,92,',
      ].join('\n'),
    );
    expect(shelf.map((entry) => entry.blank.name)).toEqual(['Good', 'Also good']);
    expect(leftOut.map((l) => l.line)).toEqual([3, 4, 5, 6, 7, 8, 9]);
    expect(leftOut.map((l) => l.why).join(' ')).toMatch(/no name.*spherical.*water.*pink.*long.*nothing.*much/);
  });

  it('takes tens of thousands of lines, and says what stands past them', () => {
    const table = (lines: number): string => `name,rim girth,side\n${'Cup,258,92\n'.repeat(lines)}`;
    expect(read(table(5200))).toMatchObject({ shelf: { length: 5200 }, leftOut: [] });
    const { shelf, leftOut } = read(table(50_003));
    expect(shelf).toHaveLength(50_000);
    expect(leftOut).toEqual([{ line: 50_002, why: expect.stringContaining('the last 3 were left out') }]);
  });

  it('says so when it is no such table, and survives anything', () => {
    expect(read('a,b\n1,2\n').leftOut[0]!.why).toContain('“name” and “rim girth”');
    expect(read('').shelf).toEqual([]);
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        const { shelf } = read(`name,rim girth\n${text}`);
        for (const entry of shelf) expect(shelfBlankSchema.safeParse(entry).success).toBe(true);
      }),
    );
  });

  it('lets no spreadsheet run what a name says', () => {
    const text = writeBlanksCsv([newShelfBlank(mug({ name: '=1+1', notes: '-x' }), now)]);
    expect(text).toContain("'=1+1");
    expect(read(text).shelf[0]!.blank).toMatchObject({ name: '=1+1', notes: '-x' });
  });
});
