import { sameValue } from '../../document/same-value.ts';
import type { Backup, Project, ShelfBlank } from '../../model/project.ts';
import type { StockThing } from '../../model/stock.ts';

/** Kinds of records in a backup that are compared with what is here; the rest goes along with its project. */
export const BACKUP_KINDS = ['projects', 'shelf', 'fonts', 'motifs', 'stock', 'entries'] as const;
export type BackupKind = (typeof BACKUP_KINDS)[number];

/** The records of a person's, or of a backup, that have ids of their own. */
export type KeptRecords = Pick<Backup, BackupKind>;

/** What may become of a record of a backup. `both` brings it in beside what is here, where that makes sense. */
export type Take = 'newer' | 'backup' | 'here' | 'both' | 'none';

/** A record of a backup beside what is here. */
export interface RecordStanding {
  readonly kind: BackupKind;
  readonly id: string;
  readonly name: string;
  readonly standing: 'new' | 'same' | 'differs';
  /** ISO; when it was changed in the backup, and here (null where it is not here). */
  readonly changedThere: string;
  readonly changedHere: string | null;
}

/** What is to be brought back. */
export interface RestoreChoice {
  readonly kinds: ReadonlySet<BackupKind>;
  /** Units, limits and hours of work. */
  readonly settings: boolean;
  /** What is taken where both differ. */
  readonly clashes: Exclude<Take, 'none'>;
  /** What is taken of single records, by {@link recordKey}. */
  readonly single: ReadonlyMap<string, Take>;
}

/** Takes all; of what is here too, what was changed last. */
export const WHOLE_BACKUP: RestoreChoice = {
  kinds: new Set(BACKUP_KINDS),
  settings: true,
  clashes: 'newer',
  single: new Map(),
};

export const recordKey = ({ kind, id }: Pick<RecordStanding, 'kind' | 'id'>): string => `${kind} ${id}`;

/** Whether one record can lie beside another of its origin: a second roll of the same film would be counted twice. */
export const mayBeBoth = (kind: BackupKind): boolean => kind === 'projects' || kind === 'shelf';

type AnyRecord = KeptRecords[BackupKind][number];

const idOf = (record: AnyRecord): string => (record.format === 'mivet-blank' ? record.blank.id : record.id);
const changedAt = (record: AnyRecord): string => ('changedAt' in record ? record.changedAt : record.keptAt);
function nameOf(record: AnyRecord): string {
  switch (record.format) {
    case 'mivet-blank':
      return record.blank.name;
    case 'mivet-entry':
      return record.title;
    case 'mivet-stock':
      return nameOfThing(record.thing);
    default:
      return record.name;
  }
}
function nameOfThing(thing: StockThing): string {
  switch (thing.kind) {
    case 'film':
      return thing.film.name;
    case 'offcut':
      return `Offcut of ${thing.film.name}`;
    case 'tape':
      return thing.name;
    case 'cutter':
      return 'Cutter';
    case 'booking':
      return `Booking of ${thing.title}`;
  }
}

/** Puts each record of a backup beside what is here of the same id, in the order of the backup. */
export function compareBackup(backup: KeptRecords, here: KeptRecords): RecordStanding[] {
  return BACKUP_KINDS.flatMap((kind) => {
    const ours = new Map(here[kind].map((record: AnyRecord) => [idOf(record), record]));
    return backup[kind].map((record: AnyRecord): RecordStanding => {
      const mine = ours.get(idOf(record));
      return {
        kind,
        id: idOf(record),
        name: nameOf(record),
        standing: !mine ? 'new' : sameValue(mine, record) ? 'same' : 'differs',
        changedThere: changedAt(record),
        changedHere: mine ? changedAt(mine) : null,
      };
    });
  });
}

/** What becomes of a record: taken as it is, taken beside what is here, or left. */
export function takeOf(record: RecordStanding, choice: RestoreChoice): 'take' | 'beside' | 'leave' {
  // What is the same here and there is there already.
  if (!choice.kinds.has(record.kind) || record.standing === 'same') return 'leave';
  const wanted = choice.single.get(recordKey(record)) ?? (record.standing === 'differs' ? choice.clashes : 'backup');
  if (wanted === 'none') return 'leave';
  if (record.standing === 'new' || wanted === 'backup') return 'take';
  if (wanted === 'here') return 'leave';
  if (wanted === 'both' && mayBeBoth(record.kind)) return 'beside';
  return record.changedHere === null || record.changedThere > record.changedHere ? 'take' : 'leave';
}

/** Characters that a name may have. */
const LONGEST_NAME = 200;
const besideName = (name: string): string => `${name.slice(0, LONGEST_NAME - 14)} (from backup)`;
const besideProject = (project: Project, id: string): Project => ({ ...project, id, name: besideName(project.name) });
const besideBlank = (entry: ShelfBlank, id: string): ShelfBlank => ({
  ...entry,
  blank: { ...entry.blank, id, name: besideName(entry.blank.name) },
});

/**
 * The part of a backup that is to be brought back. Kept copies and photographs go with their projects; those of projects that
 * are not in the backup themselves, and what cannot be read, go with the projects as a kind.
 *
 * @param standings of all its records, as {@link compareBackup} gives them
 * @param newId makes an id for what comes in beside what is here
 */
export function chosenOf(
  backup: Backup,
  standings: readonly RecordStanding[],
  choice: RestoreChoice,
  newId: () => string,
): Backup {
  const fates = new Map(standings.map((record) => [recordKey(record), takeOf(record, choice)]));
  const chosen = <K extends BackupKind>(
    kind: K,
    beside: (record: Backup[K][number], id: string) => Backup[K][number] = (record) => record,
  ): Backup[K][number][] =>
    (backup[kind] as readonly Backup[K][number][]).flatMap((record) => {
      const fate = fates.get(recordKey({ kind, id: idOf(record) })) ?? 'take';
      return fate === 'leave' ? [] : [fate === 'beside' ? beside(record, newId()) : record];
    });
  const leftOut = new Set(
    backup.projects
      .map(({ id }) => id)
      .filter((id) => choice.single.get(recordKey({ kind: 'projects', id })) === 'none'),
  );
  const goesAlong = (projectId: string): boolean => choice.kinds.has('projects') && !leftOut.has(projectId);
  return {
    ...backup,
    projects: chosen('projects', besideProject),
    shelf: chosen('shelf', besideBlank),
    fonts: chosen('fonts'),
    motifs: chosen('motifs'),
    stock: chosen('stock'),
    entries: chosen('entries'),
    copies: backup.copies.filter(({ document }) => goesAlong(document.id)),
    // The logbook shows photographs too, of projects that may be gone.
    photos: backup.photos.filter(({ projectId }) => goesAlong(projectId) || choice.kinds.has('entries')),
    unreadable: backup.unreadable.filter(({ store }) => choice.kinds.has(store === 'copies' ? 'projects' : store)),
  };
}
