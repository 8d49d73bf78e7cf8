'use client';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { ember } from './ember';
import {
  pathOf,
  piecesOf,
  rowsFor,
  scalesOf,
  type ChartBox,
  type Sample,
  type Scales,
} from './heat-geometry';
import { Knot } from './Knot';
import { MarkAt, type MarkName } from './marks';
import { firstOf, itemAt, lastOf } from '@/core/quantity/present';

type HeatRound = {
  readonly at: number;
  readonly c: number;
  readonly heat: 'hot' | 'cold' | 'over' | 'thin';
  readonly says: string;
};
type HeatBar = {
  readonly name: string;
  readonly spans: readonly { from: number; to: number; kind: 'credited' | 'uncredited' | 'lost' }[];
  readonly needFrom: number | null;
  readonly needTo: number | null;
  readonly provenAt: number | null;
  readonly label: string;
};
export type HeatChartData = {
  readonly from: number;
  readonly to: number;
  readonly now: number;
  readonly maxGapMs: number;
  readonly floorC: number;
  readonly rounds: readonly HeatRound[];
  readonly others: readonly (readonly Sample[])[];
  readonly struck: readonly Sample[];
  readonly air: readonly Sample[];
  readonly events: readonly {
    at: number;
    mark: MarkName;
    label: string;
    restart: boolean;
    title: string;
  }[];
  readonly bars: readonly HeatBar[];
  readonly breaks: readonly { at: number; text: string }[];
  readonly unit: string;
  readonly ticks: readonly { c: number; label: string; strong: boolean }[];
  readonly days: readonly { at: number; label: string; today: boolean }[];
  readonly nowLabel: string | null;
  readonly floorLabel: string;
  readonly hotLabel: string;
};

const W = 862;
const BOX: ChartBox = { left: 50, right: W - 14, top: 40, bottom: 254 };
const TOO_HOT_C = 70;
const DANGER_C = 77;

/** Every round since the heap was built, the works on it, and what each rule credits, on one axis of days. */
export function HeatChart({ data }: { data: HeatChartData }) {
  const [chosen, setChosen] = useState(data.rounds.length - 1);
  const all = [...data.rounds.map((r) => r.c), ...data.others.flatMap((o) => o.map((s) => s.c))];
  const scales = scalesOf(data.from, data.to, all, BOX);
  const height = BOX.bottom + 34 + data.bars.length * 21 + (data.breaks.length > 0 ? 38 : 6);
  const round = data.rounds[chosen];
  const onKey = (e: KeyboardEvent): void => {
    const step = e.key === 'ArrowLeft' ? -1 : e.key === 'ArrowRight' ? 1 : 0;
    if (step === 0) return;
    e.preventDefault();
    setChosen((i) => Math.max(0, Math.min(data.rounds.length - 1, i + step)));
  };
  const onPoint = (e: PointerEvent<SVGSVGElement>): void => {
    const rect = e.currentTarget.getBoundingClientRect();
    const at = scales.x.invert(((e.clientX - rect.left) / rect.width) * W).getTime();
    let best = 0;
    data.rounds.forEach((r, i) => {
      if (Math.abs(r.at - at) < Math.abs(itemAt(data.rounds, best).at - at)) best = i;
    });
    if (data.rounds.length > 0) setChosen(best);
  };
  return (
    <div>
      <p className="text-[13.5px] q min-h-[19px]" aria-live="polite">
        {round?.says ?? 'No round yet.'}
      </p>
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label="Heat since it was built. Left and right arrow keys go from round to round."
        onKeyDown={onKey}
      >
        <svg
          viewBox={`0 0 ${W} ${height}`}
          className="block w-full min-w-[640px]"
          onPointerMove={onPoint}
          onPointerDown={onPoint}
          role="presentation"
        >
          <Ground data={data} scales={scales} />
          {data.events.map((e, i) => (
            <line
              key={i}
              x1={scales.x(e.at)}
              x2={scales.x(e.at)}
              y1={BOX.top + 2}
              y2={BOX.bottom}
              stroke="var(--color-ink)"
              strokeDasharray={e.restart ? '5 2' : '1 3'}
              opacity={0.8}
            />
          ))}
          <EventRow data={data} scales={scales} />
          <Readings data={data} scales={scales} />
          {round && (
            <line
              x1={scales.x(round.at)}
              x2={scales.x(round.at)}
              y1={BOX.top}
              y2={BOX.bottom}
              stroke="var(--color-ink)"
              strokeWidth={0.7}
            />
          )}
          {data.nowLabel && (
            <Now data={data} scales={scales} bottom={BOX.bottom + 20 + data.bars.length * 21} />
          )}
          {data.bars.map((bar, i) => (
            <Bar key={bar.name} bar={bar} y={BOX.bottom + 30 + i * 21} scales={scales} />
          ))}
          <Breaks data={data} scales={scales} y={BOX.bottom + 32 + data.bars.length * 21} />
        </svg>
      </div>
    </div>
  );
}

type Part = { readonly data: HeatChartData; readonly scales: Scales };
const words = { fontSize: 12.5, fill: 'var(--color-ink-2)' } as const;

