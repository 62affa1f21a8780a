import { unzlibSync } from 'fflate';

/** Signatures of single fonts: outlines of either kind, and both ways of packing them for the web. */
const PLAIN = new Set(['\0\x01\0\0', 'OTTO', 'true']);
const PACKED = 'wOFF';
const PACKED_2 = 'wOF2';
/** Tables of one font; real ones have some twenty. */
const MOST_TABLES = 100;
/** Bytes that a packed font may grow to. */
const LARGEST = 40_000_000;

/**
 * Looks at a font file's list of tables before anything else reads it: the file is whole, and every table lies in it.
 * Readers of tables trust their lengths, and can be led round in circles by a file that was cut short.
 *
 * @param bytes of the file
 * @returns why it is refused, or null
 * @source OpenType 1.9.1, "Organization of an OpenType font"; W3C, "WOFF File Format 1.0", 2012; "2.0", 2018
 */
export function fontFileProblem(bytes: Uint8Array): string | null {
  if (bytes.length < 44) return 'it is too short';
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const signature = String.fromCharCode(...bytes.subarray(0, 4));
  if (signature === 'ttcf') return 'it holds several fonts; take out the one you want';
  if (signature === PACKED_2) {
    if (view.getUint32(8) !== bytes.length) return 'it was cut short';
    return view.getUint32(16) > LARGEST ? 'it unpacks to too much' : null;
  }
  const packed = signature === PACKED;
  if (!packed && !PLAIN.has(signature)) return 'it is of another kind';
  if (packed && view.getUint32(8) !== bytes.length) return 'it was cut short';
  const count = view.getUint16(packed ? 12 : 4);
  const [start, each] = packed ? [44, 20] : [12, 16];
  if (count === 0 || count > MOST_TABLES || start + count * each > bytes.length) return 'its list of tables is damaged';
  let grown = 0;
  for (let at = start; at < start + count * each; at += each) {
    const offset = view.getUint32(at + (packed ? 4 : 8));
    const length = view.getUint32(at + (packed ? 8 : 12));
    if (offset + length > bytes.length) return 'it was cut short';
    grown += packed ? view.getUint32(at + 12) : length;
    if (packed && view.getUint32(at + 12) < length) return 'its list of tables is damaged';
  }
  return grown > LARGEST ? 'it unpacks to too much' : null;
}

/** Bytes up to the next multiple of four, as tables lie. */
const padded = (length: number): number => (length + 3) & ~3;

/**
 * Takes a font out of its packing for the web (WOFF 1), so that what reads tables never unpacks damaged ones: that can go
 * round in circles. Anything else comes back as it is.
 *
 * @param bytes that `fontFileProblem` has nothing against
 * @throws Error when a table cannot be unpacked to what it says it is
 * @source W3C, "WOFF File Format 1.0", 2012, section 5; OpenType 1.9.1, "Organization of an OpenType font"
 */
export function unpackedFont(bytes: Uint8Array): Uint8Array {
  if (String.fromCharCode(...bytes.subarray(0, 4)) !== PACKED) return bytes;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = view.getUint16(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + 20 * i;
    const [offset, packed, length] = [view.getUint32(at + 4), view.getUint32(at + 8), view.getUint32(at + 12)];
    const raw = bytes.subarray(offset, offset + packed);
    const data = packed < length ? unzlibSync(raw, { out: new Uint8Array(length) }) : raw;
    if (data.length !== length) throw new Error('a table is damaged');
    return { tag: bytes.subarray(at, at + 4), sum: view.getUint32(at + 16), data };
  });
  const start = 12 + 16 * count;
  const plain = new Uint8Array(tables.reduce((size, { data }) => size + padded(data.length), start));
  const out = new DataView(plain.buffer);
  plain.set(bytes.subarray(4, 8));
  out.setUint16(4, count);
  const power = 2 ** Math.floor(Math.log2(count));
  out.setUint16(6, 16 * power);
  out.setUint16(8, Math.log2(power));
  out.setUint16(10, 16 * (count - power));
  let at = start;
  for (const [i, { tag, sum, data }] of tables.entries()) {
    plain.set(tag, 12 + 16 * i);
    out.setUint32(16 + 16 * i, sum);
    out.setUint32(20 + 16 * i, at);
    out.setUint32(24 + 16 * i, data.length);
    plain.set(data, at);
    at += padded(data.length);
  }
  return plain;
}
