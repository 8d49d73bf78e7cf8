import { ember } from './ember';
import { Knot } from './Knot';
import {
  bandPath,
  crestOf,
  foldPath,
  moundLayersOf,
  leanOf,
  profile,
  sizeOf,
  type MoundFrame,
  type StratumIn,
} from './mound';

export type MoundProps = {
  readonly id: string;
  readonly code: string;
  readonly state:
    | 'building'
    | 'waiting'
    | 'running'
    | 'recovering'
    | 'broken'
    | 'hot'
    | 'stale'
    | 'proven'
    | 'curing'
    | 'released';
  readonly volume: number;
  readonly strata: readonly StratumIn[];
  readonly requiredHours: number;
  readonly turningsRequired: number;
  readonly lostHours: number;
  /** °C of the hot heart, when it is too hot. */
  readonly heartC?: number | undefined;
  readonly stale?: boolean;
  /** The leading rule is met: this alone ties the knot. */
  readonly met: boolean;
};

type Place = {
  readonly x: number;
  readonly base: number;
  readonly maxW: number;
  readonly maxH: number;
  readonly largest: number;
  readonly small?: boolean;
  readonly chosen?: boolean;
  readonly flag?: boolean;
};

/** One heap as a folded mound, standing on the line `base`, centred on `x`. */
export function Mound({ heap, place }: { heap: MoundProps; place: Place }) {
  const { small = false } = place;
  const size = sizeOf(heap.volume, place.largest, place.maxW, place.maxH);
  const frame: MoundFrame = {
    x0: place.x - size.w / 2,
    w: size.w,
    base: place.base,
    h: heap.state === 'released' ? size.h * 0.6 : size.h,
    lean: leanOf(heap.id),
  };
  const line = small ? 1.2 : 1.6;
  return (
    <g>
      <path d={`${foldPath(frame, 1)}Z`} fill="var(--color-sheet)" />
      {heap.state === 'building' ? (
        <Building frame={frame} line={line} />
      ) : heap.state === 'curing' || heap.state === 'released' ? (
        <Humus
          frame={frame}
          line={line}
          small={small}
          folds={heap.turningsRequired}
          blanket={heap.state === 'curing'}
        />
      ) : (
        <Strata heap={heap} frame={frame} line={line} small={small} />
      )}
      {place.chosen && (
        <path
          d={`${foldPath(frame, 1)}Z`}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={2.4}
        />
      )}
      {place.flag !== false && <Flag heap={heap} frame={frame} line={line} small={small} />}
      {heap.met && <Twine frame={frame} small={small} />}
    </g>
  );
}

type Part = { readonly frame: MoundFrame; readonly line: number; readonly small?: boolean };

function Building({ frame, line }: Part) {
  return (
    <g fill="none" stroke="var(--color-ink)">
      <path d={bandPath(frame, 0, 0.62)} fill="url(#crumb)" stroke="none" />
      <path d={foldPath(frame, 0.62)} strokeWidth={line} />
      <path d={foldPath(frame, 1)} strokeWidth={line * 0.7} strokeDasharray="2 3" />
    </g>
  );
}

function Humus({ frame, line, small, folds, blanket }: Part & { folds: number; blanket: boolean }) {
  const gap = small ? 4 : 7;
  const over: MoundFrame = { ...frame, x0: frame.x0 - 4, w: frame.w + 8, h: frame.h + gap };
  return (
    <g fill="none">
      <path d={`${foldPath(frame, 1)}Z`} fill="var(--color-humus)" />
      {Array.from({ length: folds }, (_, i) => (
        <path
          key={i}
          d={foldPath(frame, (i + 1) / (folds + 1))}
          stroke="var(--color-paper)"
          strokeWidth={0.9}
          opacity={0.5}
        />
      ))}
      {blanket && (
        <path
          d={foldPath(over, 1)}
          stroke="var(--color-ink)"
          strokeWidth={line}
          strokeDasharray={small ? '5 2' : '8 3'}
        />
      )}
    </g>
  );
}

function Strata({ heap, frame, line, small }: Part & { heap: MoundProps }) {
  const { lostTo, layers, filledTo, owed } = moundLayersOf(
    heap.strata,
    heap.requiredHours,
    heap.turningsRequired,
    heap.lostHours,
    heap.state === 'recovering',
    heap.state === 'proven',
  );
  const hatch = `url(#${small ? 'hatch-small' : 'hatch'})`;
  const stale = heap.state === 'stale' || heap.stale;
  return (
    <g fill="none" stroke="var(--color-ink)">
      {lostTo > 0 && (
        <>
          <path d={bandPath(frame, 0, lostTo)} fill={hatch} stroke="none" />
          <path d={foldPath(frame, lostTo)} strokeWidth={line * 0.8} />
        </>
      )}
      {layers.map((l, i) => (
        <g key={i} stroke="none">
          {l.hatched > 0 && <path d={bandPath(frame, l.from, l.to, 0, l.hatched)} fill={hatch} />}
          {l.hatched < 1 && (
            <path
              d={bandPath(frame, l.from, l.to, l.hatched, 1)}
              style={{ fill: ember(l.meanC) }}
            />
          )}
          {i > 0 && (
            <path
              d={foldPath(frame, l.from)}
              fill="none"
              stroke="var(--color-sheet)"
              strokeWidth={small ? 1.1 : 1.8}
            />
          )}
        </g>
      ))}
      {layers.length > 0 && filledTo < 0.995 && (
        <path d={foldPath(frame, filledTo)} strokeWidth={line * 0.8} />
      )}
      {owed.map((k) => (
        <path
          key={k}
          d={foldPath(frame, k)}
          strokeWidth={small ? 0.7 : 0.9}
          strokeDasharray={small ? '1 3' : '1.2 4.2'}
          strokeLinecap="round"
          opacity={0.8}
        />
      ))}
      <path
        d={foldPath(frame, 1)}
        strokeWidth={stale ? line * 1.15 : line}
        strokeDasharray={stale ? (small ? '4 4' : '7 6') : undefined}
      />
      {heap.state === 'broken' && <Crack frame={frame} line={line} small={small} />}
      {heap.heartC !== undefined && (
        <Heart frame={frame} line={line} small={small} celsius={heap.heartC} />
      )}
    </g>
  );
}

