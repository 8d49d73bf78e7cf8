import { plateOf } from './ember';
import { foldPath, type MoundFrame } from './mound';
import { spotsOf, type SchemPlace } from './schematic';
import { itemAt } from '@/core/quantity/present';

export type SchematicPlace = SchemPlace & {
  readonly short: string;
  /** Value as it stands there, and in °C; null: not read yet. */ readonly read: {
    readonly figure: string;
    readonly c: number;
  } | null;
  readonly left?: boolean;
};

const SIZE = { w: 390, h: 138 };
const FRAME: MoundFrame = { x0: 14, w: 362, base: 126, h: 100, lean: 0.03 };

/** The heap cut open with the places of a round: read ones with their value, the one in hand with the probe in it. */
export function Schematic({
  shape,
  places,
  current,
  says,
}: {
  shape: string | null;
  places: readonly SchematicPlace[];
  current: string | null;
  says: string;
}) {
  const boxed = shape === 'cube';
  const box: MoundFrame = { ...FRAME, x0: 60, w: 270 };
  const frame = boxed ? box : FRAME;
  const spots = spotsOf(places, frame, boxed);
  return (
    <svg
      viewBox={`0 0 ${SIZE.w} ${SIZE.h}`}
      className="block w-full h-full"
      preserveAspectRatio="xMidYMax meet"
      role="img"
      aria-label={says}
    >
      {boxed ? (
        <>
          <path
            d={`M${box.x0} ${box.base - box.h - 8}V${box.base}H${box.x0 + box.w}V${box.base - box.h - 8}`}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={4}
          />
          <path
            d={`M${box.x0 + 2} ${box.base - box.h}q${box.w / 4}-10 ${box.w / 2}-6t${box.w / 2 - 4} 4`}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={1.8}
          />
        </>
      ) : (
        <>
          <path
            d={`${foldPath(FRAME, 1)}Z`}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={2}
          />
          {[0.8, 0.52].map((k) => (
            <path
              key={k}
              d={foldPath(
                {
                  ...FRAME,
                  x0: FRAME.x0 + (FRAME.w * (1 - k)) / 2,
                  w: FRAME.w * k,
                  h: FRAME.h * k,
                },
                1,
              )}
              fill="none"
              stroke="var(--color-rule-2)"
              strokeDasharray="2 3"
            />
          ))}
        </>
      )}
      <rect x={0} y={126} width={SIZE.w} height={6} fill="var(--color-soil)" />
      <path d={`M0 126H${SIZE.w}`} stroke="var(--color-ink)" strokeWidth={2} />
      {places.map((p, i) => {
        const { x, y } = itemAt(spots, i);
        // Labels on the inner side at the toes, where there is no room outside, on the outer side further in.
        const right = x >= SIZE.w / 2 - 4;
        const before = right ? x > SIZE.w * 0.74 : x > SIZE.w * 0.26;
        const label = (dx: number): React.ReactNode => (
          <text
            x={before ? x - dx : x + dx}
            y={y + 5}
            textAnchor={before ? 'end' : 'start'}
            className="disp"
            fontSize={p.id === current ? 17 : 14}
            fontWeight={700}
            fill="var(--color-ink)"
            stroke="var(--color-sheet)"
            strokeWidth={3}
            paintOrder="stroke"
          >
            {p.short}
          </text>
        );
        if (p.id === current)
          return (
            <g key={p.id}>
              <path
                d={`M${x + (right ? 44 : -44)} ${Math.max(8, y - 62)}L${x} ${y}`}
                stroke="var(--color-ink)"
                strokeWidth={3.5}
              />
              <path
                d={`M${x + (right ? 36 : -36)} ${Math.max(4, y - 66)}l${right ? 14 : -14} 9`}
                stroke="var(--color-ink)"
                strokeWidth={5}
                strokeLinecap="round"
              />
              <circle
                cx={x}
                cy={y}
                r={13}
                fill="none"
                stroke="var(--color-ink)"
                strokeWidth={1.4}
              />
              <circle cx={x} cy={y} r={7.5} fill="var(--color-ink)" />
              {label(20)}
            </g>
          );
        if (p.read) {
          const w = 14 + p.read.figure.length * 8.4;
          return (
            <g key={p.id}>
              <rect
                x={x - w / 2}
                y={y - 11}
                width={w}
                height={22}
                rx={3}
                style={{ fill: plateOf(p.read.c).fill }}
                stroke="var(--color-ink)"
                strokeWidth={1.4}
              />
              <text
                x={x}
                y={y + 5.5}
                textAnchor="middle"
                className="disp"
                fontSize={15.5}
                fontWeight={700}
                style={{ fill: plateOf(p.read.c).text }}
              >
                {p.read.figure}
              </text>
            </g>
          );
        }
        return (
          <g key={p.id}>
            <circle
              cx={x}
              cy={y}
              r={7.5}
              fill="var(--color-sheet)"
              stroke="var(--color-ink)"
              strokeWidth={2}
              strokeDasharray={p.left ? '2 3' : undefined}
            />
            {label(13)}
          </g>
        );
      })}
    </svg>
  );
}
