import { base64Of, bytesOfBase64 } from './base64.ts';

/** A picture: what kind, and its bytes. */
export interface PictureBytes {
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** A picture as a data URL. */
export const dataUrlOf = ({ type, bytes }: PictureBytes): string => `data:${type};base64,${base64Of(bytes)}`;

/** The picture in a data URL. */
export function bytesOfDataUrl(url: string): PictureBytes {
  const comma = url.indexOf(',');
  return { type: url.slice(5, url.indexOf(';')), bytes: bytesOfBase64(url.slice(comma + 1)) };
}
