import type { OfStage, SolidReply, SolidRequest } from './solid-messages.ts';

/** A solid that is drawn somewhere. */
export interface SolidStage {
  readonly tell: (request: SolidRequest) => void;
  /** Ends the drawing. */
  readonly close: () => void;
}

/** What each drawing hears back. */
const hearing = new Map<number, (reply: SolidReply) => void>();
let worker: Worker | null = null;
let last = 0;

function start(): Worker {
  const started = new Worker(new URL('./solid.worker.ts', import.meta.url), { type: 'module' });
  started.onmessage = ({ data: { stage, message } }: MessageEvent<OfStage<SolidReply>>) =>
    hearing.get(stage)?.(message);
  started.onerror = () => {
    started.terminate();
    if (worker === started) worker = null;
    for (const hear of hearing.values()) hear({ tells: 'refused' });
  };
  return started;
}

/** Whether solids are drawn apart from the page. */
const apart = (): boolean =>
  typeof Worker !== 'undefined' && 'transferControlToOffscreen' in HTMLCanvasElement.prototype;

/** Has what draws solids loaded before the first of them is looked at. */
export function warmSolid(): void {
  if (apart()) worker ??= start();
}

/**
 * Draws a solid in a thread of its own, so that however slow that is, nothing on the page waits for it; where the browser
 * has no such canvas, on the page.
 *
 * @param canvas one that nothing was drawn on
 * @param begin how it looks first
 * @param hear is told what comes back
 */
export function openSolid(
  canvas: HTMLCanvasElement,
  begin: Omit<SolidRequest & { tells: 'open' }, 'tells' | 'canvas'>,
  hear: (reply: SolidReply) => void,
): SolidStage {
  const stage = ++last;
  hearing.set(stage, hear);
  const send = apart() ? sendAway(stage, canvas, begin) : sendHere(canvas, begin, hear);
  return {
    tell: send,
    close: () => {
      send({ tells: 'close' });
      hearing.delete(stage);
    },
  };
}

type Begin = Parameters<typeof openSolid>[1];

function sendAway(stage: number, canvas: HTMLCanvasElement, begin: Begin): (message: SolidRequest) => void {
  const to = (worker ??= start());
  const off = canvas.transferControlToOffscreen();
  to.postMessage({ stage, message: { tells: 'open', canvas: off, ...begin } } satisfies OfStage<SolidRequest>, [off]);
  return (message) => to.postMessage({ stage, message } satisfies OfStage<SolidRequest>);
}

function sendHere(
  canvas: HTMLCanvasElement,
  begin: Begin,
  hear: (reply: SolidReply) => void,
): (message: SolidRequest) => void {
  const serving = import('./serve-solid.ts').then(({ serveSolid }) => serveSolid(hear));
  const send = (message: SolidRequest): void => void serving.then((serve) => serve(message));
  send({ tells: 'open', canvas, ...begin });
  return send;
}
