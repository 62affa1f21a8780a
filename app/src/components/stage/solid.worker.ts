import { serveSolid } from './serve-solid.ts';
import type { OfStage, SolidReply, SolidRequest } from './solid-messages.ts';

const stages = new Map<number, (request: SolidRequest) => void>();

self.onmessage = ({ data: { stage, message } }: MessageEvent<OfStage<SolidRequest>>): void => {
  let serve = stages.get(stage);
  if (!serve) {
    serve = serveSolid((reply) => self.postMessage({ stage, message: reply } satisfies OfStage<SolidReply>));
    stages.set(stage, serve);
  }
  serve(message);
  if (message.tells === 'close') stages.delete(stage);
};
