import type { ChartBox, Sample, Scales } from './heat-geometry';
import type { MarkName } from './marks';

export type HeatRound = {
  readonly at: number;
  readonly c: number;
  readonly heat: 'hot' | 'cold' | 'over' | 'thin';
  readonly says: string;
};
export type HeatBar = {
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

/** Width of the drawing, in its own units. */
export const CHART_WIDTH = 862;
export const BOX: ChartBox = { left: 50, right: CHART_WIDTH - 14, top: 40, bottom: 254 };
export const TOO_HOT_C = 70;
export const DANGER_C = 77;

/** What every part of the chart is given. */
export type ChartPart = { readonly data: HeatChartData; readonly scales: Scales };
/** How words stand in it. */
export const words = { fontSize: 12.5, fill: 'var(--color-ink-2)' } as const;