function Ground({ data, scales: { x, y } }: Part) {
  const [low, high] = y.domain() as [number, number];
  const steps = Array.from({ length: Math.ceil(high - low) }, (_, i) => low + i);
  return (
    <g>
      <rect
        x={BOX.left}
        y={y(TOO_HOT_C)}
        width={BOX.right - BOX.left}
        height={y(data.floorC) - y(TOO_HOT_C)}
        fill="var(--color-prove-wash)"
      />
      {steps.map((c) => (
        <rect
          key={c}
          x={BOX.left - 12}
          y={y(Math.min(c + 1, high))}
          width={10}
          height={y(c) - y(Math.min(c + 1, high)) + 0.4}
          style={{ fill: ember(c + 0.5) }}
        />
      ))}
      <rect
        x={BOX.left - 12}
        y={y(high)}
        width={10}
        height={y(DANGER_C) - y(high)}
        fill="url(#danger-small)"
      />
      <rect
        x={BOX.left - 12}
        y={y(high)}
        width={10}
        height={y(low) - y(high)}
        fill="none"
        stroke="var(--color-ink)"
      />
      {data.ticks.map((t) => (
        <g key={t.c}>
          <text
            x={BOX.left - 17}
            y={y(t.c) + 4.5}
            textAnchor="end"
            className="disp"
            fontSize={13}
            fontWeight={t.strong ? 700 : 500}
            fill="var(--color-ink)"
          >
            {t.label}
          </text>
          <line
            x1={BOX.left}
            x2={BOX.right}
            y1={y(t.c)}
            y2={y(t.c)}
            stroke={t.c === data.floorC ? 'var(--color-ink)' : 'var(--color-rule)'}
            strokeWidth={t.c === data.floorC ? 1.3 : 1}
          />
        </g>
      ))}
      <text x={BOX.left - 17} y={BOX.top - 4} textAnchor="end" {...words}>
        {data.unit}
      </text>
      <text x={BOX.right} y={y(TOO_HOT_C) - 5} textAnchor="end" {...words}>
        {data.hotLabel}
      </text>
      <line
        x1={BOX.left}
        x2={BOX.right}
        y1={BOX.bottom}
        y2={BOX.bottom}
        stroke="var(--color-ink)"
        strokeWidth={1.4}
      />
      {data.days.map((d) => (
        <g key={d.at}>
          <line
            x1={x(d.at)}
            x2={x(d.at)}
            y1={BOX.bottom}
            y2={BOX.bottom + 4}
            stroke="var(--color-rule-2)"
          />
          <text
            x={x(d.at + 43_200_000)}
            y={BOX.bottom + 16}
            textAnchor="middle"
            {...words}
            fontWeight={d.today ? 700 : 400}
            fill={d.today ? 'var(--color-ink)' : words.fill}
          >
            {d.label}
          </text>
        </g>
      ))}
    </g>
  );
}

