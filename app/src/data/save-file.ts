import { ownEntry } from '@mivet/core';
const TYPES: { readonly [ending: string]: string } = {
  svg: 'image/svg+xml',
  pdf: 'application/pdf',
  json: 'application/json',
  zip: 'application/zip',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv',
  html: 'text/html',
};

/** Hands a file to the browser to save. */
export function saveFile(name: string, content: string | Uint8Array): void {
  const type = ownEntry(TYPES, name.split('.').at(-1) ?? '') ?? 'application/octet-stream';
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A project's name as a file name: letters, digits and dashes. */
export function fileNameOf(name: string): string {
  return (
    name
      .normalize('NFKD')
      .replace(/[^\w\s-]/g, '')
      .trim()
      .replace(/[\s_]+/g, '-')
      .toLowerCase()
      .slice(0, 60) || 'project'
  );
}

/** Opens a PDF in a new tab for printing; saves it where the browser blocks that. */
export function openPdf(name: string, content: Uint8Array): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type: 'application/pdf' }));
  if (!window.open(url, '_blank')) saveFile(name, content);
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
