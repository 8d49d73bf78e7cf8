/** A reef knot of twine: proof, and nothing else. */
export function Knot({ cx, cy, r }: { cx: number; cy: number; r: number }) {
  const width = Math.max(1.3, r * 0.2);
  const at = (x: number, y: number): string =>
    `${(cx + x * r).toFixed(2)} ${(cy + y * r).toFixed(2)}`;
  const bight = (m: number): string =>
    `M${at(-1.7 * m, -0.3)}L${at(-0.55 * m, -0.3)}C${at(-0.1 * m, -0.3)} ${at(-0.1 * m, -0.82)} ${at(0.4 * m, -0.82)}C${at(1.25 * m, -0.82)} ${at(1.25 * m, 0.82)} ${at(0.4 * m, 0.82)}C${at(-0.1 * m, 0.82)} ${at(-0.1 * m, 0.3)} ${at(-0.55 * m, 0.3)}L${at(-1.35 * m, 0.3)}`;
  const patch = `M${at(0.55, 0.3)}C${at(0.1, 0.3)} ${at(0.1, 0.82)} ${at(-0.4, 0.82)}`;
  return (
    <g fill="none">
      {[bight(-1), bight(1), patch].map((d) => (
        <g key={d}>
          <path d={d} stroke="var(--color-sheet)" strokeWidth={width * 2} />
          <path
            d={d}
            stroke="var(--color-stamp)"
            strokeWidth={width}
            strokeLinecap={d === patch ? 'butt' : 'round'}
          />
        </g>
      ))}
    </g>
  );
}
