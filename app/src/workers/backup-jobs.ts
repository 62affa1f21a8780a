import { readBackup, sameValue, type Backup, type BackupResult } from '@mivet/core';

/**
 * A backup as the ZIP that it is written as.
 *
 * @throws Error when it would not read back as it was: then nothing is written
 */
export async function packBackup(backup: Backup): Promise<Uint8Array> {
  const { readBackupZip, writeBackupZip } = await import('@mivet/core/backups');
  const bytes = writeBackupZip(backup);
  const again = readBackupZip(bytes);
  if (!again.ok || !sameValue(again.backup, backup)) throw new Error('It does not read back as it was.');
  return bytes;
}

/** What a file holds that is a backup: a ZIP, or JSON as older versions wrote it. */
export async function openBackup(bytes: Uint8Array): Promise<BackupResult> {
  const { isZip, readBackupZip } = await import('@mivet/core/backups');
  if (isZip(bytes)) return readBackupZip(bytes);
  try {
    return readBackup(JSON.parse(new TextDecoder().decode(bytes)));
  } catch {
    return { ok: false, problem: { code: 'not-json' } };
  }
}
