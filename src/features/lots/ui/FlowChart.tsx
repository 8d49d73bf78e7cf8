'use client';
import { say } from '@/messages/say';
import { line, curveBasis } from 'd3-shape';
import { useId } from 'react';
import { figureWithUnit, joinParts } from '@/core/quantity/format';
import type { FlowBand, FlowDrawing, FlowNode } from '../flow-drawing';

const draw = line<readonly [number, number]>()
  .x((p) => p[0])
  .y((p) => p[1])
  .curve(curveBasis);
const MOST_LETTERS = 17;
const shorten = (name: string): string =>
  name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name;

/** What a band says: one text, since a title holds no more. */
const bandText = ({ litres, raw }: FlowBand): string =>
  joinParts(
    litres === null ? say('terms.amountNotKnown2') : figureWithUnit('litres', litres),
    raw && say('lots.partlyUnheated'),
  );

/** A band: wide by its litres, hatched where some of it was never heated, dashed where its amount is not known. */
const Band = ({ b, hatch }: { b: FlowBand; hatch: string }) => (
  <path
    d={draw([...b.points]) ?? ''}
    fill="none"
    stroke={b.raw ? `url(#${hatch})` : 'var(--color-humus)'}
    strokeOpacity={b.raw ? 1 : 0.55}
    strokeWidth={b.width}
    {...(b.litres === null ? { strokeDasharray: '7 5', stroke: 'var(--color-ink)' } : {})}
  >
    <title>{bandText(b)}</title>
  </path>
);

const Node = ({ n }: { n: FlowNode }) => (
  <g transform={`translate(${n.x} ${n.y})`}>
    <rect
      width={n.w}
      height={n.h}
      rx={n.kind === 'end' ? n.h / 2 : 3}
      fill="var(--color-sheet)"
      stroke="var(--color-ink)"
      strokeWidth={n.kind === 'load' ? 1 : 1.8}
    />
    <text x={n.w / 2} y={n.h / 2 + 4.5} textAnchor="middle" fontSize="13" fill="var(--color-ink)">
      {shorten(n.name)}
    </text>
    <title>{n.name}</title>
  </g>
);

/** Lots and flows; the tables beside it say the same in words. */
export function FlowChart({ drawing, label }: { drawing: FlowDrawing; label: string }) {
  const hatch = useId();
  if (drawing.nodes.length === 0) return null;
  return (
    <figure>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
        <svg
          width={drawing.width}
          height={drawing.height}
          viewBox={`0 0 ${drawing.width} ${drawing.height}`}
          role="img"
          aria-label={label}
        >
          <defs>
            <pattern
              id={hatch}
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="6" height="6" fill="var(--color-sheet)" />
              <line x1="0" y1="0" x2="0" y2="6" stroke="var(--color-ink)" strokeWidth="3" />
            </pattern>
          </defs>
          {drawing.bands.map((b) => (
            <Band key={b.id} b={b} hatch={hatch} />
          ))}
          {drawing.nodes.map((n) => (
            <Node key={n.id} n={n} />
          ))}
        </svg>
      </div>
      <figcaption className="hint mt-1">
        {say('lots.chartLegend')} {drawing.folded > 0 && say('lots.folded', { n: drawing.folded })}
      </figcaption>
    </figure>
  );
}
