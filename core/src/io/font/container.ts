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
