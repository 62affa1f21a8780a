import { loadFonts } from './fonts.ts';
import type { CoreRequest } from './protocol.ts';
import { serveCore } from './serve-core.ts';

// Asked for at once, so that the fonts are there when the first project is.
loadFonts().catch(() => undefined);

const serve = serveCore((message) => self.postMessage(message));
self.onmessage = ({ data }: MessageEvent<CoreRequest>): void => void serve(data);
