import { unzipSync, strFromU8 } from 'fflate';

/** A file that the app handed to the browser to save; a ZIP with what is in it. */
export interface SavedFile {
  readonly name: string;
  readonly content: string;
  readonly parts: readonly { readonly name: string; readonly content: string }[];
}

const blobs = new Map<string, Blob>();
const saved: { readonly name: string; readonly blob: Blob }[] = [];

/** Takes the part of the browser's downloads, and forgets what was saved before. */
export function catchSaved(): void {
  saved.length = 0;
  URL.createObjectURL = (blob) => {
    const url = `blob:here/${blobs.size}`;
    blobs.set(url, blob as Blob);
    return url;
  };
  HTMLAnchorElement.prototype.click = function (this: HTMLAnchorElement): void {
    const blob = blobs.get(this.href);
    if (blob && this.download) saved.push({ name: this.download, blob });
  };
}

/** What was saved in this test, in order, without waiting for more. */
export function savedFiles(): Promise<SavedFile[]> {
  return Promise.all(
    saved.map(async ({ name, blob }) => {
      const bytes = new Uint8Array(await blob.arrayBuffer());
      const parts = name.endsWith('.zip') ? Object.entries(unzipSync(bytes)) : [];
      return {
        name,
        content: strFromU8(bytes),
        parts: parts.map(([part, content]) => ({ name: part, content: strFromU8(content) })),
      };
    }),
  );
}

/** How many files were saved in this test so far. */
export const savedCount = (): number => saved.length;
