import type { ProofContext } from './finding.ts';

/** Short name of an item for a sentence: its words, or the motif; with its film where there are several of that motif. */
export function itemName(context: Pick<ProofContext, 'job'>, itemId: string): string {
  const item = context.job.items.find((i) => i.id === itemId);
  if (!item) return 'an item';
  if (item.type === 'text') return `“${item.text.replace(/\s+/g, ' ').trim() || 'empty text'}”`;
  if (item.type === 'art') {
    const film = context.job.films.find((f) => f.id === item.film)?.name;
    return `“${item.name}”${film ? ` in ${film}` : ''}`;
  }
  const alike = context.job.items.filter((i) => i.type === 'motif' && i.motif === item.motif);
  const film = context.job.films.find((f) => f.id === item.film)?.name;
  return alike.length > 1 && film ? `the ${item.motif} in ${film}` : `the ${item.motif}`;
}
