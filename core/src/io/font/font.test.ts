import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fontFile, testFonts } from '../../../test/fonts.ts';
import { makeJob, textItem, tumbler } from '../../../test/jobs.ts';
import { projectOf } from '../../../test/findings.ts';
import { faceOf, FONT_CHOICES } from '../../artwork/font.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import { examineProject } from '../../pipeline.ts';
import { deriveWrap } from '../../pieces/wrap.ts';
import { fontFileProblem, unpackedFont } from './container.ts';
import { FontProblem, readFont } from './read.ts';
import { fontSample } from './sample.ts';

const slabFile = fontFile('zilla-slab/files/zilla-slab-latin-600-normal.woff');

describe('a font of one’s own', () => {
  it.each(FONT_CHOICES)('is found joined or not by its outlines: $label', ({ id, joined }) => {
    expect(testFonts[id].joined).toBe(joined);
  });

  it('is shown with its name, a few words and what it lacks', () => {
    const shown = fontSample(slabFile);
    expect(shown).toMatchObject({ name: expect.stringContaining('Zilla'), joined: false, lacks: [] });
    // Capitals were asked for at 10 mm; round letters pass them a little.
    expect(shown.box.maxY).toBeGreaterThan(9.9);
    expect(shown.box.maxY).toBeLessThan(11.5);
  });

  it('cuts exactly what a shipped font with the same outlines cuts', () => {
    const item = textItem('Marlow', { font: 'own-1' });
    const own = { ...testFonts, 'own-1': readFont([slabFile]) };
    const cut = (font: string, fonts = own) => {
      const derived = deriveWrap(makeJob(tumbler(), [{ ...item, font }]), fonts);
      return derived.ok ? derived.wrap.pieces.map((p) => p.areaMm2) : [];
    };
    expect(cut('own-1')).toEqual(cut('slab'));
    expect(cut('own-1').length).toBe(6);
  });

  it('is said to be missing where it is not kept, and a fix sets the words in another', () => {
    const project = projectOf(makeJob(tumbler(), [textItem('Marlow', { font: 'own-gone' })]));
    expect(faceOf(testFonts, 'own-gone')).toEqual({ face: testFonts.condensed, there: false });
    // What a plain object inherits is no font.
    expect(faceOf(testFonts, 'constructor').there).toBe(false);
    const found = (p: typeof project) => {
      const examined = examineProject(p, testFonts);
      return examined.ok ? examined.findings.filter((f) => f.finding.code === 'font-missing') : [];
    };
    const [missing] = found(project);
    expect(missing?.finding.severity).toBe('fails');
    expect(found(applyCommand(project, missing!.finding.fixes[1]!))).toEqual([]);
  });

  it('is taken out of its packing table by table, as another unpacker does', () => {
    const packed = new DataView(slabFile.buffer, slabFile.byteOffset, slabFile.byteLength);
    const plain = unpackedFont(slabFile);
    const view = new DataView(plain.buffer);
    const count = packed.getUint16(12);
    expect([view.getUint32(0), view.getUint16(4)]).toEqual([packed.getUint32(4), count]);
    for (let i = 0; i < count; i++) {
      const [at, to] = [44 + 20 * i, 12 + 16 * i];
      const raw = slabFile.subarray(packed.getUint32(at + 4), packed.getUint32(at + 4) + packed.getUint32(at + 8));
      const whole = raw.length < packed.getUint32(at + 12) ? inflateSync(raw) : raw;
      const [start, length] = [view.getUint32(to + 8), view.getUint32(to + 12)];
      expect([view.getUint32(to), length, start % 4]).toEqual([packed.getUint32(at), packed.getUint32(at + 12), 0]);
      expect(Buffer.from(plain.subarray(start, start + length)).equals(whole)).toBe(true);
    }
    expect(unpackedFont(plain)).toBe(plain);
  });

  it('whose packing is damaged is refused, and not unpacked for ever', () => {
    const found = new Uint8Array(readFileSync(new URL('../../../test/fixtures/fuzz/unpacks-for-ever.woff', import.meta.url))); // prettier-ignore
    expect(fontFileProblem(found)).toBeNull();
    expect(() => readFont([found])).toThrow(FontProblem);
  });

  it('that was cut short is refused before anything reads its tables', () => {
    fc.assert(
      fc.property(fc.nat(slabFile.length - 1), (length) => {
        expect(() => fontSample(slabFile.slice(0, length))).toThrow(FontProblem);
      }),
    );
  });

  it('that says untrue things of itself is refused with the reason', () => {
    const changed = (at: number, value: number): Uint8Array => {
      const bytes = Uint8Array.from(slabFile);
      new DataView(bytes.buffer).setUint32(at, value);
      return bytes;
    };
    expect(() => readFont([changed(0, 0x74746366)])).toThrow(/several fonts/);
    expect(() => readFont([changed(0, 0x3c737667)])).toThrow(/another kind/);
    expect(() => readFont([changed(12, 0x7fff0000)])).toThrow(/list of tables/);
    // The first table: where it begins, and how far it would unpack.
    expect(() => readFont([changed(48, slabFile.length)])).toThrow(/cut short/);
    expect(() => readFont([changed(56, 0x7fffffff)])).toThrow(/too much/);
    expect(fontFileProblem(slabFile)).toBeNull();
  });
});
