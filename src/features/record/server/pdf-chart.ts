import { say } from '@/messages/say';
import { scaleLinear, scaleTime } from 'd3-scale';
import type { ChartView } from '@/core/snapshot/chart';
import { face, type Doc } from '@/platform/pdf-face';
import { lastOf } from '@/core/quantity/present';

type Sample = { readonly at: number; readonly c: number };
const INK = '#1a1912';
const DIM = '#6b6959';

/** Pieces of a line, cut wherever two rounds lie further apart than is credited: never a line over a gap. */
function pieces(samples: readonly Sample[], maxGapMs: number): Sample[][] {
  const out: Sample[][] = [];
  for (const s of samples) {
    const open = out.at(-1);
    if (open && s.at - lastOf(open).at <= maxGapMs) open.push(s);
    else out.push([s]);
  }
  return out;
}

const [AXES, PLOT, BELOW, BAR] = [26, 178, 26, 14];
const LEGEND = 24;
/** The height that a chart takes, with the words under it. */
export const chartHeight = ({ bars }: Pick<ChartView, 'bars'>): number =>
  PLOT + BELOW + bars.length * BAR + LEGEND;

/** The heat chart of the record: the same data as on the heap's page, in black on white. */
export function drawChart(
  doc: Doc,
  chart: ChartView,
  { x: left, y: top, w }: { x: number; y: number; w: number },
): void {
  const plot = { left: left + 64, right: left + w - 4, top: top + AXES, bottom: top + PLOT };
  const values = [...chart.rounds, ...chart.others.flat()].map((s) => s.c);
  // What lies before or after the drawing, or goes on for ever, ends at its edge.
  const x = scaleTime().domain([chart.from, chart.to]).range([plot.left, plot.right]).clamp(true);
  const isWithin = ({ at }: Sample): boolean => at >= chart.from && at <= chart.to;
  const y = scaleLinear()
    .domain([Math.min(5, ...values), Math.max(80, ...values)])
    .range([plot.bottom, plot.top]);
  const text = (
    words: string,
    at: number,
    row: number,
    options: PDFKit.Mixins.TextOptions = {},
    color = INK,
  ): void => {
    face(doc, words, 'text', 7)
      .fillColor(color)
      .text(words, at, row, { lineBreak: false, ...options });
  };
  const line = (samples: readonly Sample[], width: number, color: string): void => {
    for (const piece of pieces(samples.filter(isWithin), chart.maxGapMs)) {
      piece.forEach((s, i) =>
        i === 0 ? doc.moveTo(x(s.at), y(s.c)) : doc.lineTo(x(s.at), y(s.c)),
      );
      doc.lineWidth(width).strokeColor(color).stroke();
    }
  };
  doc.save();
  doc.rect(plot.left, y(70), plot.right - plot.left, y(chart.floorC) - y(70)).fill('#f3efe2');
  for (const t of chart.ticks) {
    doc
      .moveTo(plot.left, y(t.c))
      .lineTo(plot.right, y(t.c))
      .lineWidth(t.c === chart.floorC ? 0.9 : 0.3)
      .strokeColor(t.c === chart.floorC ? INK : '#c6c7b5')
      .stroke();
    text(t.label, plot.left - 24, y(t.c) - 4, { width: 20, align: 'right' });
  }
  text(chart.unit, plot.left - 24, plot.top - 8, { width: 20, align: 'right' }, DIM);
  text(chart.floorLabel, plot.left + 3, plot.top - 24, {}, DIM);
  for (const d of chart.days) text(d.label, x(d.at), plot.bottom + 4, {}, DIM);
  for (const e of chart.events) {
    doc
      .moveTo(x(e.at), plot.top - 6)
      .lineTo(x(e.at), plot.bottom)
      .lineWidth(e.restart ? 1.1 : 0.5)
      .dash(e.restart ? 4 : 1.5, { space: 2 })
      .strokeColor(INK)
      .stroke()
      .undash();
    if (e.label) text(e.label, x(e.at) - 2, plot.top - 15);
  }
  line(chart.air, 0.4, '#8b8a76');
  for (const other of chart.others) line(other, 0.4, DIM);
  line(chart.rounds, 1.5, INK);
  if (chart.rounds.length <= 160)
    for (const r of chart.rounds)
      doc
        .circle(x(r.at), y(r.c), 1.7)
        .lineWidth(0.8)
        .fillAndStroke(r.heat === 'cold' ? '#ffffff' : INK, INK);
  doc
    .moveTo(plot.left, plot.bottom)
    .lineTo(plot.right, plot.bottom)
    .lineWidth(0.9)
    .strokeColor(INK)
    .stroke();
  chart.bars.forEach((bar, i) => {
    const row = plot.bottom + 20 + i * BAR;
    text(bar.name, left, row + 1, { width: 400 });
    for (const s of bar.spans) {
      const box: [number, number, number, number] = [
        x(s.from),
        row,
        Math.max(0.7, x(s.to) - x(s.from)),
        8,
      ];
      if (s.kind === 'credited') doc.rect(...box).fill(INK);
      else
        doc
          .rect(...box)
          .lineWidth(0.6)
          .dash(1.5, { space: 1.2 })
          .strokeColor(INK)
          .stroke()
          .undash();
    }
    const end = Math.max(plot.left, ...bar.spans.map((s) => x(s.to)));
    const fits = end + 6 + bar.label.length * 3.6 < plot.right;
    text(bar.label, fits ? end + 5 : plot.right - bar.label.length * 3.6, fits ? row + 1 : row - 7);
  });
  doc.restore();
  doc.x = left;
  doc.y = plot.bottom + BELOW + chart.bars.length * BAR;
  face(doc, '', 'text', 7.5)
    .fillColor(DIM)
    .text(say('record.heavyLineWhatCheckJudged'), left, doc.y, { width: w });
  doc.y += 4;
}
