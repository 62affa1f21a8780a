import type { ShapePicture } from '@mivet/core';
import type { CloserPart } from './protocol.ts';

/** A job under way: whether it was given up, and what of its answer is there before the rest. */
export interface Call {
  readonly givenUp: () => boolean;
  readonly part: (part: ShapePicture | CloserPart) => void;
}

/** A job that nobody waits for any more. */
export class GivenUp extends Error {}

/**
 * Takes steps to their end, and listens in between whether they are still wanted.
 *
 * @param onStep told of each step
 * @param everyMs how long one works on before listening; 0 listens after each step
 * @throws GivenUp when they are not
 */
export async function inTurns<S, T>(
  steps: Generator<S, T>,
  call: Call,
  onStep: (step: S) => void = () => undefined,
  everyMs = 0,
): Promise<T> {
  let listened = performance.now();
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    onStep(step.value);
    if (performance.now() - listened < everyMs) continue;
    await messagesIn();
    listened = performance.now();
    if (call.givenUp()) throw new GivenUp();
  }
}

/** Lets messages that wait be delivered. */
const messagesIn = (): Promise<void> =>
  new Promise((go) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      go();
    };
    port2.postMessage(null);
  });
