'use client';
import { say } from '@/messages/say';
import { scaleBand, scaleLinear } from 'd3-scale';
import Link from 'next/link';
import { volumeText } from '@/core/quantity/format';
import { FiguresTable } from '@/ui/FiguresTable';
import type { SeasonTable, SeasonView } from '../season-view';

const [W, H, PAD] = [640, 190, 34];

/** Taken in and gone out by month: two bars each, told apart by their filling as well as their place. */
function MonthBars({ months }: { months: SeasonView['months'] }) {
  const most = Math.max(1, ...months.flatMap((m) => [m.takenL, m.outL]));
  const x = scaleBand<number>()
    .domain(months.map((m) => m.month))
    .range([0, W])
    .padding(0.25);
  const y = scaleLinear()
    .domain([0, most])
    .range([H - PAD, 12]);
  const bar = (litres: number) => ({ y: y(litres), height: H - PAD - y(litres) });
  const half = x.bandwidth() / 2;
  return (
    <figure className="max-w-[680px]">
      <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={say('lots.byMonth')} className="w-full">
        <line x1="0" x2={W} y1={H - PAD} y2={H - PAD} stroke="var(--color-ink)" strokeWidth="1.6" />
        {months.map((m) => (
          <g key={m.month} transform={`translate(${x(m.month) ?? 0} 0)`}>
            <rect width={half - 1} {...bar(m.takenL)} fill="var(--color-humus)">
              <title>{say('lots.takenInMonth', { volume: volumeText(m.takenL / 1000) })}</title>
            </rect>
            <rect
              x={half + 1}
              width={half - 1}
              {...bar(m.outL)}
              fill="none"
              stroke="var(--color-ink)"
              strokeWidth="1.6"
            >
              <title>{say('lots.outInMonth', { volume: volumeText(m.outL / 1000) })}</title>
            </rect>
            <text
              x={half}
              y={H - PAD + 18}
              textAnchor="middle"
              fontSize="13"
              fill="var(--color-ink)"
            >
              {m.month}
            </text>
          </g>
        ))}
        <text x="0" y="10" fontSize="13" fill="var(--color-ink)">
          {volumeText(most / 1000)}
        </text>
      </svg>
      <figcaption className="hint">{say('lots.monthsLegend')}</figcaption>
    </figure>
  );
}

/** Rows with several figures each. */
const Table = ({ table }: { table: SeasonTable }) => (
  <section data-testid="season-table">
    <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{table.title}</h2>
    <FiguresTable title={table.title} table={table} isHeaded />
    <p className="hint">{table.note}</p>
  </section>
);

/** Other years, and this one as a table to save. */
const YearLinks = ({ view }: { view: SeasonView }) => (
  <p className="flex flex-wrap gap-4">
    {view.years
      .filter((y) => y !== view.year)
      .map((y) => (
        <Link
          key={y}
          prefetch={false}
          className="link pointer-coarse:py-2.5"
          href={`/lots/season?year=${y}`}
        >
          {y}
        </Link>
      ))}
    <a className="link pointer-coarse:py-2.5" href={`/api/lots/season?year=${view.year}`}>
      {say('lots.asCsv')}
    </a>
  </p>
);

/** A year in figures: taken in, gone out, screened, worked, with what is missing named. */
export function Season({ view }: { view: SeasonView }) {
  return (
    <div className="px-5 max-sm:px-4 py-5 flex flex-col gap-4 max-w-[1080px]">
      <p>
        <Link prefetch={false} className="link pointer-coarse:py-2.5 inline-block" href="/lots">
          {say('lots.title')}
        </Link>
      </p>
      <h1>{say('lots.seasonOf', { year: String(view.year) })}</h1>
      <YearLinks view={view} />
      {view.empty ? (
        <p>{say('lots.nothingThisYear')}</p>
      ) : (
        <>
          <MonthBars months={view.months} />
          <div className="grid md:grid-cols-2 gap-x-10 gap-y-4">
            {view.groups.map((g) => (
              <section key={g.title}>
                <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{g.title}</h2>
                <dl>
                  {g.lines.map((l) => (
                    <div
                      key={l.name}
                      className="flex justify-between gap-3 border-b border-rule py-1"
                    >
                      <dt>{l.name}</dt>
                      <dd className="font-semibold whitespace-nowrap">{l.value}</dd>
                    </div>
                  ))}
                </dl>
              </section>
            ))}
          </div>
          {view.tables.map((t) => (
            <Table key={t.title} table={t} />
          ))}
          {view.missing.map((m) => (
            <p key={m} className="text-hint">
              {m}
            </p>
          ))}
        </>
      )}
    </div>
  );
}
