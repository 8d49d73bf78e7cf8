'use client';
import { Plus, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Schematic } from '@/charts/Schematic';
import {
  depthInZone,
  freshPlaceId,
  placeLabel,
  planDoubts,
  proposePlan,
  rowStretchesOf,
  type Border,
} from '@/core/heap/plan';
import type { PointZone } from '@/core/evidence/types';
import type { Side } from '@/core/log/shapes';
import { planDoubtText } from '@/core/words/plan';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { KeepBar } from '@/entry/ui/parts';
import type { PlacedHeap } from '@/entry/placed';
import { StandingFields, useStanding } from '@/entry/ui/Standing';
import { submitEntry, useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { v7 } from 'uuid';
import { itemAt } from '@/core/quantity/present';

export type PlacesScreen = {
  readonly plan: readonly {
    readonly id: string;
    readonly label: string;
    readonly zone: PointZone | null;
    readonly side: string | null;
    readonly depthM: number | null;
    readonly alongM: number | null;
  }[];
  /** Every id that a place of this heap ever had. */
  readonly taken: readonly string[];
  readonly withReadings: readonly string[];
  readonly shape: string | null;
  readonly coreDepthM: number | null;
  readonly lengthM: number | null;
  readonly minPoints: number;
  /** Longest thermometer in service, m. */
  readonly stemM: number | null;
  readonly borders: readonly Border[];
  readonly settings: {
    readonly stretchM: number;
    readonly borderM: number;
    readonly altitudeM: number;
  };
};
type Row = {
  readonly key: string;
  readonly was: PlacesScreen['plan'][number] | null;
  readonly zone: PointZone;
  readonly side: Side | '';
  readonly depth: string;
  readonly along: string;
};

const ZONES: readonly (readonly [PointZone, string])[] = [
  ['core', 'core'],
  ['middle', 'middle'],
  ['edge', 'toe'],
];
const SIDE_WORDS: readonly Side[] = [
  'crown',
  'left',
  'right',
  'front',
  'back',
  'north',
  'east',
  'south',
  'west',
  'base',
];
const number = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'));

const rowOf = (p: PlacesScreen['plan'][number]): Row => ({
  key: p.id,
  was: p,
  zone: p.zone ?? 'middle',
  side: (p.side ?? '') as Side | '',
  depth: p.depthM === null ? '' : String(p.depthM),
  along: p.alongM === null ? '' : String(p.alongM),
});
const newRow = (zone: PointZone, depthM: number | undefined): Row => ({
  key: v7(),
  was: null,
  zone,
  side: '',
  depth: depthM === undefined ? '' : String(depthM),
  along: '',
});

/** Where a heap stands and where a round reads it: drawn, proposed, doubted, and kept as a new plan. */
export const Places = (p: PlacesProps) => (
  <DraftScope name={`places ${p.heap.id}`}>
    <PlacesForm {...p} />
  </DraftScope>
);
type PlacesProps = {
  readonly heap: HeapRef;
  readonly screen: PlacesScreen;
  readonly placed: readonly PlacedHeap[];
};

function PlacesForm({ heap, screen, placed }: PlacesProps) {
  const router = useRouter();
  const [rows, setRows] = useTyped<readonly Row[]>('rows', screen.plan.map(rowOf));
  const entry = useEntry('plan', heap, () => router.push(`/batch/${heap.id}`));
  const rowProblem = (r: Row): string | null => {
    const [depth, along] = [number(r.depth), number(r.along)];
    return depth !== null && !(depth >= 0 && depth <= 20)
      ? 'A depth in metres, such as 0.6'
      : along !== null && !(along >= 0 && along <= 5000)
        ? 'Metres along the row'
        : null;
  };
  // A place at another depth or in another zone is another place: its readings must not be taken for those of the old one.
  const taken = [...screen.taken];
  const points = rows.map((r) => {
    const [depthM, alongM] = [number(r.depth), number(r.along)];
    const moved =
      r.was !== null &&
      screen.withReadings.includes(r.was.id) &&
      ((r.was.zone !== null && r.was.zone !== r.zone) ||
        (r.was.depthM !== null && r.was.depthM !== depthM));
    const id = r.was && !moved ? r.was.id : freshPlaceId(taken);
    taken.push(id);
    const same =
      r.was &&
      !moved &&
      r.was.zone === r.zone &&
      (r.was.side ?? '') === r.side &&
      r.was.alongM === alongM;
    return {
      id,
      label: same ? r.was.label : placeLabel(id, r.zone, r.side || undefined, alongM ?? undefined),
      zone: r.zone,
      ...(r.side ? { side: r.side } : {}),
      ...(depthM === null ? {} : { depthM }),
      ...(alongM === null ? {} : { alongM }),
    };
  });
  const doubts = planDoubts(points, {
    coreDepthM: screen.coreDepthM,
    stemM: screen.stemM,
    minPoints: screen.minPoints,
    borders: screen.borders,
    borderM: screen.settings.borderM,
  });
  const gone = screen.plan.filter(
    (p) => !points.some((x) => x.id === p.id) && screen.withReadings.includes(p.id),
  );
  const ready = rows.length > 0 && rows.every((r) => rowProblem(r) === null);
  const set = (key: string, change: Partial<Row>): void =>
    setRows((all) => all.map((r) => (r.key === key ? { ...r, ...change } : r)));
  const propose = (): void =>
    setRows(
      proposePlan(
        { shape: screen.shape, coreDepthM: screen.coreDepthM, lengthM: screen.lengthM },
        screen.settings.stretchM,
        screen.stemM,
      ).map((p) => {
        // A place that is there already keeps its name and its past.
        const was =
          screen.plan.find(
            (q) =>
              q.zone === p.zone &&
              (q.depthM ?? null) === (p.depthM ?? null) &&
              (q.alongM ?? null) === (p.alongM ?? null) &&
              (q.side === p.side || (q.zone === 'core' && !q.alongM)),
          ) ?? null;
        return {
          ...newRow(p.zone, p.depthM),
          was,
          side: (was ? (was.side ?? '') : (p.side ?? '')) as Side | '',
          along: p.alongM === undefined ? '' : String(p.alongM),
        };
      }),
    );
  const sets =
    screen.shape === 'windrow' ? rowStretchesOf(screen.lengthM, screen.settings.stretchM) : 1;
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section
        className="px-5 max-sm:px-4 py-4 min-w-0 flex flex-col gap-4"
        aria-labelledby="places-title"
      >
        <div>
          <h1 id="places-title">{heap.name}: where a round reads it</h1>
          <p className="q mt-2">
            {[
              screen.coreDepthM === null
                ? 'The way to the core is not known'
                : `The core lies ${screen.coreDepthM} m in`,
              screen.stemM === null
                ? 'no thermometer with a known length'
                : `the longest thermometer reaches ${screen.stemM} m`,
              screen.lengthM !== null ? `${screen.lengthM} m of row` : null,
              `a round needs ${screen.minPoints} places`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </div>
        <div className="max-w-[460px]">
          <Schematic
            shape={screen.shape}
            current={null}
            says={`${points.length} places of ${heap.name}`}
            places={(points.some((p) => p.alongM !== undefined)
              ? points.filter((p) => p.alongM === points[0]?.alongM)
              : points
            )
              .slice(0, 12)
              .map((p) => ({
                id: p.id,
                zone: p.zone,
                side: p.side,
                short: p.id.slice(0, 4),
                read: null,
              }))}
          />
        </div>
        <button type="button" className="btn self-start" onClick={propose}>
          {sets > 1 ? `Propose a set for each of ${sets} stretches` : 'Propose five places'}
        </button>
        <table className="w-full border-collapse max-w-[760px]">
          <thead className="max-sm:sr-only">
            <tr className="text-left text-note q border-b-[1.6px] border-ink">
              <th className="py-1 font-medium">Place</th>
              <th className="font-medium">Zone</th>
              <th className="font-medium">Side</th>
              <th className="font-medium">Deep, m</th>
              {screen.lengthM !== null && <th className="font-medium">Along, m</th>}
              <th className="font-medium">Take out</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr
                key={r.key}
                className="border-b border-rule max-sm:grid max-sm:grid-cols-[1fr_1fr_52px] max-sm:gap-x-2 max-sm:gap-y-1.5 max-sm:py-3 max-sm:items-end"
              >
                <th className="text-left font-[650] py-1.5 pr-3 max-sm:col-span-2 max-sm:text-subhead">
                  {itemAt(points, i).id}
                  {r.was && r.was.id !== itemAt(points, i).id && (
                    <span className="q font-normal text-note block">was {r.was.id}</span>
                  )}
                </th>
                <td className="pr-2 max-sm:order-2 max-sm:pr-0">
                  <select
                    aria-label={`${itemAt(points, i).id}, zone`}
                    className="field !px-1.5"
                    value={r.zone}
                    onChange={(e) => {
                      const zone = e.target.value as PointZone;
                      set(r.key, {
                        zone,
                        ...(r.depth === ''
                          ? {}
                          : {
                              depth: String(
                                depthInZone(zone, screen.coreDepthM, screen.stemM) ?? r.depth,
                              ),
                            }),
                      });
                    }}
                  >
                    {ZONES.map(([z, word]) => (
                      <option key={z} value={z}>
                        {word}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="pr-2 max-sm:order-2 max-sm:col-span-2 max-sm:pr-0">
                  <select
                    aria-label={`${itemAt(points, i).id}, side`}
                    className="field !px-1.5"
                    value={r.side}
                    onChange={(e) => set(r.key, { side: e.target.value as Side | '' })}
                  >
                    <option value="">not said</option>
                    {SIDE_WORDS.map((s) => (
                      <option key={s} value={s}>
                        {s}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="pr-2 max-sm:order-2 max-sm:pr-0">
                  <span className="label sm:hidden" aria-hidden="true">
                    Deep, m
                  </span>
                  <input
                    aria-label={`${itemAt(points, i).id}, depth in metres`}
                    className="field sm:!w-[76px]"
                    inputMode="decimal"
                    value={r.depth}
                    onChange={(e) => set(r.key, { depth: e.target.value })}
                  />
                </td>
                {screen.lengthM !== null && (
                  <td className="pr-2 max-sm:order-2 max-sm:col-span-2 max-sm:pr-0">
                    <span className="label sm:hidden" aria-hidden="true">
                      Along the row, m
                    </span>
                    <input
                      aria-label={`${itemAt(points, i).id}, metres along the row`}
                      className="field sm:!w-[76px]"
                      inputMode="decimal"
                      value={r.along}
                      onChange={(e) => set(r.key, { along: e.target.value })}
                    />
                  </td>
                )}
                <td className="max-sm:order-1">
                  <button
                    type="button"
                    className="btn !px-2.5"
                    aria-label={`Take ${itemAt(points, i).id} out`}
                    onClick={() => setRows((all) => all.filter((x) => x.key !== r.key))}
                  >
                    <X size={18} aria-hidden="true" />
                  </button>
                  {rowProblem(r) && (
                    <p role="alert" className="text-note font-semibold">
                      {rowProblem(r)}
                    </p>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <button
          type="button"
          className="btn self-start"
          onClick={() =>
            setRows((all) => [
              ...all,
              newRow('middle', depthInZone('middle', screen.coreDepthM, screen.stemM)),
            ])
          }
        >
          <Plus size={18} aria-hidden="true" />
          Another place
        </button>
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-7"
        aria-label="What is doubtful, and keeping it"
      >
        <section className="flex flex-col gap-3" aria-labelledby="doubts-title">
          <h2 id="doubts-title">What this plan can show</h2>
          {doubts.length === 0 ? (
            <p>{rows.length} places, core to toe. The coldest decides.</p>
          ) : (
            doubts.map((d) => (
              <p
                key={planDoubtText(d)}
                className="border-l-4 border-ink pl-2.5 text-body leading-[1.35]"
              >
                {planDoubtText(d)}
              </p>
            ))
          )}
          {gone.length > 0 && (
            <p className="hint">
              {gone.map((p) => p.label).join(', ')}: read no more, but the readings stay and count
              as they did.
            </p>
          )}
          <Field
            label="Who"
            value={entry.by}
            onChange={(e) => entry.setBy(e.target.value)}
            maxLength={60}
            autoComplete="name"
          />
          <KeepBar
            entry={entry}
            label={`Keep these ${rows.length} places`}
            missing={ready ? null : 'Put right what is marked above.'}
            onKeep={() => entry.save({ points })}
          />
        </section>
        <StandForm heap={heap} placed={placed} by={entry.by} />
        <SettingsForm heap={heap} settings={screen.settings} by={entry.by} />
      </aside>
    </div>
  );
}

function StandForm({
  heap,
  placed,
  by,
}: {
  heap: HeapRef;
  placed: readonly PlacedHeap[];
  by: string;
}) {
  const router = useRouter();
  const standing = useStanding(heap, placed);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const keep = async (): Promise<void> => {
    const p = await standing.keep(by, null);
    setProblems(p);
    if (p.length === 0) router.refresh();
  };
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="stand-title">
      <h2 id="stand-title">Where it stands</h2>
      <StandingFields standing={standing} />
      <Problems list={problems} />
      <SaveButton
        className="btn"
        label="Keep where it stands"
        busy={false}
        missing={
          !standing.changed
            ? 'Nothing was changed here.'
            : standing.effect.overlaps.length > 0
              ? 'It stands on another heap there.'
              : whoIsMissing(by)
        }
        onSave={() => void keep()}
      />
    </section>
  );
}

function SettingsForm({
  heap,
  settings,
  by,
}: {
  heap: HeapRef;
  settings: PlacesScreen['settings'];
  by: string;
}) {
  const router = useRouter();
  const [stretch, setStretch] = useTyped('stretch', String(settings.stretchM));
  const [border, setBorder] = useTyped('border', String(settings.borderM));
  const [said, setSaid] = useState('');
  const [stretchM, borderM] = [number(stretch), number(border)];
  const ok =
    stretchM !== null &&
    stretchM >= 1 &&
    stretchM <= 100 &&
    borderM !== null &&
    borderM >= 0 &&
    borderM <= 10;
  const keep = async (): Promise<void> => {
    const kept = await submitEntry(
      {
        id: v7(),
        batch: null,
        kind: 'round-settings',
        at: null,
        by,
        data: { stretchM, borderM, altitudeM: settings.altitudeM },
      },
      heap.name,
      'round-settings',
    );
    setSaid(kept.ok ? 'Kept for the whole site.' : kept.problems.map((p) => p.message).join(' '));
    if (kept.ok) router.refresh();
  };
  return (
    <section className="flex flex-col gap-3 ruled pt-3" aria-labelledby="settings-title">
      <h2 id="settings-title">For all rows of the site</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="One set of places for every"
          unit="m"
          inputMode="decimal"
          value={stretch}
          onChange={(e) => setStretch(e.target.value)}
        />
        <Field
          label="Keep from a border"
          unit="m"
          inputMode="decimal"
          value={border}
          onChange={(e) => setBorder(e.target.value)}
        />
      </div>
      <p role="status" className="hint">
        {said}
      </p>
      <SaveButton
        className="btn"
        label="Keep these distances"
        busy={false}
        missing={!ok ? 'Metres: 1 to 100 for a stretch, 0 to 10 from a border.' : whoIsMissing(by)}
        onSave={() => void keep()}
      />
    </section>
  );
}
