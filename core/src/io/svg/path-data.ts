export { pathData, writeNumber } from '../../plane/path-text.ts';

/** Text made safe for XML content and attributes; control characters that XML forbids are dropped. */
export function xmlText(text: string): string {
  return text
    .replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');
}
