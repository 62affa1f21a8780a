import { describe, expect, it } from 'vitest';
import { openWorkbench, press } from '../../../test/workbench.ts';
import { until } from '../../../test/until.ts';
import { demoProjects } from '../../demo/demo.ts';

import { useIncoming } from '../../stores/incoming.ts';
import { useProject } from '../../stores/project.ts';
import { useView } from '../../stores/view.ts';
import { useItems } from '../../composables/useItems.ts';
import FilmSelect from '../films/FilmSelect.vue';
import ArtworkSlip from './ArtworkSlip.vue';

const PENNANT =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20" width="40mm"><path d="M0 0H20V20H0Z" fill="#e0623a"/><path d="M20 0H40V20H20Z" fill="#0f4c5c"/><image href="x.png"/></svg>';
const [tumbler] = demoProjects('2026-05-04T10:00:00.000Z');

describe('a drawing that comes in', () => {
  it('is matched one to one, or like colours merged on the nearest film, all at once', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    // Two oranges, of which only one film is like.
    await useIncoming().bringIn('two.svg', PENNANT.replace('#0f4c5c', '#e2643e'));
    await bench.settled();
    const films = (): string[] => slip.findAllComponents(FilmSelect).map((menu) => menu.props('value')!);
    expect(films().filter((f) => f === 'ensign')).toHaveLength(1);
    await press(slip, 'Nearest film');
    await until(() => films().every((f) => f === 'ensign'));
    await press(slip, 'A film each');
    await until(() => new Set(films()).size === 2);
  });

  it('asks once for a colour that comes on two levels, and lays both on its film in the order of the picture', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    const box = (d: string, fill: string): string => `<path d="${d}" fill="${fill}"/>`;
    // White, dark on it, white on that: 30 × 20, 20 × 14 and 6 × 6 mm.
    await useIncoming().bringIn(
      'face.svg',
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 30 20" width="30mm">${box('M0 0H30V20H0Z', '#ffffff')}${box('M5 3H25V17H5Z', '#0f4c5c')}${box('M12 7H18V13H12Z', '#ffffff')}</svg>`,
    );
    await bench.settled();
    const menus = slip.findAll('[aria-label^="Film for"]');
    expect(menus.map((menu) => menu.attributes('aria-label')).sort()).toEqual([
      'Film for dark teal #0f4c5c',
      'Film for white #ffffff',
    ]);
    const white = slip.findAllComponents(FilmSelect).find((menu) => menu.props('label').includes('white'))!;
    await white.find('.film-select').trigger('click');
    await press(white, /^Ensign/);
    await press(slip, 'Place it');
    await bench.settled();
    const items = useProject().doc!.items;
    expect(items.map((i) => i.type === 'art' && i.colour)).toEqual(['#ffffff', '#0f4c5c', '#ffffff']);
    expect(items.map((i) => i.film === 'ensign')).toEqual([true, false, true]);
  });

  it('of hairlines is cut along them unless the lines themselves are wanted, and asks for a unit that is not said', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    const lines = '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40"><rect x="5" y="5" width="40" height="20" fill="none" stroke="#cc0000" stroke-width=".1"/></svg>'; // prettier-ignore
    await useIncoming().bringIn('lines.svg', lines);
    await bench.settled();
    const shape = (): string => slip.find('.preview path').attributes('d')!;
    // What they enclose is one outline; the line itself has two.
    expect(shape().match(/M/g)).toHaveLength(1);
    await press(slip, 'The lines as film');
    expect(shape().match(/M/g)).toHaveLength(2);
    await press(slip, 'Along the lines');
    await press(slip, 'Place it');
    await bench.settled();
    expect(useProject().doc!.items).toMatchObject([{ type: 'art', widthMm: 40, drawn: { widthMm: 40, heightMm: 20 } }]);
    const dxf = ['0', 'SECTION', '2', 'ENTITIES', '0', 'CIRCLE', '8', 'a', '10', '0', '20', '0', '40', '1', '0', 'EOF'];
    await useIncoming().bringIn('rim.dxf', dxf.join('\n'));
    await bench.settled();
    expect(slip.text()).toContain('Its unit, which the file does not say');
    await press(slip, 'in');
    await press(slip, 'Place it');
    await bench.settled();
    const placed = useProject().doc!.items.at(-1)!;
    expect(placed.type === 'art' && placed.drawn.widthMm).toBeCloseTo(50.8, 2);
  });

  it('waits on the slip, loses a colour, is placed in one step and taken away with all its colours', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    const said = await useIncoming().bringIn('pennant.svg', PENNANT);
    expect(said).toBe('pennant.svg is a drawing in 2 colours. It waits on the Artwork stop.');
    await bench.settled();
    expect(slip.text()).toContain('Import a drawing');
    expect(slip.text()).toContain('pictures');
    await press(slip, 'Place it');
    await bench.settled();
    const items = useProject().doc!.items;
    expect(items.map((i) => [i.type, i.film])).toEqual([['art', 'ensign'], ['art', 'deep-water']]); // prettier-ignore
    expect(slip.text()).toContain('one of 2 colours');
    useItems().change('Turn', (i) => ({ ...i, placement: { ...i.placement, turnDeg: 20 } }));
    expect(useProject().doc!.items.map((i) => i.placement.turnDeg)).toEqual([20, 20]);
    useItems().duplicate();
    const all = useProject().doc!.items;
    expect(all).toHaveLength(4);
    expect(new Set(all.map((i) => (i.type === 'art' ? i.setId : ''))).size).toBe(2);
    useItems().removeSelected();
    expect(useProject().doc!.items).toHaveLength(2);
    bench.project.undo();
    bench.project.undo();
    bench.project.undo();
    bench.project.undo();
    expect(useProject().doc!.items).toHaveLength(0);
  });

  it('leaves one colour off afterwards, and the other stays', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    await useIncoming().bringIn('pennant.svg', PENNANT);
    await bench.settled();
    await press(slip, 'Place it');
    await bench.settled();
    await press(slip, 'Leave out this colour');
    expect(useProject().doc!.items.map((i) => i.film)).toEqual(['deep-water']);
    expect(useView().selectedId).toBe(useProject().doc!.items[0]!.id);
  });

  it('that is too large to be kept is not placed, and that is said', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    await useIncoming().bringIn('huge.svg', PENNANT.replace('width="40mm"', 'width="900000mm"'));
    await bench.settled();
    await press(slip, 'Place it');
    expect(slip.text()).toContain('too detailed, or too large, to be kept');
    expect(useProject().doc!.items).toEqual([]);
  });

  it('is refused in words when it is none, and can be left', async () => {
    const bench = await openWorkbench({ ...tumbler!, items: [] });
    const slip = bench.mount(ArtworkSlip);
    expect(await useIncoming().bringIn('x.svg', '<svg')).toMatch(
      /^x\.svg: The file is no drawing .+ Nothing was changed\.$/,
    );
    await useIncoming().bringIn('pennant.svg', PENNANT);
    await bench.settled();
    await press(slip, 'Cancel');
    expect(slip.text()).toContain('Artwork');
    expect(useProject().doc!.items).toEqual([]);
  });
});
