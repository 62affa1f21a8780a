import { serveRecords, type RecordRequest } from './record-jobs.ts';

const serve = serveRecords((message) => self.postMessage(message));
self.onmessage = ({ data }: MessageEvent<RecordRequest>): void => void serve(data);
