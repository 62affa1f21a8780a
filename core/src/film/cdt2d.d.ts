declare module 'cdt2d' {
  /** Constrained Delaunay triangles of points, with edges that have to be kept. */
  export default function cdt2d(
    points: readonly (readonly [number, number])[],
    edges: readonly (readonly [number, number])[],
    options?: { readonly delaunay?: boolean; readonly interior?: boolean; readonly exterior?: boolean },
  ): [number, number, number][];
}
