import type { Blank, GoodViewModel, Project, ProjectViewModel, SolidViewModel } from '@mivet/core';
import { newProject, NO_STOCK } from '@mivet/core';
import { keepPicture, readPicture } from '../data/pictures.ts';
import { useLibrary } from '../stores/library.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';
import { askCore } from '../workers/core-client.ts';
import { whenIdle } from './useIdleFetch.ts';

/** What a list shows of a project, and how many findings are open; not ok where it is not measured. */
export type ListPicture =
  | ({ readonly ok: true; readonly open: number } & SolidViewModel & Pick<GoodViewModel, 'pieces' | 'outlineData' | 'band'>) // prettier-ignore
  | { readonly ok: false };

/** Numbers in the outlines of a picture past which it is not kept: working it out is hardly slower than reading it. */
const LARGEST = 200_000;

const known = new Map<string, { signature: string; picture: Promise<ListPicture> }>();

let rested: Promise<void> | null = null;
/** Done when the page, once it is there, has nothing better to do: pictures in a list then come in its order. */
const onceIdle = (): Promise<void> => (rested ??= whenIdle());

function pictureOf(made: ProjectViewModel): ListPicture {
  if (!made.ok) return { ok: false };
  const { size, template, meanRadius, pieces, outlineData, band, findings } = made;
  const open = findings.filter(
    ({ finding, acceptedFor }) => finding.severity !== 'fine' && acceptedFor === null,
  ).length;
  return { ok: true, open, size, template, meanRadius, pieces, outlineData, band };
}

/** The picture that was kept of the same, or a new one. */
async function kept(id: string, signature: string, make: () => Promise<ProjectViewModel>): Promise<ListPicture> {
  const before = await readPicture<ListPicture>(id, signature);
  if (before) return before;
  await onceIdle();
  const picture = pictureOf(await make());
  const numbers = picture.ok ? picture.pieces.reduce((sum, { rings }) => sum + rings.reduce((n, { length }) => n + length, 0), 0) : 0; // prettier-ignore
  if (numbers < LARGEST) void keepPicture(id, signature, picture);
  return picture;
}

function once(id: string, parts: readonly unknown[], make: () => Promise<ProjectViewModel>): Promise<ListPicture> {
  const signature = JSON.stringify([__CORE__, ...parts]);
  const have = known.get(id);
  if (have?.signature === signature) return have.picture;
  const picture = kept(id, signature, make);
  known.set(id, { signature, picture });
  // One that failed is tried again when it is asked for again.
  picture.catch(() => known.get(id)?.picture === picture && known.delete(id));
  return picture;
}

/** Picture of a project for a list; worked out once for each state of it, and kept in this browser. */
export async function pictureForList(project: Project): Promise<ListPicture> {
  const stock = useStock();
  await stock.load();
  const { limits, learnt } = useSettings();
  const supply = stock.supplyFor(project);
  // Words in a font that is not here are not drawn, until it is.
  const set = new Set(project.items.flatMap((item) => (item.type === 'text' ? [item.font] : [])));
  const fonts = useLibrary().fonts.flatMap(({ id }) => (set.has(id) ? [id] : []));
  return once(project.id, [project.changedAt, limits, learnt, supply, fonts], () =>
    askCore('examine', { project, unit: 'mm', limits, learnt, supply }, { later: true }),
  );
}

/** Picture of a bare blank for a list. */
export function pictureOfBlank(blank: Blank, changedAt: string): Promise<ListPicture> {
  const project = newProject(`shelf:${blank.id}`, blank.name, blank, null, changedAt);
  return once(project.id, [changedAt], () =>
    askCore('examine', { project, unit: 'mm', limits: {}, supply: NO_STOCK }, { later: true }),
  );
}