function Crack({ frame, line, small }: Part) {
  const u = 0.3;
  const [x, y, deep] = [
    frame.x0 + (frame.w * (u + 1)) / 2,
    frame.base - frame.h * profile(u, frame.lean) - 2,
    frame.h * 0.72,
  ];
  const d = `M${x.toFixed(1)} ${y.toFixed(1)}l${(-frame.w * 0.05).toFixed(1)} ${(deep * 0.3).toFixed(1)}l${(frame.w * 0.06).toFixed(1)} ${(deep * 0.16).toFixed(1)}l${(-frame.w * 0.07).toFixed(1)} ${(deep * 0.4).toFixed(1)}`;
  return (
    <>
      <path d={d} stroke="var(--color-paper)" strokeWidth={small ? 3.4 : 6} />
      <path d={d} strokeWidth={line * 1.2} strokeLinejoin="bevel" />
    </>
  );
}

function Heart({ frame, line, small, celsius }: Part & { celsius: number }) {
  const heart: MoundFrame = {
    ...frame,
    x0: frame.x0 + frame.w * 0.3,
    w: frame.w * 0.4,
    base: frame.base - frame.h * 0.1,
    h: frame.h * 0.42,
  };
  const { x } = crestOf(frame);
  const up = small ? [2, 4, 7, 6] : [4, 7, 12, 11];
  return (
    <g>
      <path d={`${foldPath(heart, 1)}Z`} style={{ fill: ember(celsius) }} stroke="none" />
      <path
        d={`${foldPath(heart, 1)}Z`}
        fill={`url(#${small ? 'danger-small' : 'danger'})`}
        stroke="var(--color-sheet)"
        strokeWidth={small ? 1 : 1.6}
      />
      {[-0.2, 0.22].map((side) => (
        <path
          key={side}
          d={`M${x + frame.w * side} ${frame.base - frame.h * profile(side * 2, frame.lean) - 4}q-${up[0]}-${up[1]} 0-${up[2]}t0-${up[3]}`}
          strokeWidth={line * 0.75}
          strokeLinecap="round"
        />
      ))}
    </g>
  );
}

function Flag({ heap, frame, line, small }: Part & { heap: MoundProps }) {
  const { x, y } = crestOf(frame);
  const [h, pole] = small ? [11, 7] : [17, 12];
  const code = heap.code.slice(0, 2);
  const w = (small ? 13 : 21) + (code.length > 1 ? (small ? 5 : 8) : 0);
  const top = y - pole - h;
  const hollow =
    heap.state === 'stale' || heap.state === 'building' || heap.state === 'waiting' || heap.stale;
  const down = heap.state === 'building' ? 4 : 0;
  const leaning = heap.state === 'released' ? `rotate(14 ${x} ${y})` : undefined;
  return (
    <g transform={leaning}>
      <path
        d={`M${x.toFixed(1)} ${(y + 1).toFixed(1)}V${(top - 2).toFixed(1)}`}
        stroke="var(--color-ink)"
        strokeWidth={line}
      />
      <path
        d={`M${x.toFixed(1)} ${top + down}h${w}l-${w * 0.2} ${h / 2}l${w * 0.2} ${h / 2}h-${w}z`}
        fill={hollow ? 'var(--color-sheet)' : 'var(--color-ink)'}
        stroke="var(--color-ink)"
        strokeWidth={small ? 1 : 1.3}
        strokeDasharray={heap.state === 'stale' ? '3 2' : undefined}
      />
      <text
        x={x + w * 0.42}
        y={top + down + h * 0.78}
        textAnchor="middle"
        className="disp"
        fontWeight={700}
        fontSize={small ? 10 : 14}
        fill={hollow ? 'var(--color-ink)' : 'var(--color-sheet)'}
      >
        {code}
      </text>
    </g>
  );
}

function Twine({ frame, small }: { frame: MoundFrame; small: boolean }) {
  const k = 0.46;
  let left = -1;
  while (profile(left, frame.lean) < k) left += 0.005;
  let right = 1;
  while (profile(right, frame.lean) < k) right -= 0.005;
  const [xl, xr] = [left, right].map((u) => frame.x0 + (frame.w * (u + 1)) / 2) as [number, number];
  const [y, cx, sag, r] = [
    frame.base - frame.h * k,
    (xl + xr) / 2,
    small ? 3 : 6,
    small ? 5.5 : 11,
  ];
  const d = `M${xl.toFixed(1)} ${y.toFixed(1)}Q${((xl + cx) / 2).toFixed(1)} ${(y + sag).toFixed(1)} ${cx.toFixed(1)} ${(y + sag).toFixed(1)}T${xr.toFixed(1)} ${y.toFixed(1)}`;
  return (
    <g fill="none">
      <path d={d} stroke="var(--color-sheet)" strokeWidth={small ? 4 : 6.5} />
      <path d={d} stroke="var(--color-stamp)" strokeWidth={small ? 1.7 : 2.6} />
      <ellipse cx={cx} cy={y + sag} rx={r * 1.45} ry={r * 1.15} fill="var(--color-sheet)" />
      <Knot cx={cx} cy={y + sag} r={r} />
    </g>
  );
}
