'use client';
import { say } from '@/messages/say';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { itemAt } from '@/core/quantity/present';
import {
  BOX,
  CHART_WIDTH,
  type ChartPart,
  type HeatChartData,
  type HeatRound,
} from './heat-chart-data';
import { rowsFor, scalesOf, type Scales } from './heat-geometry';
import { Breaks, RuleBar } from './HeatBars';
import { HeatGround } from './HeatGround';
import { HeatNow, HeatReadings } from './HeatReadings';
import { MarkAt } from './marks';

export type { HeatChartData } from './heat-chart-data';

/** Height of one rule’s bar. */
const BAR = 21;

/** The round that is read out: the last one, until a key or a finger chooses another. */
function useChosenRound(rounds: readonly HeatRound[], scales: Scales) {
  const [chosen, setChosen] = useState(rounds.length - 1);
  const onKeyDown = (e: KeyboardEvent): void => {
    const step = e.key === 'ArrowLeft' ? -1 : e.key === 'ArrowRight' ? 1 : 0;
    if (step === 0) return;
    e.preventDefault();
    setChosen((i) => Math.max(0, Math.min(rounds.length - 1, i + step)));
  };
  const onPoint = (e: PointerEvent<SVGSVGElement>): void => {
    const rect = e.currentTarget.getBoundingClientRect();
    const at = scales.x.invert(((e.clientX - rect.left) / rect.width) * CHART_WIDTH).getTime();
    let best = 0;
    rounds.forEach((r, i) => {
      if (Math.abs(r.at - at) < Math.abs(itemAt(rounds, best).at - at)) best = i;
    });
    if (rounds.length > 0) setChosen(best);
  };
  return { round: rounds[chosen], onKeyDown, onPoint };
}

/** Every round since the heap was built, the works on it, and what each rule credits, on one axis of days. */
export function HeatChart({ data }: { data: HeatChartData }) {
  const all = [...data.rounds.map((r) => r.c), ...data.others.flatMap((o) => o.map((s) => s.c))];
  const scales = scalesOf(data.from, data.to, all, BOX);
  const { round, onKeyDown, onPoint } = useChosenRound(data.rounds, scales);
  const barsEnd = BOX.bottom + data.bars.length * BAR;
  const height = barsEnd + 34 + (data.breaks.length > 0 ? 38 : 6);
  const part = { data, scales };
  return (
    <div>
      <p className="text-hint q min-h-[19px]" aria-live="polite">
        {round?.says ?? say('charts.noTemperaturesYet')}
      </p>
      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('charts.temperaturesSinceWasBuiltLeft')}
        onKeyDown={onKeyDown}
      >
        <svg
          viewBox={`0 0 ${CHART_WIDTH} ${height}`}
          className="block w-full min-w-[640px]"
          onPointerMove={onPoint}
          onPointerDown={onPoint}
          role="presentation"
        >
          <HeatGround {...part} />
          <EventLines {...part} />
          <EventRow {...part} />
          <HeatReadings {...part} />
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
          {data.nowLabel && <HeatNow {...part} bottom={barsEnd + 20} />}
          {data.bars.map((bar, i) => (
            <RuleBar key={bar.name} bar={bar} y={BOX.bottom + 30 + i * BAR} scales={scales} />
          ))}
          <Breaks {...part} y={barsEnd + 32} />
        </svg>
      </div>
    </div>
  );
}

const EventLines = ({ data, scales: { x } }: ChartPart) =>
  data.events.map((e, i) => (
    <line
      key={i}
      x1={x(e.at)}
      x2={x(e.at)}
      y1={BOX.top + 2}
      y2={BOX.bottom}
      stroke="var(--color-ink)"
      strokeDasharray={e.restart ? '5 2' : '1 3'}
      opacity={0.8}
    />
  ));

function EventRow({ data, scales: { x } }: ChartPart) {
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
          {itemAt(rows, i) >= 0 && e.label && x(e.at) + 12 + e.label.length * 6.4 < CHART_WIDTH && (
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
