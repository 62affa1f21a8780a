/**
 * Text of a file, whichever way it was written: UTF-8, UTF-16 by its mark, else as older office programs on the western
 * desktop write it, where every byte means something.
 */
export async function textOf(file: Blob): Promise<string> {
  return decodeText(new Uint8Array(await file.arrayBuffer()));
}

/** The same of bytes. */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  // UTF-16 without its mark: every other byte of plain words is nothing.
  const start = bytes.subarray(0, 400);
  const zeros = (from: 0 | 1): number => start.filter((byte, i) => i % 2 === from && byte === 0).length;
  if (start.length >= 4 && zeros(1) > 0.3 * start.length) return new TextDecoder('utf-16le').decode(bytes);
  if (start.length >= 4 && zeros(0) > 0.3 * start.length) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
