import type { GoodViewModel, Project, ShapeViewModel } from '@mivet/core';
import { NO_STOCK } from '@mivet/core';
import type { CoreReply } from '../src/workers/protocol.ts';
import { serveCore } from '../src/workers/serve-core.ts';

/** What the screens show of a project, as the worker makes it. */
export async function viewModelOf(project: Project): Promise<GoodViewModel> {
  const replies: CoreReply[] = [];
  const input = { project, unit: 'mm' as const, limits: {}, supply: NO_STOCK };
  await serveCore((reply) => replies.push(reply))({ id: 1, job: 'examine', input });
  const shape = replies.find((reply) => 'part' in reply);
  const answer = replies.at(-1)!;
  if (!shape || !('ok' in answer) || !answer.ok) throw new Error(`no picture: ${JSON.stringify(answer)}`);
  return { ...(shape.part as ShapeViewModel), ...(answer.output as GoodViewModel) };
}
