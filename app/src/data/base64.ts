/** Bytes as base64. */
export function base64Of(bytes: Uint8Array): string {
  let text = '';
  // In parts: an argument list takes only so many.
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/** Bytes of base64. */
export const bytesOfBase64 = (text: string): Uint8Array => Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
