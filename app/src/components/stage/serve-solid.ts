import { type BlankArt, paintArt } from './blank-art.ts';
import { BlankScene } from './blank-scene.ts';
import { newCanvas } from './blank-textures.ts';
import type { SolidReply, SolidRequest } from './solid-messages.ts';
import type { Spot } from '../../stores/view.ts';

/** ms between two paintings that are as quick as while something is dragged: rougher until it rests. */
const QUICK_MS = 400;

/**
 * Draws one solid blank as it is told to, in whatever thread this runs.
 *
 * @param reply tells the page
 * @returns hears what the page tells
 */
export function serveSolid(reply: (message: SolidReply) => void): (request: SolidRequest) => void {
  const [side] = newCanvas(8, 8);
  let scene: BlankScene | null = null;
  let art: BlankArt | null = null;
  let colour = '#FFFFFF';
  let paintedAt = 0;
  let paintedDetail = 1;
  let waits: ReturnType<typeof setTimeout> | undefined;
  let spot: Spot | null = null;
  let told = '';

  function mark(): void {
    const at = spot && scene ? scene.project(spot) : null;
    const now = at ? `${at.x.toFixed(1)} ${at.y.toFixed(1)}` : '';
    if (now === told) return;
    told = now;
    reply({ tells: 'marked', at });
  }

  function paint(): void {
    if (!scene || waits !== undefined) return;
    const left = paintedAt + scene.pause - performance.now();
    if (left <= 0) return paintNow(scene);
    waits = setTimeout(() => {
      waits = undefined;
      if (scene) paintNow(scene);
    }, left);
  }
  function paintNow(on: BlankScene): void {
    const now = performance.now();
    if (now - paintedAt < QUICK_MS) on.hurry();
    paintedAt = now;
    paintedDetail = on.detail;
    if (art) paintArt(side, art, on.detail);
    else {
      side.width = side.height = 8;
      const pen = side.getContext('2d') as OffscreenCanvasRenderingContext2D;
      pen.fillStyle = colour;
      pen.fillRect(0, 0, 8, 8);
    }
    on.artChanged();
    reply({ tells: 'painted' });
  }
  function rested(): void {
    if (scene && scene.detail !== paintedDetail) paint();
  }

  function open({ canvas, shape, facing, tape, ...size }: SolidRequest & { tells: 'open' }): void {
    try {
      scene = new BlankScene(canvas, side, { rested, drawn: mark });
    } catch {
      reply({ tells: 'refused' });
      return;
    }
    scene.hurry();
    scene.resize(size);
    scene.setShape(shape);
    scene.setFacing(facing);
    scene.setTape(tape);
    paint();
    void scene.start();
  }

  return (request) => {
    switch (request.tells) {
      case 'open':
        return open(request);
      case 'size':
        return scene?.resize(request);
      case 'shape':
        scene?.setShape(request.shape);
        return scene?.setTape(request.tape);
      case 'tape':
        return scene?.setTape(request.tape);
      case 'facing':
        return scene?.setFacing(request.azimuth);
      case 'held':
        if (request.tiltBy !== 0) scene?.tiltBy(request.tiltBy);
        return scene?.hurry();
      case 'art':
        [art, colour] = [request.art, request.colour];
        if (request.moving) scene?.hurry();
        return paint();
      case 'mark':
        spot = request.spot;
        return mark();
      case 'pick':
        return reply({ tells: 'picked', id: request.id, spot: scene?.pick(request.x, request.y) ?? null });
      case 'close':
        clearTimeout(waits);
        scene?.dispose();
        scene = null;
    }
  };
}
