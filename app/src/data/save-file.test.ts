import { describe, expect, it } from 'vitest';
import { fileNameOf } from './save-file.ts';

describe('fileNameOf', () => {
  it('makes a plain file name of any project name', () => {
    expect(fileNameOf('Stroke seat’s tumbler')).toBe('stroke-seats-tumbler');
    expect(fileNameOf('Zoë & Ana: mug 2')).toBe('zoe-ana-mug-2');
    expect(fileNameOf('../../etc/passwd')).toBe('etcpasswd');
    expect(fileNameOf('舟')).toBe('project');
    expect(fileNameOf('a'.repeat(200))).toHaveLength(60);
  });
});
