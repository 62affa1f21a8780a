// Writes docs/format/*.schema.json from the schemas, and the demo documents beside them as examples.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { backupSchema, ownFontSchema, ownMotifSchema, projectSchema, shelfBlankSchema } from '@mivet/core';
import { z } from 'zod';
import { demoProjects } from '../app/src/demo/demo.ts';
import { demoShelf } from '../app/src/demo/demo-shelf.ts';

const write = (name: string, content: unknown): void =>
  writeFileSync(
    fileURLToPath(new URL(`../docs/format/${name}`, import.meta.url)),
    `${JSON.stringify(content, null, 2)}\n`,
  );

write('project.schema.json', z.toJSONSchema(projectSchema));
write('blank.schema.json', z.toJSONSchema(shelfBlankSchema));
write('backup.schema.json', z.toJSONSchema(backupSchema));
write('font.schema.json', z.toJSONSchema(ownFontSchema));
write('motif.schema.json', z.toJSONSchema(ownMotifSchema));
const now = '2026-09-01T09:00:00.000Z';
write('example-tumbler.json', demoProjects(now)[0]);
write('example-mug.json', demoProjects(now)[1]);
write('example-blank.json', demoShelf(now)[1]);
