/** What tabs tell each other. */
export interface TabNews {
  readonly kind: 'project-saved' | 'library-changed';
  readonly id: string;
  readonly revision: number;
}

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('mivet');

/** Tells the other tabs. */
export function tellTabs(news: TabNews): void {
  channel?.postMessage(news);
}

/** Hears of changes in other tabs; returns how to stop listening. */
export function hearTabs(listen: (news: TabNews) => void): () => void {
  const on = ({ data }: MessageEvent<TabNews>): void => listen(data);
  channel?.addEventListener('message', on);
  return () => channel?.removeEventListener('message', on);
}
