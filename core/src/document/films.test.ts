import { describe, expect, it } from 'vitest';
import { makeBlank, makeJob, textItem, wave } from '../../test/jobs.ts';
import { projectOf } from '../../test/findings.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { Film } from '../model/film.ts';
import { filmInStock, filmsOffered, filmsUnasked, takeFilms, withUsedFilms } from './films.ts';
import { filmForMask } from './mask-film.ts';

const own = (id: string, name: string, finish: Film['finish'] = 'gloss permanent'): Film => ({
  id,
  name,
  colour: '#7a1f5c',
  finish,
  thicknessMm: 0.08,
});
const plum = own('plum', 'Plum');
const frost = own('frost', 'Frost 2', 'glitter');
const project = projectOf(makeJob(makeBlank({}), [textItem('COX', { film: 'plum' }), wave(9, { film: 'deep-water' })]));

describe('films of one’s own', () => {
  it('come along with a project as soon as something is cut from them, and no others do', () => {
    const films = withUsedFilms(project, [frost, plum]).films;
    expect(films).toEqual([...project.films, plum]);
    expect(withUsedFilms({ ...project, films }, [frost, plum])).toMatchObject({ films });
    const [scattered] = [{ ...project.items[1]!, repeat: { mode: 'scattered' as const, count: 5, scatter: { seed: 1, gapMm: 3, films: ['frost'] } } }]; // prettier-ignore
    expect(withUsedFilms({ ...project, items: [scattered!] }, [frost, plum]).films.at(-1)).toBe(frost);
  });

  it('leave a project alone that has what it needs', () => {
    const whole = { ...project, films: [plum, ...STARTING_FILMS] };
    expect(withUsedFilms(whole, [own('plum', 'Otherwise now')])).toBe(whole);
  });

  it('are offered after those of the project, by name, each once', () => {
    const names = filmsOffered([STARTING_FILMS[0]!], [own('b', 'Roll 10'), own('a', 'Roll 9'), STARTING_FILMS[0]!, own('b', 'Roll 10')]).map(({ name }) => name); // prettier-ignore
    expect(names).toEqual(['Deep water', 'Roll 9', 'Roll 10']);
  });

  it('say when the stock has them otherwise, and are taken over then', () => {
    const now = { ...plum, name: 'Plum, new batch' };
    expect([filmInStock(plum, [plum]), filmInStock(plum, [frost]), filmInStock(plum, [now])]).toEqual([
      null,
      null,
      now,
    ]);
    expect(filmInStock(plum, [{ ...plum, thicknessMm: 0.1 }])).toMatchObject({ thicknessMm: 0.1 });
    expect(takeFilms({ ...project, films: [plum, frost] }, [now]).films).toEqual([now, frost]);
  });

  it('that come off in the wash, or are foil, are not chosen unasked', () => {
    const ids = (films: readonly Film[], process: 'decal' | 'etch' | 'strip' | 'blast' | 'paint'): string[] =>
      filmsUnasked(films, process).map(({ id }) => id);
    expect(ids(STARTING_FILMS, 'decal')).toEqual(['deep-water', 'shallows', 'ensign', 'reed', 'chalk', 'hull']);
    // A dry mask comes off again: there a removable film is right. Under gel and cream it bleeds.
    const all = [...STARTING_FILMS, own('stencil', 'Stencil', 'mask film')];
    for (const dry of ['blast', 'paint'] as const) expect(ids(all, dry)).toEqual(expect.arrayContaining(['night', 'stencil'])); // prettier-ignore
    for (const wet of ['etch', 'strip', 'decal'] as const)
      for (const id of ['night', 'stencil']) expect(ids(all, wet)).not.toContain(id);
    expect(ids([own('foil', 'Foil', 'metallised')], 'decal')).toEqual(['foil']);
  });

  it('takes for a mask what is made for it, or permanent film under gel, in the colour that stands out', () => {
    const film = (id: string, colour: string, finish: Film['finish']): Film => ({ id, name: id, colour, finish, thicknessMm: 0.08 }); // prettier-ignore
    const films = [film('white', '#ffffff', 'gloss permanent'), film('navy', '#102040', 'gloss permanent'), film('mask', '#2f6fb0', 'mask film'), film('mask light', '#e8d9a0', 'mask film')]; // prettier-ignore
    expect(filmForMask(films, 'blast', '#f4f4f4')!.id).toBe('mask');
    expect(filmForMask(films, 'blast', '#1a2a3a')!.id).toBe('mask light');
    expect(filmForMask(films, 'strip', '#1a2a3a')!.id).toBe('white');
    expect(filmForMask(films.slice(0, 2), 'paint', '#f4f4f4')!.id).toBe('navy');
    expect(filmForMask([], 'etch', '#fff')).toBeNull();
  });
});
