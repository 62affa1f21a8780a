import { warmRecords } from './data/records.ts';
import { warmDemo } from './demo/warm-demo.ts';
import { fetchView } from './router/routes.ts';
import { warmCore } from './workers/core-client.ts';

/** What takes its time beside the page is begun before the page is put together. */
warmRecords();
warmCore();
void fetchView(location.pathname);
void warmDemo();
