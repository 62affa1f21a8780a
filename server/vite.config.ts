import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

// One plain file, so that the server starts without translating anything.
export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  build: { ssr: 'src/main.ts', target: 'node20', outDir: 'dist' },
});