function EventRow({ data, scales: { x } }: Part) {
  const rows = rowsFor(
    data.events.map((e) => ({ x: x(e.at) - 9, width: 22 + e.label.length * 6.4 })),
    2,
  );
  const y = (i: number): number => BOX.top - 9 - Math.max(0, itemAt(rows, i)) * 19;
  return (
    <g>
      {data.events.map((e, i) => (
        <g key={i}>
          <MarkAt
            name={e.mark}
            x={x(e.at)}
            y={y(i)}
            size={itemAt(rows, i) < 0 ? 15 : 19}
            title={e.title}
          />
          {itemAt(rows, i) >= 0 && e.label && x(e.at) + 12 + e.label.length * 6.4 < W && (
            <text
              x={x(e.at) + 12}
              y={y(i) + 4}
              fontSize={12.5}
              fontWeight={650}
              fill="var(--color-ink)"
            >
              {e.label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function Readings({ data, scales }: Part) {
  const { x, y } = scales;
  const dense = data.rounds.length > 160;
  return (
    <g fill="none">
      {piecesOf(data.air, 86_400_000).map((p) => (
        <path key={firstOf(p).at} d={pathOf(scales, p)} stroke="var(--color-rule-2)" />
      ))}
      {data.air.length > 0 && (
        <text
          x={x(firstOf(data.air).at) + 4}
          y={y(firstOf(data.air).c) - 6}
          fontSize={12.5}
          fill="var(--color-ink-3)"
          stroke="none"
        >
          air
        </text>
      )}
      {data.others.flatMap((o, i) =>
        piecesOf(o, data.maxGapMs).map((p) => (
          <path
            key={`${i}-${firstOf(p).at}`}
            d={pathOf(scales, p)}
            stroke="var(--color-ink-3)"
            opacity={0.8}
          />
        )),
      )}
      {piecesOf(data.rounds, data.maxGapMs).map((p) => (
        <g key={firstOf(p).at} strokeLinejoin="round">
          <path d={pathOf(scales, p)} stroke="var(--color-sheet)" strokeWidth={5} />
          <path d={pathOf(scales, p)} stroke="var(--color-ink)" strokeWidth={2.5} />
        </g>
      ))}
      {!dense &&
        data.rounds.map((r) => (
          <g key={r.at} stroke="var(--color-ink)">
            <circle
              cx={x(r.at)}
              cy={y(r.c)}
              r={3}
              fill={r.heat === 'cold' ? 'var(--color-sheet)' : 'var(--color-ink)'}
              strokeWidth={1.4}
            />
            {r.heat === 'thin' && (
              <circle cx={x(r.at)} cy={y(r.c)} r={6} strokeDasharray="2 2" strokeWidth={1.1} />
            )}
          </g>
        ))}
      {data.struck.map((s, i) => (
        <path
          key={i}
          d={`M${x(s.at) - 3} ${y(s.c) - 3}l6 6m0-6l-6 6`}
          stroke="var(--color-ink)"
          strokeWidth={1.3}
        />
      ))}
    </g>
  );
}

function Now({ data, scales: { x, y }, bottom }: Part & { bottom: number }) {
  const last = lastOf(data.rounds);
  const side = x(last.at) > W - 90 ? -62 : 9;
  // Under the point where the words of the line above would be covered.
  const covers =
    x(last.at) + side + 54 > BOX.right - 140 && Math.abs(y(last.c) - y(TOO_HOT_C)) < 28;
  const top = y(last.c) + (covers ? 8 : -25);
  return (
    <g>
      <line
        x1={x(data.now)}
        x2={x(data.now)}
        y1={BOX.top - 12}
        y2={bottom}
        stroke="var(--color-ink)"
      />
      <text
        x={x(data.now) + 6}
        y={BOX.top - 26}
        fontSize={12.5}
        fontWeight={700}
        fill="var(--color-ink)"
      >
        now
      </text>
      <rect x={x(last.at) + side} y={top} width={54} height={20} rx={2} fill="var(--color-ink)" />
      <text
        x={x(last.at) + side + 27}
        y={top + 15}
        textAnchor="middle"
        className="disp"
        fontSize={14}
        fontWeight={700}
        fill="var(--color-sheet)"
      >
        {data.nowLabel}
      </text>
    </g>
  );
}

function Bar({ bar, y, scales: { x } }: { bar: HeatBar; y: number; scales: Scales }) {
  const ends = [...bar.spans.map((s) => s.to), bar.needTo ?? 0, bar.provenAt ?? 0];
  const end = x(Math.max(...ends, firstOf(x.domain()).getTime()));
  const clear = Math.min(end, BOX.right);
  const knot = bar.provenAt !== null;
  const before = clear + bar.label.length * 6.7 + (knot ? 33 : 6) > W;
  return (
    <g>
      {bar.spans.map((s) => (
        <rect
          key={`${s.from}`}
          x={x(s.from)}
          y={y}
          width={Math.max(x(s.to) - x(s.from), 0.8)}
          height={13}
          fill={s.kind === 'credited' ? 'var(--color-ink)' : 'url(#hatch-small)'}
          stroke="var(--color-ink)"
          strokeWidth={s.kind === 'credited' ? 0 : 0.9}
        />
      ))}
      {bar.needFrom !== null && bar.needTo !== null && (
        <rect
          x={x(bar.needFrom)}
          y={y + 0.5}
          width={Math.max(Math.min(x(bar.needTo), BOX.right) - x(bar.needFrom), 1)}
          height={12}
          fill="none"
          stroke="var(--color-ink)"
          strokeDasharray="2.5 2.5"
        />
      )}
      {knot && <Knot cx={(before ? clear : end) + (before ? -150 : 17)} cy={y + 6.5} r={7.5} />}
      <text
        x={0}
        y={y + 11}
        fontSize={12.5}
        fontWeight={600}
        fill="var(--color-ink)"
        stroke="var(--color-paper)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {bar.name}
      </text>
      <text
        x={before ? clear - (knot ? 132 : 6) : end + (knot ? 33 : 6)}
        y={y + 11}
        textAnchor={before && !knot ? 'end' : 'start'}
        fontSize={12.5}
        fontWeight={650}
        fill={knot ? 'var(--color-stamp)' : 'var(--color-ink)'}
        stroke="var(--color-paper)"
        strokeWidth={before ? 4 : 0}
        paintOrder="stroke"
      >
        {bar.label}
      </text>
    </g>
  );
}

function Breaks({ data, scales: { x }, y }: Part & { y: number }) {
  const placed = data.breaks.map((b) => {
    const width = b.text.length * 5.9 + 12;
    return { ...b, width, x: Math.max(0, Math.min(x(b.at) - width / 2, W - width)) };
  });
  const rows = rowsFor(placed, 2);
  return (
    <g>
      {placed.map((b, i) =>
        itemAt(rows, i) < 0 ? null : (
          <g key={i}>
            <line
              x1={x(b.at)}
              x2={x(b.at)}
              y1={y - 6}
              y2={y + itemAt(rows, i) * 16}
              stroke="var(--color-ink)"
            />
            <text
              x={b.x}
              y={y + 12 + itemAt(rows, i) * 16}
              fontSize={12.5}
              fill="var(--color-ink)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {b.text}
            </text>
          </g>
        ),
      )}
    </g>
  );
}
