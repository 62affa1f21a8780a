import type { Scene, View } from './camera.ts';

/** A thing, how it is photographed, and what makes the picture hard. */
export interface Shot {
  readonly kind: string;
  readonly scene: Scene;
  readonly view: View;
}

const KINDS = [
  'plain',
  'highlight',
  'steel',
  'handle',
  'shadow',
  'wood',
  'tiles',
  'aside',
  'rolled',
  'above',
  'pale',
  'mirror',
  'shiny mug',
] as const;

const SURFACES = new Map<string, Scene['surface']>([
  ['highlight', 'glaze'],
  ['steel', 'steel'],
  ['mirror', 'mirror'],
  ['shiny mug', 'glaze'],
]);

/** Photographs by number: kinds in turn, sizes and shapes drawn from the number. */
export function shotOf(number: number): Shot {
  const kind = KINDS[number % KINDS.length]!;
  let state = (number * 7919 + 13) >>> 0;
  const draw = (from: number, to: number): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return from + ((to - from) * state) / 2 ** 32;
  };
  const height = draw(80, 160);
  const base = draw(28, 40);
  const flare = draw(-6, 14);
  const belly = draw(0, 5);
  const form = number % 3;
  const radiusAt = (down: number): number => {
    const share = down / height;
    if (form === 0) return base + 4;
    if (form === 1) return base + flare * (1 - share);
    return base + flare * (1 - share) + belly * Math.sin(Math.PI * share);
  };
  const scene: Scene = {
    height,
    radiusAt,
    handle: kind === 'handle' || kind === 'shiny mug' ? draw(22, 36) : 0,
    surface: SURFACES.get(kind) ?? 'matt',
    window: draw(-1.1, 1.1),
    light: kind === 'pale' ? draw(0.6, 0.75) : kind === 'steel' ? draw(0.4, 0.55) : draw(0.2, 0.5),
    ground: kind === 'wood' ? 'wood' : kind === 'tiles' ? 'tiles' : 'plain',
    groundLight: draw(0.82, 0.93),
    shadow: kind === 'shadow' ? draw(0.25, 0.6) : 0,
  };
  const view: View = {
    width: 360,
    height: 440,
    far: draw(600, 1100),
    down: kind === 'above' ? draw(0.05, 0.3) : draw(-0.01, 0.02),
    roll: kind === 'rolled' ? draw(-1, 1) * 0.07 : draw(-0.015, 0.015),
    aside: kind === 'aside' ? draw(0.08, 0.15) * (number % 2 ? 1 : -1) : scene.handle > 0 ? -0.08 : 0,
    fills: 0.58,
    noise: draw(2, 5),
    seed: number + 1,
  };
  return { kind, scene, view };
}
