import { fromByteArray, toByteArray } from 'base64-js';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import type { Backup, OwnFont } from '../../model/project.ts';
import type { BackupResult } from '../../document/read-backup.ts';
import { readBackup } from '../../document/read-backup.ts';

/** Bytes of everything in a backup together, unpacked; a season of orders with fonts and copies stays far below. */
const LARGEST_UNPACKED = 1_500_000_000;
/** Bytes of one file in it. */
const LARGEST_FILE = 250_000_000;
const MOST_FILES = 600_000;
const HEAD = 'mivet-backup.json';
/** Fonts are packed already. */
const AS_IT_IS = { level: 0 } as const;

/** Whether some bytes begin as a ZIP does. */
export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/**
 * Writes a backup as a ZIP: a file for every record, fonts as font files.
 *
 * @returns the ZIP's bytes
 * @throws RangeError when it would be larger than can be read again
 */
export function writeBackupZip(backup: Backup): Uint8Array {
  const { projects, shelf, fonts, motifs, stock, copies, unreadable, ...head } = backup;
  const files: Zippable = { [HEAD]: json(head) };
  const each = (folder: string, records: readonly unknown[]): void =>
    records.forEach((record, i) => (files[`${folder}/${numbered(i)}.json`] = json(record)));
  each('projects', projects);
  each('shelf', shelf);
  each('motifs', motifs);
  each('stock', stock);
  each('copies', copies);
  each('unreadable', unreadable);
  fonts.forEach(({ data, ...font }: OwnFont, i) => {
    files[`fonts/${numbered(i)}.json`] = json(font);
    files[`fonts/${numbered(i)}.font`] = [toByteArray(data), AS_IT_IS];
  });
  const sizes = Object.values(files).map((file) => (Array.isArray(file) ? file[0] : file) as Uint8Array);
  const together = sizes.reduce((sum, { length }) => sum + length, 0);
  if (together > LARGEST_UNPACKED || sizes.some(({ length }) => length > LARGEST_FILE))
    throw new RangeError(`a backup of ${together} bytes could not be read again`);
  return zipSync(files);
}

/**
 * Reads a backup from a ZIP. Names in it are never used as paths; what is too large or not asked for is not unpacked.
 *
 * @param bytes the ZIP
 */
export function readBackupZip(bytes: Uint8Array): BackupResult {
  let [together, many, tooLarge] = [0, 0, false];
  let files: { readonly [name: string]: Uint8Array };
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (
          !/^(mivet-backup\.json|(projects|shelf|fonts|motifs|stock|copies|unreadable)\/\d+\.(json|font))$/.test(name)
        )
          return false;
        together += originalSize;
        many++;
        tooLarge ||= originalSize > LARGEST_FILE || together > LARGEST_UNPACKED || many > MOST_FILES;
        return !tooLarge;
      },
    });
  } catch {
    return { ok: false, problem: { code: 'not-json' } };
  }
  if (tooLarge) return { ok: false, problem: { code: 'too-large', bytes: together, limit: LARGEST_UNPACKED } };
  const head = files[HEAD] && parsed(files[HEAD]);
  if (typeof head !== 'object' || head === null) return { ok: false, problem: { code: 'not-mivet' } };
  const names = Object.keys(files).sort();
  const records = (folder: string): unknown[] =>
    names.filter((name) => name.startsWith(`${folder}/`) && name.endsWith('.json')).map((name) => parsed(files[name]!));
  const fonts = names
    .filter((name) => /^fonts\/\d+\.json$/.test(name))
    .map((name) => {
      const font = parsed(files[name]!);
      const data = files[name.replace(/json$/, 'font')];
      return typeof font === 'object' && font !== null && data ? { ...font, data: fromByteArray(data) } : font;
    });
  return readBackup({
    ...head,
    projects: records('projects'),
    shelf: records('shelf'),
    motifs: records('motifs'),
    stock: records('stock'),
    copies: records('copies'),
    unreadable: records('unreadable'),
    fonts,
  });
}

const json = (value: unknown): Uint8Array => strToU8(JSON.stringify(value));
/** Seven digits keep thousands of records in their order. */
const numbered = (i: number): string => String(i).padStart(7, '0');

/** What a file holds; text that is no JSON is handed on as text, to be listed as a record that cannot be read. */
function parsed(bytes: Uint8Array): unknown {
  const text = strFromU8(bytes);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}
