import { describe, expect, it } from 'vitest';
import { slug, slugsOf } from './slug.ts';

describe('names of files', () => {
  it('keep letters and digits, whatever stands between and above them', () => {
    expect([slug('Deep water', 'film'), slug(' Zoë’s “plum” 2 ', 'film'), slug('舟', 'film')]).toEqual([
      'deep-water',
      'zoe-s-plum-2',
      'film',
    ]);
    expect(slug('a'.repeat(100), 'film')).toHaveLength(60);
  });

  it('never come to the same', () => {
    const films = ['Plum', 'plum!', 'Plum 2', '舟', '海'].map((name, i) => ({ id: `f${i}`, name }));
    expect([...slugsOf(films, 'film').values()]).toEqual(['plum', 'plum-2', 'plum-2-2', 'film', 'film-2']);
  });
});
