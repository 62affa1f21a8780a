import {
  BufferGeometry,
  CanvasTexture,
  CatmullRomCurve3,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  LinearFilter,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Raycaster,
  RepeatWrapping,
  Scene,
  SRGBColorSpace,
  TorusGeometry,
  TubeGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
  type Material,
} from 'three';
import { matcapCanvas, shadowCanvas, tapeCanvas } from './blank-textures.ts';
import type { Spot } from '../../stores/view.ts';

/** The solid blank in mm: what the scene needs to know of it. */
export interface BlankShape {
  readonly radiusRim: number;
  readonly radiusBase: number;
  readonly side: number;
  /** Straight part above and below the band, along the side. */
  readonly above: number;
  readonly below: number;
  readonly handleWidth: number;
  readonly colour: string;
  readonly shine: 'steel' | 'glaze' | 'glass' | 'matte';
}

/** Where the tape lies for the reading that is being asked for. */
export type TapePlace = 'rim' | 'base' | 'side' | 'upright' | 'across' | null;

const ROUND = 96;
const WALL = 2.6;

/**
 * A lit turntable of the blank, drawn only when something changed. Azimuth 0 faces the viewer when `facing` is 0.
 * y is up; the band's rim edge is at y = 0.
 */
export class BlankScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(24, 1, 10, 6000);
  private readonly table = new Group();
  private readonly art: CanvasTexture;
  private body: Mesh | null = null;
  private tape: Group | null = null;
  private shape: BlankShape | null = null;
  private taper = 0;
  private tilt = 0.24;
  private started = false;
  private queued = 0;
  private turning = 0;
  private size = { width: 1, height: 1 };
  private artSize = '';
  /** Drawn by the processor, not by a graphics card: then fewer pixels, and the sharp ones only after a longer rest. */
  private readonly slow: boolean;

  /**
   * @param canvas where the blank is shown
   * @param artCanvas what is on its side, unrolled
   * @param rested called when the blank has come to rest after a turn or a drag, before it is drawn sharp
   */
  constructor(
    canvas: HTMLCanvasElement,
    artCanvas: HTMLCanvasElement,
    private readonly rested: () => void,
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
      // Smaller copies of the artwork would have to be made anew at each step of a drag, by the processor.
      this.art.generateMipmaps = false;
      this.art.minFilter = LinearFilter;
    } else this.art.anisotropy = 4;
    this.scene.add(this.table);
  }

  /** Builds the blank anew. */
  setShape(shape: BlankShape): void {
    this.shape = shape;
    this.taper = (shape.radiusRim - shape.radiusBase) / shape.side;
    this.clearTable();
    // Left in its own numbers: light multiplies the colour, and white leaves it as it is.
    const matcap = new CanvasTexture(matcapCanvas(shape.shine));
    this.body = new Mesh(
      this.sideGeometry(0, -shape.above, shape.side + shape.below),
      new MeshMatcapMaterial({ map: this.art, matcap }),
    );
    const plain = new MeshMatcapMaterial({ color: shape.colour, matcap });
    const inside = new MeshMatcapMaterial({
      color: shape.shine === 'steel' ? '#5d656b' : shape.colour,
      matcap,
      side: DoubleSide,
    });
    const lipRadius = this.radiusAt(-shape.above) - WALL / 2;
    const lip = new Mesh(new TorusGeometry(lipRadius, WALL / 2, 10, ROUND), plain);
    lip.rotation.x = Math.PI / 2;
    lip.position.y = this.heightAt(-shape.above);
    const wall = new Mesh(this.sideGeometry(-WALL, -shape.above, shape.side * 0.96), inside);
    this.table.add(this.body, lip, wall, this.foot(plain, inside));
    if (shape.handleWidth > 0) this.table.add(this.handle(plain));
    this.table.add(this.shadow());
    this.frame();
    this.draw();
  }

  /** Tells that the artwork canvas was painted anew. */
  artChanged(): void {
    const { width, height } = this.art.image as HTMLCanvasElement;
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
    const at = this.table.localToWorld(this.pointAt(spot.azimuth, spot.slant, 0));
    const outward = new Vector3(Math.sin(spot.azimuth), 0, Math.cos(spot.azimuth)).applyEuler(this.table.rotation);
    if (outward.dot(this.camera.position.clone().sub(at)) <= 0) return null;
    const p = at.project(this.camera);
    return { x: ((p.x + 1) / 2) * this.size.width, y: ((1 - p.y) / 2) * this.size.height };
  }

  /** Lays the measuring tape where a reading is taken. */
  setTape(place: TapePlace): void {
    if (this.tape) {
      this.table.remove(this.tape);
      disposeTree(this.tape);
      this.tape = null;
    }
    if (this.shape && place) {
      this.tape = this.tapeAt(place, this.shape);
      this.table.add(this.tape);
    }
    this.draw();
  }

  /** Spot on the side under a point of the canvas, or null. */
  pick(x: number, y: number): Spot | null {
    if (!this.body || !this.shape) return null;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2((x / this.size.width) * 2 - 1, 1 - (y / this.size.height) * 2), this.camera);
    const hit = ray.intersectObject(this.body)[0];
    if (!hit) return null;
    const at = this.table.worldToLocal(hit.point.clone());
    const slant = -at.y / this.cosTaper();
    if (slant < 0 || slant > this.shape.side) return null;
    return { azimuth: Math.atan2(at.x, at.z), slant };
  }

  resize(width: number, height: number): void {
    this.size = { width: Math.max(1, width), height: Math.max(1, height) };
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
    return this.slow && this.turning ? 140 : 0;
  }

  /** Lowers the resolution while the blank turns, and sharpens it again when it rests. */
  hurry(): void {
    window.clearTimeout(this.turning);
    this.turning = window.setTimeout(
      () => {
        this.turning = 0;
        this.rested();
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
      const sharp = Math.min(2.5, Math.max(this.slow ? 1.5 : 2, window.devicePixelRatio));
      this.renderer.setPixelRatio(this.turning ? (this.slow ? 0.7 : 0.9) : sharp);
      this.renderer.setSize(this.size.width, this.size.height, false);
      this.renderer.render(this.scene, this.camera);
    });
  }

  dispose(): void {
    this.started = false;
    cancelAnimationFrame(this.queued);
    window.clearTimeout(this.turning);
    disposeTree(this.scene);
    this.art.dispose();
    this.renderer.dispose();
  }

  private radiusAt(slant: number): number {
    return this.shape!.radiusRim - this.taper * slant;
  }
  private cosTaper(): number {
    return Math.sqrt(Math.max(0.05, 1 - this.taper * this.taper));
  }
  private heightAt(slant: number): number {
    return -slant * this.cosTaper();
  }
  private pointAt(azimuth: number, slant: number, out: number): Vector3 {
    const r = this.radiusAt(slant) + out;
    return new Vector3(r * Math.sin(azimuth), this.heightAt(slant), r * Math.cos(azimuth));
  }

  /** The side as a grid; u runs round from −π to π, v down from the top. */
  private sideGeometry(
    out: number,
    from: number,
    to: number,
    azimuths: readonly [number, number] = [-Math.PI, Math.PI],
    turns = 1,
  ): BufferGeometry {
    const positions: number[] = [];
    const normals: number[] = [];
    const uvs: number[] = [];
    const index: number[] = [];
    const rows = 24;
    const cos = this.cosTaper();
    for (let row = 0; row <= rows; row++) {
      const slant = from + ((to - from) * row) / rows;
      for (let column = 0; column <= ROUND; column++) {
        const azimuth = azimuths[0] + ((azimuths[1] - azimuths[0]) * column) / ROUND;
        const p = this.pointAt(azimuth, slant, out);
        positions.push(p.x, p.y, p.z);
        normals.push(Math.sin(azimuth) * cos, -this.taper, Math.cos(azimuth) * cos);
        uvs.push((column / ROUND) * turns, 1 - row / rows);
      }
    }
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < ROUND; column++) {
        const a = row * (ROUND + 1) + column;
        const b = a + ROUND + 1;
        index.push(a, b, a + 1, b, b + 1, a + 1);
      }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
    geometry.setAttribute('normal', new Float32BufferAttribute(normals, 3));
    geometry.setAttribute('uv', new Float32BufferAttribute(uvs, 2));
    geometry.setIndex(index);
    return geometry;
  }

  private foot(outer: Material, inner: Material): Group {
    const { side, below } = this.shape!;
    const group = new Group();
    const r = this.radiusAt(side + below);
    const curve = Math.min(4, r * 0.1);
    const edge = new Mesh(new TorusGeometry(r - curve, curve, 10, ROUND), outer);
    edge.rotation.x = Math.PI / 2;
    edge.position.y = this.heightAt(side + below);
    const floor = new Mesh(new PlaneGeometry(2 * r, 2 * r).rotateX(-Math.PI / 2), inner);
    floor.scale.set(0.7, 1, 0.7);
    floor.position.y = this.heightAt(side * 0.955);
    group.add(edge, floor);
    return group;
  }

  private handle(material: Material): Mesh {
    const { side, handleWidth } = this.shape!;
    const reach = Math.min(34, side * 0.36);
    const points = [
      [0.16, -1],
      [0.14, 0.5],
      [0.24, 0.92],
      [0.46, 1],
      [0.68, 0.86],
      [0.82, 0.4],
      [0.84, -1],
    ].map(([down, out]) => {
      const slant = side * down!;
      const p = this.pointAt(Math.PI, slant, out! < 0 ? -1 : out! * reach);
      return p;
    });
    const tube = new TubeGeometry(new CatmullRomCurve3(points), 48, 4.2, 12, false);
    const mesh = new Mesh(tube, material);
    // Wider than deep, as handles are: stretched sideways to the width that was read.
    mesh.scale.x = handleWidth / 8.4;
    return mesh;
  }

  private shadow(): Mesh {
    const { side, below } = this.shape!;
    const r = this.radiusAt(side + below) * 3.7;
    const map = new CanvasTexture(shadowCanvas());
    const mesh = new Mesh(
      new PlaneGeometry(r, r * 0.9),
      new MeshBasicMaterial({ map, transparent: true, depthWrite: false }),
    );
    mesh.rotation.x = -Math.PI / 2;
    mesh.position.y = this.heightAt(side + below) - Math.min(4, this.radiusAt(side) * 0.1) - 0.5;
    mesh.renderOrder = -1;
    return mesh;
  }

  private tapeAt(place: Exclude<TapePlace, null>, shape: BlankShape): Group {
    const group = new Group();
    const width = Math.min(11, shape.side / 6);
    const material = (turns: number): MeshBasicMaterial => {
      const map = new CanvasTexture(tapeCanvas());
      map.colorSpace = SRGBColorSpace;
      map.wrapS = RepeatWrapping;
      map.repeat.x = turns;
      return new MeshBasicMaterial({ map, side: DoubleSide });
    };
    if (place === 'rim' || place === 'base') {
      const from = place === 'rim' ? 0.5 : shape.side - width - 0.5;
      const girth = 2 * Math.PI * this.radiusAt(from);
      const band = new Mesh(this.sideGeometry(0.7, from, from + width), material(girth / 40));
      const tab = new Mesh(new PlaneGeometry(width * 1.1, width * 1.5), new MeshBasicMaterial({ color: 0xe4e6e4 }));
      tab.position.copy(this.pointAt(0.35, from + width / 2, 1.6));
      tab.rotation.y = 0.35;
      group.add(band, tab);
    } else if (place === 'side' || place === 'upright') {
      const length = place === 'side' ? shape.side : shape.side * this.cosTaper();
      const strip = new Mesh(new PlaneGeometry(length, width), material(length / 40));
      const azimuth = 0.28;
      const middle =
        place === 'side'
          ? this.pointAt(azimuth, shape.side / 2, 0.8)
          : this.pointAt(azimuth, place === 'upright' && this.taper < 0 ? shape.side : 0, 1.2).setY(
              this.heightAt(shape.side / 2),
            );
      strip.position.copy(middle);
      strip.rotation.order = 'YXZ';
      strip.rotation.y = azimuth;
      strip.rotation.x = place === 'side' ? Math.asin(this.taper) : 0;
      strip.rotateZ(-Math.PI / 2);
      group.add(strip);
    } else {
      const length = 2 * this.radiusAt(-shape.above);
      const strip = new Mesh(new PlaneGeometry(length, width).rotateX(-Math.PI / 2), material(length / 40));
      strip.position.y = this.heightAt(-shape.above) + WALL;
      group.add(strip);
    }
    return group;
  }

  /** Puts the camera where the whole blank fits, handle included. */
  private frame(): void {
    if (!this.shape) return;
    const { side, above, below, handleWidth } = this.shape;
    const top = this.heightAt(-above) + 4;
    const bottom = this.heightAt(side + below) - 6;
    const radius = Math.max(this.radiusAt(-above), this.radiusAt(side + below)) + (handleWidth > 0 ? 30 : 6);
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

function disposeTree(root: { traverse: (visit: (node: unknown) => void) => void }): void {
  root.traverse((node) => {
    if (!(node instanceof Mesh)) return;
    (node.geometry as BufferGeometry).dispose();
    for (const material of [node.material].flat() as Material[]) material.dispose();
  });
}
