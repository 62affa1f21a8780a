/**
 * Film laid on a shallow ball by least energy, on a grid: an independent check of the closed formulas. Plane stress,
 * bilinear squares with one point each in the middle of four sub-squares; displacement by conjugate gradients.
 *
 * On z = (x² + y²)/2R the strains are ε = ∇u (symmetric) + ½ ∇z ∇zᵀ. All lengths in mm.
 */
export interface Relaxed {
  /** Principal strains in the middle of each cell that belongs to the shape, with its place. */
  readonly cells: readonly { readonly x: number; readonly y: number; readonly least: number; readonly most: number }[];
}

/** @param inside whether the middle of a cell belongs to the shape; @param poisson of the film, 0.4 for vinyl */
export function relaxOnBall(
  width: number,
  height: number,
  size: number,
  radius: number,
  inside: (x: number, y: number) => boolean,
  poisson = 0.4,
): Relaxed {
  const nx = Math.round(width / size);
  const ny = Math.round(height / size);
  const at = (i: number, j: number): [number, number] => [(i - nx / 2) * size, (j - ny / 2) * size];
  const cells: { i: number; j: number; x: number; y: number }[] = [];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const [x, y] = [at(i, j)[0] + size / 2, at(i, j)[1] + size / 2];
      if (inside(x, y)) cells.push({ i, j, x, y });
    }
  const node = (i: number, j: number): number => 2 * (j * (nx + 1) + i);
  const unknowns = 2 * (nx + 1) * (ny + 1);
  const gauss = 0.5 / Math.sqrt(3);
  const points = [-gauss, gauss].flatMap((a) => [-gauss, gauss].map((b) => [a, b] as const));

  /** Corners of a cell and how its strains follow from their displacements at a point of it (a, b in −½ … ½). */
  const shapeOf = ({ i, j }: (typeof cells)[number], a: number, b: number) => ({
    corners: [node(i, j), node(i + 1, j), node(i, j + 1), node(i + 1, j + 1)],
    dx: [-(0.5 - b), 0.5 - b, -(0.5 + b), 0.5 + b].map((v) => v / size),
    dy: [-(0.5 - a), -(0.5 + a), 0.5 - a, 0.5 + a].map((v) => v / size),
  });
  /** Strain of a cell at a point of it (a, b in −½ … ½), from the displacements. */
  const strain = (cell: (typeof cells)[number], u: Float64Array, a: number, b: number, bent: boolean): number[] => {
    const { corners, dx, dy } = shapeOf(cell, a, b);
    let [exx, eyy, exy] = [0, 0, 0];
    corners.forEach((c, k) => {
      exx += dx[k]! * u[c]!;
      eyy += dy[k]! * u[c + 1]!;
      exy += (dy[k]! * u[c]! + dx[k]! * u[c + 1]!) / 2;
    });
    if (bent) {
      const [zx, zy] = [(cell.x + a * size) / radius, (cell.y + b * size) / radius];
      exx += (zx * zx) / 2;
      eyy += (zy * zy) / 2;
      exy += (zx * zy) / 2;
    }
    return [exx, eyy, exy];
  };
  /** Gradient of the energy; linear in u apart from the bending that is there at the start. */
  const gradient = (u: Float64Array, bent: boolean): Float64Array => {
    const out = new Float64Array(unknowns);
    for (const cell of cells)
      for (const [a, b] of points) {
        const [exx, eyy, exy] = strain(cell, u, a, b, bent) as [number, number, number];
        const sxx = exx + poisson * eyy;
        const syy = eyy + poisson * exx;
        const sxy = (1 - poisson) * exy;
        const { corners, dx, dy } = shapeOf(cell, a, b);
        corners.forEach((c, k) => {
          out[c]! += dx[k]! * sxx + dy[k]! * sxy;
          out[c + 1]! += dy[k]! * syy + dx[k]! * sxy;
        });
      }
    return out;
  };
  const dot = (p: Float64Array, q: Float64Array): number => p.reduce((sum, v, k) => sum + v * q[k]!, 0);
  const u = new Float64Array(unknowns);
  let r = gradient(u, true).map((v) => -v);
  let p = r.slice();
  let rr = dot(r, r);
  const start = rr;
  for (let round = 0; round < 1200 && rr > 1e-16 * start; round++) {
    const ap = gradient(p, false);
    const step = rr / dot(p, ap);
    for (let k = 0; k < unknowns; k++) u[k]! += step * p[k]!;
    r = r.map((v, k) => v - step * ap[k]!);
    const next = dot(r, r);
    p = r.map((v, k) => v + (next / rr) * p[k]!);
    rr = next;
  }
  return {
    cells: cells.map((cell) => {
      const [exx, eyy, exy] = strain(cell, u, 0, 0, true) as [number, number, number];
      const [mean, spread] = [(exx + eyy) / 2, Math.hypot((exx - eyy) / 2, exy)];
      return { x: cell.x, y: cell.y, least: mean - spread, most: mean + spread };
    }),
  };
}
