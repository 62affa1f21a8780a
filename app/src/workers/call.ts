import type { ShapeViewModel, WayLaid } from '@mivet/core';
import type { CloserPart, LayPart, LookPart, TogetherPart } from './protocol.ts';

/** A running job: whether it has been cancelled, and a way to send part of its answer early. */
export interface Call {
  readonly givenUp: () => boolean;
  readonly part: (part: ShapeViewModel | CloserPart | TogetherPart | LookPart | LayPart | WayLaid) => void;
}

/** Thrown by a job that has been cancelled. */
export class GivenUp extends Error {}

/**
 * Runs a generator to its end, yielding to incoming messages between steps so that the job can be cancelled.
 *
 * @param onStep called with each step
 * @param everyMs ms to work before yielding; 0 yields after each step
 * @throws GivenUp when the job was cancelled
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

/** Lets pending messages be delivered. */
const messagesIn = (): Promise<void> =>
  new Promise((go) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      go();
    };
    port2.postMessage(null);
  });
