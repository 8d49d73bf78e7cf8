/** Own marks on a 24 grid; each stands beside its word. */
const MARKS = {
  turn: 'M3 19.5h18M5.5 19.5C5.5 11 8.6 6.5 12.6 6.5c3.4 0 5.6 2.5 5.6 6 0 2.6-1.9 3.9-3.7 3.9-1.7 0-2.9-1.2-2.9-2.7 0-1.3.9-2.2 2.1-2.2',
  water:
    'M12 3.2c3.6 4.5 5.7 7.4 5.7 10.6a5.7 5.7 0 0 1-11.4 0C6.3 10.6 8.4 7.7 12 3.2zM9.3 14.2c.2 1.5 1.1 2.5 2.5 2.8',
  add: 'M4.5 9h15l-1.7 10.2a1.8 1.8 0 0 1-1.8 1.5H8a1.8 1.8 0 0 1-1.8-1.5zM4.5 9C5 5.6 8 3.4 12 3.4s7 2.2 7.5 5.6',
  screen:
    'M2.8 8.2h18.4M4.8 8.2l2 7.3h10.4l2-7.3M9 15.5v1.2M12 15.5v4.8M15 15.5v2.6M8.4 11.6h.01M12 11.6h.01M15.6 11.6h.01',
  cure: 'M2.5 19.5h19M6.3 19.5c0-5 2.3-7.8 5.7-7.8s5.7 2.8 5.7 7.8M3.6 16C4.6 9.6 7.9 6.6 12 6.6s7.4 3 8.4 9.4',
  probe:
    'M20.6 3.4l-3.1 3.1M15.6 4.6l3.8 3.8M17.5 6.5 7.2 16.8M7.2 16.8 5 19M13.8 7.8l2.4 2.4M3 20.8h9',
  squeeze:
    'M7 11V6.5a1.4 1.4 0 0 1 2.8 0V10M9.8 10V5.2a1.4 1.4 0 0 1 2.8 0V10M12.6 10V6a1.4 1.4 0 0 1 2.8 0v5M15.4 11V8.2a1.3 1.3 0 0 1 2.6 0v5.4c0 4-2.4 6.6-5.8 6.6-3 0-4.6-1.4-5.9-4.2l-1.7-3.6c-.6-1.3 1-2.2 1.9-1.2L7 11.9',
  smell:
    'M10 3.5c1.6 4.2 4.6 7.2 4.6 11.2 0 1.8-1.3 3-2.9 3-1 0-1.6-.5-2-.9M17.8 8c1.2 1.3-1 2.4.2 3.8s-1 2.4.2 3.8M21 7c1.2 1.3-1 2.4.2 3.8',
  note: 'M4 20l1-4L16.5 4.5l3 3L8 19zM14 7l3 3',
  check: 'M4.5 12.5l5 5L19.5 6.5',
  walk: 'M4 19.5c2.5-1.5 2.5-5 5-6.5s4 1 6.5-1 2-5.5 5-7.5M4 19.5h.01M20.5 4.5h.01',
  move: 'M3 19.5h18M4 15h11M15 15l-3.4-3.4M15 15l-3.4 3.4M17 8h3v7',
  flag: 'M6 21V3.5h12l-2.6 4 2.6 4H6',
} as const;
export type MarkName = keyof typeof MARKS;

export function Mark({ name, size = 18 }: { name: MarkName; size?: number }) {
  return (
    <svg width={size} height={size} className="mark inline-block flex-none" aria-hidden="true">
      <use href={`#mark-${name}`} />
    </svg>
  );
}

/** Every mark once in a page: the others refer to it, since a long list holds hundreds. */
export function MarkSymbols() {
  return Object.entries(MARKS).map(([name, path]) => (
    <symbol key={name} id={`mark-${name}`} viewBox="0 0 24 24">
      <path d={path} />
    </symbol>
  ));
}

/** The same inside a drawing, centred on (x, y); `title` says what it is. */
export function MarkAt({
  name,
  x,
  y,
  size,
  title,
}: {
  name: MarkName;
  x: number;
  y: number;
  size: number;
  title: string;
}) {
  return (
    <g
      transform={`translate(${x - size / 2} ${y - size / 2}) scale(${size / 24})`}
      fill="none"
      stroke="var(--color-ink)"
      strokeWidth={1.9}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <title>{title}</title>
      <rect width={24} height={24} fill="none" stroke="none" />
      <path d={MARKS[name]} />
    </g>
  );
}
