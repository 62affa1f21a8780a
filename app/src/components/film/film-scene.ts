import type { LayFrame, SideOutline } from '@mivet/core';
import { BufferAttribute, BufferGeometry, CanvasTexture, Color, DoubleSide, Group, LatheGeometry, LineBasicMaterial, LineSegments, Mesh, MeshMatcapMaterial, PerspectiveCamera, Scene, SRGBColorSpace, Vector2, WebGLRenderer } from 'three'; // prettier-ignore
import { matcapCanvas } from '../stage/blank-textures.ts';
import { colourOf, HANGING, rimOf, strainOfPoints, TALLER } from './film-colours.ts';

/** mm that film is drawn off the side, so that it does not flicker into it. */
const OFF_MM = 0.3;
/** Share of the picture that the film fills. */
const FILLS = 0.6;

/** A sheet of film on its side, drawn when something changed. */
export class FilmScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(22, 1, 5, 6000);
  private readonly table = new Group();
  private readonly sheet: Mesh<BufferGeometry, MeshMatcapMaterial>;
  private readonly rim = new LineSegments(new BufferGeometry(), new LineBasicMaterial({ color: '#4a4438' }));
  private side: Mesh | null = null;
  private triangles: Uint32Array = new Uint32Array();
  private queued = 0;
  private size = { width: 1, height: 1 };
  private reach = 10;
  private out = 10;
  private middle = 0;
  private turn = 0;
  private tilt = 0.12;
  private frame: LayFrame | null = null;

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true, powerPreference: 'low-power' });
    this.renderer.outputColorSpace = SRGBColorSpace;
    this.sheet = new Mesh(
      new BufferGeometry(),
      new MeshMatcapMaterial({ matcap: new CanvasTexture(matcapCanvas('matte')), vertexColors: true, side: DoubleSide }), // prettier-ignore
    );
    this.sheet.frustumCulled = this.rim.frustumCulled = false;
    this.table.add(this.sheet, this.rim);
    this.scene.add(this.table);
  }

  /**
   * Another sheet, or the same more finely.
   *
   * @param flat of its points, mm
   * @param triangles three points each
   * @param outline of what it is laid on
   * @param colour of that
   */
  setSheet(flat: Float64Array, triangles: Uint32Array, outline: SideOutline, colour: string): void {
    this.triangles = triangles;
    const points = flat.length / 2;
    this.sheet.geometry.dispose();
    const geometry = (this.sheet.geometry = new BufferGeometry());
    geometry.setAttribute('position', new BufferAttribute(new Float32Array(3 * points), 3));
    geometry.setAttribute('color', new BufferAttribute(new Float32Array(3 * points), 3));
    geometry.setIndex(new BufferAttribute(triangles, 1));
    this.rim.geometry.dispose();
    this.rim.geometry = new BufferGeometry();
    this.rim.geometry.setAttribute('position', geometry.getAttribute('position'));
    this.rim.geometry.setIndex(new BufferAttribute(rimOf(triangles), 1));
    let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
    for (let i = 0; i < flat.length; i += 2) {
      [minX, maxX] = [Math.min(minX, flat[i]!), Math.max(maxX, flat[i]!)];
      [minY, maxY] = [Math.min(minY, flat[i + 1]!), Math.max(maxY, flat[i + 1]!)];
    }
    this.out = Math.max(...outline.radii);
    // What goes round shows no more than its front.
    this.reach = Math.min(Math.hypot(maxX - minX, maxY - minY) / 2, Math.hypot(1.2 * this.out, (maxY - minY) / 2));
    if (this.side) {
      this.table.remove(this.side);
      this.side.geometry.dispose();
      (this.side.material as MeshMatcapMaterial).dispose();
    }
    const rows = Array.from(outline.heights, (height, i) => new Vector2(Math.max(0.01, outline.radii[i]!), height)).reverse(); // prettier-ignore
    this.side = new Mesh(
      new LatheGeometry(rows, 96),
      new MeshMatcapMaterial({ matcap: new CanvasTexture(matcapCanvas('matte')), color: new Color(colour), side: DoubleSide, polygonOffset: true, polygonOffsetFactor: 2, polygonOffsetUnits: 8 }), // prettier-ignore
    );
    this.table.add(this.side);
    this.look();
  }

  /** How the sheet is in one step. */
  setFrame(frame: LayFrame): void {
    this.frame = frame;
    const { geometry } = this.sheet;
    const position = geometry.getAttribute('position') as BufferAttribute;
    const colour = geometry.getAttribute('color') as BufferAttribute;
    const { at, off } = frame;
    const strains = strainOfPoints(frame, this.triangles);
    const paint = new Color();
    for (let i = 0; i < off.length; i++) {
      const [x, y, z] = [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];
      const r = Math.hypot(x, z) || 1;
      const out = (OFF_MM + TALLER * off[i]!) / r;
      position.setXYZ(i, x * (1 + out), y, z * (1 + out));
      if (frame.pressed[i]) {
        const [red, green, blue] = colourOf(strains[i]!);
        paint.setRGB(red / 255, green / 255, blue / 255, SRGBColorSpace);
      } else paint.set(HANGING);
      colour.setXYZ(i, paint.r, paint.g, paint.b);
    }
    position.needsUpdate = colour.needsUpdate = true;
    geometry.computeVertexNormals();
    this.draw();
  }

  /** Turns the side, and looks from higher or lower, rad. */
  turnBy(turn: number, tilt: number): void {
    this.turn += turn;
    this.tilt = Math.max(-0.9, Math.min(0.9, this.tilt + tilt));
    this.look();
  }

  /** The spot in the middle of the film comes to the front. @param azimuth rad @param height mm */
  face(azimuth: number, height: number): void {
    this.turn = -azimuth;
    this.middle = height;
    this.look();
  }

  resize(width: number, height: number): void {
    this.size = { width: Math.max(1, width), height: Math.max(1, height) };
    this.renderer.setDrawingBufferSize(this.size.width, this.size.height, Math.min(2, window.devicePixelRatio));
    this.look();
  }

  dispose(): void {
    cancelAnimationFrame(this.queued);
    this.sheet.geometry.dispose();
    this.sheet.material.dispose();
    this.rim.geometry.dispose();
    this.rim.material.dispose();
    this.side?.geometry.dispose();
    this.renderer.dispose();
  }

  private look(): void {
    this.table.rotation.y = this.turn;
    this.camera.aspect = this.size.width / this.size.height;
    const half = Math.tan((this.camera.fov * Math.PI) / 360);
    const away = this.out + this.reach / (half * Math.min(1, this.camera.aspect) * FILLS);
    this.camera.position.set(0, this.middle + away * Math.sin(this.tilt), away * Math.cos(this.tilt));
    this.camera.lookAt(0, this.middle, 0);
    this.camera.updateProjectionMatrix();
    this.draw();
  }

  private draw(): void {
    if (this.queued || !this.frame) return;
    this.queued = requestAnimationFrame(() => {
      this.queued = 0;
      this.renderer.render(this.scene, this.camera);
    });
  }
}
