// Backups as ZIP, apart from the rest: packing is loaded when somebody packs.
export { isZip, readBackupZip, writeBackupZip } from './io/backup/zip.ts';
