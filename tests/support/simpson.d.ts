declare module 'integrate-adaptive-simpson' {
  /** Adaptive Simpson quadrature of f over [a, b]. */
  export default function integrate(
    f: (x: number) => number,
    a: number,
    b: number,
    tolerance?: number,
    maxDepth?: number,
  ): number;
}
