import { ember } from './ember';
import { foldPath, type MoundFrame } from './mound';

/** Temperature at a normalised depth: 0 at the surface, 1 at the core. */
type DepthStop = { readonly lambda: number; readonly c: number };
export type HotSectionData = {
  readonly steps: readonly DepthStop[];
  /** Spans of normalised depth at or above the floor. */ readonly hot: readonly {
    from: number;
    to: number;
  }[];
  /** Nobody read nearer to the surface than this normalised depth: hatched. */ readonly unreadTo: number;
  readonly labels: readonly {
    readonly lambda: number;
    readonly figure: string;
    readonly name: string;
  }[];
  readonly says: string;
};

const FRAME: MoundFrame = { x0: 10, w: 236, base: 136, h: 118, lean: 0.02 };
/** The outline shrunk towards the core, which lies on the ground line's middle. */
const inside = (lambda: number): MoundFrame => {
  const k = 1 - lambda;
  return { ...FRAME, x0: FRAME.x0 + (FRAME.w * (1 - k)) / 2, w: FRAME.w * k, h: FRAME.h * k };
};
const shape = (lambda: number): string => `${foldPath(inside(lambda), 1)}Z`;

/** The heap cut open, coloured by the temperature of each depth; what is hot enough is ringed with a heavy line, and the shell that nobody read is hatched. */
export function HotSection({ data }: { data: HotSectionData }) {
  return (
    <svg
      viewBox="0 0 392 152"
      className="block w-full max-w-[430px]"
      role="img"
      aria-label={data.says}
    >
      {data.steps.map((s) => (
        <path key={s.lambda} d={shape(s.lambda)} style={{ fill: ember(s.c) }} />
      ))}
      {data.unreadTo > 0 && (
        <path
          d={`${shape(0)}${shape(data.unreadTo)}`}
          fillRule="evenodd"
          fill="url(#hatch)"
          opacity={0.6}
        />
      )}
      <path d={shape(0)} fill="none" stroke="var(--color-ink)" strokeWidth={1.6} />
      {data.hot
        .flatMap((h) => [h.from, h.to])
        .filter((l) => l >= data.unreadTo && l > 0.01 && l < 0.99)
        .map((l) => (
          <path
            key={l}
            d={shape(l)}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={2.6}
            strokeDasharray="7 3"
          />
        ))}
      <rect x={0} y={136} width={256} height={6} fill="var(--color-soil)" />
      <path d="M0 136H256" stroke="var(--color-ink)" strokeWidth={1.6} />
      {data.labels.map((l, i) => {
        const f = inside(l.lambda);
        const [y, ly] = [FRAME.base - f.h, 18 + i * (112 / Math.max(1, data.labels.length - 1))];
        return (
          <g key={l.lambda}>
            <path
              d={`M${FRAME.x0 + FRAME.w / 2} ${y}L262 ${ly}`}
              stroke="var(--color-ink)"
              strokeWidth={1}
              fill="none"
            />
            <circle cx={FRAME.x0 + FRAME.w / 2} cy={y} r={3} fill="var(--color-ink)" />
            <text x={266} y={ly + 4.5} fontSize={13} fill="var(--color-ink)">
              <tspan className="disp" fontWeight={700}>
                {l.figure}
              </tspan>{' '}
              {l.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
