import { useLibrary } from '../stores/library.ts';
import { useLogbook } from '../stores/logbook.ts';
import { useStock } from '../stores/stock.ts';
import { demoProjects } from './demo.ts';
import { demoEntries } from './demo-entries.ts';
import { demoShelf } from './demo-shelf.ts';
import { demoStock } from './demo-stock.ts';

/** Puts in what of the made-up rowing club's blanks and projects is not here yet: what was made of them stays. */
export async function bringInDemo(): Promise<void> {
  const now = new Date().toISOString();
  const shelf = demoShelf(now);
  const entries = demoEntries(now, shelf);
  await useLibrary().bringIn(demoProjects(now), { shelf, stock: demoStock(now), entries });
  await Promise.all([useStock().load(true), useLogbook().load(true)]);
}
