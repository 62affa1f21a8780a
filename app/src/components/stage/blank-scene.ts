import type { TapePlace } from '@mivet/core';
import {
  type BufferGeometry,
  CanvasTexture,
  Group,
  LinearFilter,
  type Material,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Raycaster,
  RepeatWrapping,
  Scene,
  SRGBColorSpace,
  Vector2,
  WebGLRenderer,
} from 'three';
import type { Spot } from '../../stores/view.ts';
import { matcapCanvas, shadowCanvas } from './blank-textures.ts';
import { normalOn, pointOn, reachOf, seenThrough, solidMeshes, spotOn, standOf } from './solid-meshes.ts';
import type { BlankShape } from './solid-shape.ts';
import { tapeMeshes } from './solid-tape.ts';

/**
 * A lit turntable of the blank, drawn only when something changed. Azimuth 0 faces the viewer when `facing` is 0.
 * y is up; the band's rim edge is at y = 0.
 */
export class BlankScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(24, 1, 10, 6000);
  private readonly table = new Group();
  private readonly art: CanvasTexture<OffscreenCanvas>;
  private solid: Group | null = null;
  private tape: Group | null = null;
  private shape: BlankShape | null = null;
  private tilt = 0.24;
  private started = false;
  private queued = 0;
  private turning: ReturnType<typeof setTimeout> | undefined;
  private size = { width: 1, height: 1 };
  /** Pixels of the screen for each of the page. */
  private sharp = 1;
  private artSize = '';
  /** Drawn by the processor, not by a graphics card: then fewer pixels, and the sharp ones only after a longer rest. */
  private readonly slow: boolean;

  /**
   * @param canvas where the blank is shown
   * @param artCanvas what is on its side, unrolled
   * @param hear told when the blank has come to rest after a turn or a drag, before it is drawn sharp; and when it was drawn
   */
  constructor(
    canvas: HTMLCanvasElement | OffscreenCanvas,
    artCanvas: OffscreenCanvas,
    private readonly hear: { readonly rested: () => void; readonly drawn: () => void },
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: false, alpha: true, powerPreference: 'low-power' });
    this.renderer.outputColorSpace = SRGBColorSpace;
    const gl = this.renderer.getContext();
    const named = gl.getExtension('WEBGL_debug_renderer_info');
    const renderer = String(gl.getParameter(named?.UNMASKED_RENDERER_WEBGL ?? gl.RENDERER));
    this.slow = /swiftshader|llvmpipe|software/i.test(renderer);
    this.art = new CanvasTexture(artCanvas);
    this.art.colorSpace = SRGBColorSpace;
    this.art.wrapS = RepeatWrapping;
    if (this.slow) {
      // Smaller copies of the artwork would have to be regenerated at each step of a drag, on the CPU.
      this.art.generateMipmaps = false;
      this.art.minFilter = LinearFilter;
    } else this.art.anisotropy = 4;
    this.scene.add(this.table);
  }

  /** Rebuilds the blank. */
  setShape(shape: BlankShape): void {
    this.shape = shape;
    this.clearTable();
    // Left in its own numbers: light multiplies the colour, and white leaves it as it is.
    const matcap = new CanvasTexture(matcapCanvas(shape.shine));
    this.solid = solidMeshes(
      shape,
      new MeshMatcapMaterial({ map: this.art, matcap, ...seenThrough(shape, 1) }),
      matcap,
    );
    this.table.add(this.solid, shadow(shape));
    this.frame();
    this.draw();
  }

  /** Marks the artwork canvas as repainted. */
  artChanged(): void {
    const { width, height } = this.art.image;
    // A texture keeps the size it was first sent with; another size needs a new one on the card.
    if (this.artSize !== `${width}×${height}`) this.art.dispose();
    this.artSize = `${width}×${height}`;
    this.art.needsUpdate = true;
    this.draw();
  }

  setFacing(azimuth: number): void {
    this.table.rotation.y = -azimuth;
    this.draw();
  }

  /** Looks from a little higher or lower, rad. */
  tiltBy(by: number): void {
    this.tilt = Math.max(-0.1, Math.min(0.9, this.tilt + by));
    this.frame();
    this.draw();
  }

  /** Where a spot of the side shows on the canvas, px; null when it faces away. Costs no drawing. */
  project(spot: Spot): { x: number; y: number } | null {
    if (!this.shape) return null;
    const at = this.table.localToWorld(pointOn(this.shape, spot));
    const outward = normalOn(this.shape, spot).applyEuler(this.table.rotation);
    if (outward.dot(this.camera.position.clone().sub(at)) <= 0) return null;
    const p = at.project(this.camera);
    return { x: ((p.x + 1) / 2) * this.size.width, y: ((1 - p.y) / 2) * this.size.height };
  }

  /** Lays the measuring tape where a reading is taken. */
  setTape(place: TapePlace | null): void {
    if (this.tape) {
      this.table.remove(this.tape);
      disposeTree(this.tape);
      this.tape = null;
    }
    if (this.shape && place) {
      this.tape = tapeMeshes(this.shape, place);
      this.table.add(this.tape);
    }
    this.draw();
  }

  /** Spot on the side under a point of the canvas, or null. */
  pick(x: number, y: number): Spot | null {
    if (!this.solid || !this.shape) return null;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((x / this.size.width) * 2 - 1, 1 - (y / this.size.height) * 2), this.camera);
    const hit = ray.intersectObject(this.solid, true)[0];
    if (!hit) return null;
    const spot = spotOn(this.shape, this.table.worldToLocal(hit.point.clone()));
    // The inside of a bowl is no place for film.
    const outward = spot && normalOn(this.shape, spot).applyEuler(this.table.rotation);
    return outward && outward.dot(ray.ray.direction) < 0 ? spot : null;
  }

  resize({ width, height, sharp }: { width: number; height: number; sharp: number }): void {
    this.size = { width: Math.max(1, width), height: Math.max(1, height) };
    this.sharp = sharp;
    this.camera.aspect = this.size.width / this.size.height;
    this.frame();
    this.draw();
  }

  /** How finely the side is worth painting just now: canvas pixels for each of its units. */
  get detail(): number {
    if (!this.slow) return 1;
    return this.turning ? 0.25 : 0.5;
  }

  /** ms to leave between two paintings of the side, so that the flat keeps up with the hand. */
  get pause(): number {
    return this.slow && this.turning ? 300 : 0;
  }

  /** Lowers the resolution while the blank turns, and sharpens it again when it rests. */
  hurry(): void {
    clearTimeout(this.turning);
    this.turning = setTimeout(
      () => {
        this.turning = undefined;
        this.hear.rested();
        this.draw();
      },
      this.slow ? 450 : 160,
    );
  }

  /** Prepares the first drawing without holding up the page; nothing is drawn before. */
  async start(): Promise<void> {
    await this.renderer.compileAsync(this.scene, this.camera).catch(() => undefined);
    this.started = true;
    this.draw();
  }

  /** Draws on the next frame, once. */
  draw(): void {
    if (this.queued || !this.started) return;
    this.queued = requestAnimationFrame(() => {
      this.queued = 0;
      this.fitCanvas();
      this.renderer.render(this.scene, this.camera);
      this.hear.drawn();
    });
  }

  /** Gives the canvas its pixels: only when they change, since setting them clears it. */
  private fitCanvas(): void {
    // Twice as many pixels each way as are shown: every edge is mixed from four.
    const sharp = Math.min(2.5, Math.max(2, this.sharp));
    const ratio = this.turning ? (this.slow ? 0.7 : 0.9) : sharp;
    const { width, height } = this.size;
    const now = this.renderer.getSize(new Vector2());
    if (ratio === this.renderer.getPixelRatio() && width === now.x && height === now.y) return;
    this.renderer.setDrawingBufferSize(width, height, ratio);
  }

  dispose(): void {
    this.started = false;
    cancelAnimationFrame(this.queued);
    clearTimeout(this.turning);
    disposeTree(this.scene);
    this.art.dispose();
    this.renderer.dispose();
  }

  /** Puts the camera where the whole blank fits, handle included. */
  private frame(): void {
    if (!this.shape) return;
    const { top, bottom, radius } = reachOf(this.shape);
    const middle = (top + bottom) / 2;
    const tall = ((top - bottom) / 2) * Math.cos(this.tilt) + radius * Math.abs(Math.sin(this.tilt));
    const half = Math.tan((this.camera.fov * Math.PI) / 360);
    const distance = 1.16 * Math.max(tall / half, radius / (half * this.camera.aspect)) + radius;
    this.camera.position.set(0, middle + distance * Math.sin(this.tilt), distance * Math.cos(this.tilt));
    this.camera.lookAt(0, middle, 0);
    this.camera.updateProjectionMatrix();
  }

  private clearTable(): void {
    for (const child of [...this.table.children]) {
      this.table.remove(child);
      disposeTree(child);
    }
    this.tape = null;
  }
}

function shadow(shape: BlankShape): Mesh {
  const { height, width, foot } = standOf(shape);
  const map = new CanvasTexture(shadowCanvas(foot));
  map.colorSpace = SRGBColorSpace;
  const mesh = new Mesh(
    new PlaneGeometry(width, width * 0.9),
    new MeshBasicMaterial({ map, transparent: true, depthWrite: false }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = height;
  mesh.renderOrder = -1;
  return mesh;
}

function disposeTree(root: { traverse: (visit: (node: unknown) => void) => void }): void {
  root.traverse((node) => {
    if (!(node instanceof Mesh)) return;
    (node.geometry as BufferGeometry).dispose();
    for (const material of [node.material].flat() as Material[]) material.dispose();
  });
}
