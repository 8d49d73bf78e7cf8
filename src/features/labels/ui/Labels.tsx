'use client';
import { say } from '@/messages/say';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { Mound, type MoundProps } from '@/charts/Mound';
import { Field } from '@/ui/Field';
import { baseAddress, LABEL_SHEETS } from '../sheets';

export type Flag = {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly line: string;
  readonly picture: MoundProps;
};

/** Flags to print: which heaps, on which sheet, with an address that a phone in the yard reaches. */
export function Labels({
  flags,
  origin,
  wanted,
}: {
  flags: readonly Flag[];
  origin: string;
  /** Those chosen at first; empty: all. */ wanted: readonly string[];
}) {
  const [chosen, setChosen] = useState<readonly string[]>(
    flags.map((f) => f.id).filter((id) => wanted.length === 0 || wanted.includes(id)),
  );
  const [sheetId, setSheetId] = useState('a4-8');
  const [base, setBase] = useState(origin);
  const [skip, setSkip] = useState('0');
  const sheet = LABEL_SHEETS.find((s) => s.id === sheetId)!;
  const each = sheet.columns * sheet.rows;
  const used = Number(skip);
  const skipProblem =
    Number.isInteger(used) && used >= 0 && used < each && skip.trim() !== ''
      ? undefined
      : say('labels.aWholeNumberFrom0', { each: each - 1 });
  const address = baseAddress(base);
  const largest = Math.max(...flags.map((f) => f.picture.volume), 1);
  const ready = chosen.length > 0 && address.ok && !skipProblem;
  const href = ready
    ? `/labels.pdf?${new URLSearchParams({ sheet: sheetId, base: address.base, heaps: chosen.join(','), skip: String(used) })}`
    : undefined;
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="px-5 max-sm:px-4 py-4 min-w-0" aria-labelledby="flags-title">
        <h1 id="flags-title">{say('labels.labels')}</h1>
        <p className="q mt-2 max-w-[620px]">{say('labels.aLabelForEachBatch')}</p>
        {flags.length === 0 && <p className="mt-4">{say('labels.noActiveBatchYetStart')}</p>}
        <ul className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-x-6">
          {flags.map((f) => (
            <li key={f.id} className="border-b border-rule">
              <label className="flex items-center gap-3 min-h-[60px] cursor-pointer">
                <input
                  type="checkbox"
                  className="size-6"
                  checked={chosen.includes(f.id)}
                  onChange={(e) =>
                    setChosen((all) =>
                      e.target.checked
                        ? flags.map((x) => x.id).filter((id) => id === f.id || all.includes(id))
                        : all.filter((id) => id !== f.id),
                    )
                  }
                />
                <svg width={56} height={42} viewBox="0 0 74 54" aria-hidden="true">
                  <Mound
                    heap={f.picture}
                    place={{ x: 34, base: 52, maxW: 66, maxH: 32, largest, small: true }}
                  />
                  <path d="M0 52H74" stroke="var(--color-ink)" strokeWidth={1.8} />
                </svg>
                <span className="leading-[1.25]">
                  <b className="disp text-lead">{f.name}</b>
                  <span className="q block text-hint">{f.line}</span>
                </span>
              </label>
            </li>
          ))}
        </ul>
        {flags.length > 0 && (
          <p className="mt-3 flex gap-2">
            <button type="button" className="btn" onClick={() => setChosen(flags.map((f) => f.id))}>
              {say('labels.all')}
            </button>
            <button type="button" className="btn" onClick={() => setChosen([])}>
              {say('labels.none')}
            </button>
          </p>
        )}
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-4"
        aria-label={say('labels.howToPrintThem')}
      >
        <h2>{say('labels.print')}</h2>
        <div>
          <label className="label" htmlFor="sheet">
            {say('labels.sheet')}
          </label>
          <select
            id="sheet"
            className="field"
            value={sheetId}
            onChange={(e) => setSheetId(e.target.value)}
          >
            {LABEL_SHEETS.map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </select>
        </div>
        <SheetPicture
          columns={sheet.columns}
          rows={sheet.rows}
          used={skipProblem ? 0 : used}
          filled={chosen.length}
          paper={sheet.paper}
        />
        <Field
          label={say('labels.labelsAlreadyUsedOnFirst')}
          inputMode="numeric"
          value={skip}
          onChange={(e) => setSkip(e.target.value)}
          problem={skipProblem}
        />
        <Field
          label={say('labels.addressPhonesCanReach')}
          value={base}
          inputMode="url"
          onChange={(e) => setBase(e.target.value)}
          problem={address.ok ? undefined : address.problem}
          hint={address.ok && address.warning === null ? say('labels.theQrCodeOnEach') : undefined}
        />
        {address.ok && address.warning && (
          <p role="status" className="marked font-semibold">
            {address.warning}
          </p>
        )}
        <p className="q text-hint">{say('labels.printAt100NotFit')}</p>
        {href ? (
          <a className="btn key !min-h-[60px]" href={href} target="_blank" rel="noreferrer">
            <Printer size={20} aria-hidden="true" />
            {say('labels.makeOneOtherPdf', { chosen: chosen.length })}
          </a>
        ) : (
          <button type="button" className="btn key !min-h-[60px]" disabled>
            {say('labels.chooseABatchFirst')}
          </button>
        )}
      </aside>
    </div>
  );
}

/** The first sheet as it will come out: what is used up, what is printed. */
function SheetPicture({
  columns,
  rows,
  used,
  filled,
  paper,
}: {
  columns: number;
  rows: number;
  used: number;
  filled: number;
  paper: string;
}) {
  const [w, h] = paper === 'A4' ? [105, 148] : [108, 140];
  const [cw, ch] = [w / columns, h / rows];
  return (
    <svg
      viewBox={`-1 -1 ${w + 2} ${h + 2}`}
      className="w-[130px]"
      role="img"
      aria-label={say('labels.labelsOnSheetThemUsed', { columns: columns * rows, used })}
    >
      <rect
        width={w}
        height={h}
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        strokeWidth={1.4}
      />
      {Array.from({ length: columns * rows }, (_, i) => (
        <rect
          key={i}
          x={(i % columns) * cw + 2}
          y={Math.floor(i / columns) * ch + 2}
          width={cw - 4}
          height={ch - 4}
          fill={i < used ? 'url(#hatch-small)' : i < used + filled ? 'var(--color-ink)' : 'none'}
          stroke="var(--color-rule-2)"
          strokeDasharray={i < used + filled ? undefined : '2 2'}
        />
      ))}
    </svg>
  );
}
