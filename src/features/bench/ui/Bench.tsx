'use client';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { measuresFor } from '@/core/heap/form';
import { looseLitres, type Mix } from '@/core/mix/mix';
import { ingredientOf, type Ingredient } from '@/core/mix/ingredient';
import type { Addition } from '@/core/mix/additions';
import { estOf, mixDistanceFromPreferred, WINDOWS } from '@/core/mix/window';
import { mixSays, windowInShort } from '@/core/mix/words';
import { kgText, litresText, measureText } from '@/core/words/amount';
import { countText, listText } from '@/core/quantity/format';
import { isShape } from '@/core/heap/size';
import { Mark } from '@/charts/marks';
import { submitOrQueue } from '@/outbox/keep';
import { Problems } from '@/ui/Field';
import { useSubmit } from '@/ui/useSubmit';
import { farFrom, rowOfPart, type BenchView, type BenchItem } from '../view';
import { LayersPanel, Schools, Shares } from './Beside';
import { KeepRecipe, BuildFromRecipe, Scale } from './Keep';
import { Pick } from './Pick';
import { RowOf } from './Rows';
import { BenchSize } from './Size';
import { SolvePanel } from './Solve';
import { createBenchDraft, useBench, type Draft } from './useBench';
import { useSolver } from './useSolver';
import { Windows } from './Windows';
import { itemAt, valueAt } from '@/core/quantity/present';

type Open = 'pick' | 'solve' | 'keep' | 'scale' | 'lay' | null;

/** The recipe bench: what goes in, what comes of it, how it is laid up. */
export function Bench({
  view,
  start,
  lay,
  by,
}: {
  view: BenchView;
  start: { recipe: string } | null;
  /** A heap was opened for what lies here. */ lay: string | null;
  by: string;
}) {
  const building = view.heap;
  const closed = building !== null && !building.building;
  const from = view.recipes.find((r) => r.id === start?.recipe) ?? null;
  const already = useMemo(
    () =>
      building
        ? together(building.ingredients.map((i) => ({ ...i, name: `${i.name}, in it` })))
        : [],
    [building],
  );
  const first: Draft = useMemo(
    () => ({
      ...createBenchDraft(from?.recipe ?? null, from?.entry ?? null, view),
      ...(building
        ? {
            held: building.ingredients.length,
            rows: (closed ? [] : building.owed).map((p, i) =>
              rowOfPart(`owed-${i}`, p, view.measures, view.items),
            ),
            ...(isShape(building.shape) ? { shape: building.shape } : {}),
          }
        : {}),
    }),
    [from, view, building, closed],
  );
  const bench = useBench(
    view,
    building ? `heap:${building.id}` : (from?.id ?? 'new'),
    first,
    already,
    building?.waterL ?? 0,
  );
  const [open, setOpen] = useState<Open>(lay ? 'lay' : null);
  const [pick, setPick] = useState(0);
  const ask = useSolver();
  const { mix, lines, draft } = bench;
  const own = bench.parts.slice(already.length);
  const ownLitres = looseLitres(own);
  const measure = view.measures.find((m) => m.id === 'barrow') ??
    view.measures[0] ?? { id: 'bucket', name: 'bucket', litres: 12 };
  const { additions, elsewhere, working } = useAdditions(bench, view, ask);
  const chosen = additions[pick] ?? additions[0] ?? null;
  const then =
    chosen && mix && !working
      ? { mix: chosen.after, key: chosen.key, litres: chosen.litres }
      : null;
  const size = measuresFor(draft.shape, Math.max(0.01, (mix?.litresMixed ?? 0) / 1000), null);
  const taken = new Set(draft.rows.map((r) => r.item));
  const addItem = (item: BenchItem, n = '1', unit = measure.id): void =>
    bench.change({
      rows: [...draft.rows, { id: v7(), item: item.key, n, unit, about: false, fixed: false }],
    });
  const take = (a: Addition): void => {
    const row = draft.rows.find((r) => r.item === a.key && r.unit === measure.id);
    const item = valueAt(bench.byKey, a.key);
    const rows = row
      ? draft.rows.map((r) =>
          r === row ? { ...r, n: String((Number(r.n.replace(',', '.')) || 0) + a.n) } : r,
        )
      : [
          ...draft.rows,
          {
            id: v7(),
            item: item.key,
            n: String(a.n),
            unit: measure.id,
            about: false,
            fixed: false,
          },
        ];
    bench.change({
      rows,
      ...(a.waterL >= 2.5
        ? { waterL: String(Math.round(((bench.water ?? 0) + a.waterL) / 5) * 5) }
        : {}),
    });
    setPick(0);
  };
  const near =
    mix && estOf(mix.cn) && estOf(mix.moisture)
      ? [...view.near]
          .map((h) => ({
            ...h,
            far: farFrom(h, { cn: estOf(mix.cn)!.value, moisture: estOf(mix.moisture)!.value }),
          }))
          .sort((a, b) => a.far - b.far)
          .slice(0, 2)
      : [];
  return (
    <div className="grid xl:grid-cols-[430px_460px_1fr] lg:grid-cols-2 flex-1">
      <section className="px-5 max-sm:px-4 pt-3 pb-4 lg:border-r border-rule-2">
        <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <h1>{building ? building.name : draft.name || 'Bench'}</h1>
          <span className="q">
            {building
              ? `${building.place}${building.place ? ', ' : ''}${closed ? 'closed: what to add to it' : 'still building'}`
              : draft.recipe
                ? 'a recipe'
                : 'a mix, not kept yet'}
          </span>
        </div>
        <h2 className="!text-[17px] mt-3">What goes in</h2>
        <p className="text-[13px] text-ink-2">
          {view.measures
            .slice(0, 3)
            .map((m) => `${m.name} ${m.litres} L`)
            .join(', ')}
          , level. Draw along the barrows, press − and +, or type. Dashed: what to add.
        </p>
        {closed && (
          <p className="text-[13.5px] border-l-[4px] border-ink pl-2.5 mt-2">
            {building.unlogged.length === 0
              ? 'Reckoned as it was built: what it lost or took up since is not in it.'
              : `Nobody logged ${listText(building.unlogged)}, so that no mix of it can be reckoned.`}{' '}
            Anything raw starts its clock again; chip, leaves and straw do not bring germs.
          </p>
        )}
        {building && building.ingredients.length > building.unlogged.length && (
          <p className="text-[13.5px] border-t-[1.6px] border-ink mt-2 pt-1.5">
            <b>In it already:</b>{' '}
            {already
              .map(
                (p) =>
                  `${p.name.replace(/, in it$/, '')} ${p.litres === null ? 'not known' : litresText(p.litres, view.volume)}`,
              )
              .join('; ')}
            {building.waterL > 0 ? `; ${building.waterL} L of water` : ''}.
            {building.by && !closed
              ? ` Below: what of ‘${building.by.name}’ is still to go in.`
              : ''}
          </p>
        )}
        {bench.stale && (
          <p className="marked font-semibold text-[14px] mt-2" role="status" data-testid="stale">
            {building
              ? `Something went into ${building.name} since you laid this out.`
              : 'Somebody kept another version of this recipe since you laid this out.'}{' '}
            <button
              type="button"
              className="underline min-h-[32px] pointer-coarse:min-h-[44px]"
              onClick={bench.reset}
            >
              Lay it out anew
            </button>
          </p>
        )}
        <ul className="border-t-[1.6px] border-ink mt-1.5">
          {lines.map((line) => (
            <RowOf
              key={line.row.id}
              line={line}
              bench={bench}
              view={view}
              then={then?.key === line.row.item ? then.litres : 0}
            />
          ))}
        </ul>
        {lines.length === 0 && (
          <p className="py-3">
            Nothing lies on the bench. Take what the store has, or any of the library.
          </p>
        )}
        <div className="flex flex-wrap gap-2 mt-3 items-center">
          <button type="button" className="btn" onClick={() => setOpen('pick')}>
            <Mark name="add" size={19} />
            Another material
          </button>
          <label className="flex items-center gap-2 ml-auto text-[14px]">
            Water{' '}
            <input
              className="small-field !w-[74px]"
              aria-label="Water to add, litres"
              inputMode="decimal"
              value={draft.waterL}
              placeholder="0"
              onChange={(e) => bench.change({ waterL: e.target.value })}
            />{' '}
            L
          </label>
        </div>
        {bench.water === null && (
          <p role="alert" className="marked font-semibold text-[14px] mt-1">
            Type the water as litres, or leave it empty.
          </p>
        )}
        {mix && lines.length > 0 && (
          <p className="text-right text-[14px] mt-2" data-testid="sum">
            <b>{measuresText(bench, view)}</b>
            {ownLitres === null ? '' : `, ${litresText(ownLitres, view.volume)}`}
            <br />
            <span className="q">
              {mix.massKg !== null
                ? `${kgText(mix.massKg)} ${building ? 'with what is in it' : 'as it stands'}`
                : 'weight not known'}
            </span>
          </p>
        )}
        <div className="flex flex-wrap gap-2 mt-3">
          <button
            type="button"
            className="btn"
            disabled={lines.length === 0}
            onClick={() => setOpen('solve')}
          >
            Solve…
          </button>
          <button
            type="button"
            className="btn"
            disabled={lines.length === 0}
            onClick={() => setOpen('scale')}
          >
            Scale…
          </button>
          <button
            type="button"
            className="btn"
            disabled={lines.length === 0 || !bench.sound}
            onClick={() => setOpen('keep')}
          >
            Keep as a recipe…
          </button>
          {lines.length > 0 && (
            <button type="button" className="btn" onClick={bench.reset}>
              {from || (building?.by && !closed) ? 'Back to the recipe' : 'Clear'}
            </button>
          )}
        </div>
        {mix && lines.length > 0 && (
          <a
            href="#figures"
            className="lg:hidden sticky z-[5] bottom-0 max-sm:bottom-[53px] -mx-5 max-sm:-mx-4 mt-3 px-5 max-sm:px-4 min-h-[48px] py-1.5 flex flex-wrap gap-x-3 items-center bg-sheet border-t-[1.6px] border-ink text-[14px]"
            data-testid="in-short"
          >
            <span>
              C:N <b>{windowInShort('cn', mix)}</b>
            </span>
            <span>
              water <b>{windowInShort('moisture', mix)}</b>
            </span>
            <span>
              density <b>{windowInShort('density', mix)}</b>
            </span>
          </a>
        )}
        <Recipes view={view} by={by} />
      </section>
      <section
        id="figures"
        className="px-5 max-sm:px-4 pt-4 pb-4 xl:border-r border-rule-2 flex flex-col gap-3"
      >
        <p className="text-[18px] leading-[1.3]" data-testid="says" aria-live="polite">
          {mix ? (
            <>
              {mixSays(mix)}
              {chosen && !working ? (
                <>
                  {' '}
                  <b>
                    {measureText(chosen.n, measure.name, measure.many)} of {nameOf(chosen, bench)}
                  </b>{' '}
                  {chosen.miss < 1e-9
                    ? chosen.n === 1
                      ? 'puts it right'
                      : 'put it right'
                    : chosen.n === 1
                      ? 'brings it nearer'
                      : 'bring it nearer'}
                  {chosen.costs.length > 0
                    ? `, but ${listText(chosen.costs.map((id) => `${WINDOWS[id].name.toLowerCase()} goes to ${windowInShort(id, chosen.after)}`))}`
                    : ''}
                  .
                </>
              ) : null}
            </>
          ) : (
            'Put the marked amounts right, and the mix is worked out again.'
          )}
        </p>
        {mix && <Windows mix={mix} then={then?.mix ?? null} />}
        {chosen && (
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn key !min-h-[50px]"
              disabled={working}
              onClick={() => take(chosen)}
            >
              <Mark name="add" size={20} />
              Add {measureText(chosen.n, measure.name, measure.many)} of {nameOf(chosen, bench)}
              {chosen.waterL >= 2.5 ? ` and ${Math.round(chosen.waterL / 5) * 5} L water` : ''}
            </button>
            {additions.length > 1 && (
              <button
                type="button"
                className="btn !min-h-[50px]"
                disabled={working}
                onClick={() => setPick((pick + 1) % Math.min(additions.length, 5))}
              >
                Use {nameOf(itemAt(additions, (pick + 1) % Math.min(additions.length, 5)), bench)}{' '}
                instead
              </button>
            )}
          </div>
        )}
        {!chosen && mix && mix.cn.ok && !working && lines.length > 0 && (
          <p className="q" data-testid="no-addition">
            {view.items.some((i) => i.inStore)
              ? 'Nothing in the store makes it better on its own.'
              : 'The store is empty.'}{' '}
            {elsewhere ? (
              <b className="font-semibold text-ink">
                About {measureText(elsewhere.n, measure.name, measure.many)} of{' '}
                {nameOf(elsewhere, bench)}
                {elsewhere.waterL >= 2.5
                  ? ` and ${Math.round(elsewhere.waterL / 5) * 5} L of water`
                  : ''}{' '}
                would.
              </b>
            ) : mixDistanceFromPreferred(mix) === 0 ? (
              ''
            ) : (
              'Nothing of the library does either: take something out, or solve it.'
            )}
          </p>
        )}
        {near.length > 0 && (
          <section className="border-t-[1.6px] border-ink pt-2">
            <h3>Your own heaps nearest to this mix</h3>
            <ul className="grid sm:grid-cols-2 gap-3 mt-1 text-[13.5px]">
              {near.map((h) => (
                <li key={h.id}>
                  <Link prefetch={false} className="link" href={`/batch/${h.id}`}>
                    {h.name}
                  </Link>{' '}
                  C:N {h.cn.toFixed(0)}, {h.moisture.toFixed(0)} % moist
                  <br />
                  <span className="text-ink-2">{h.says}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {mix && <Schools parts={bench.parts} mix={mix} measure={measure} volume={view.volume} />}
      </section>
      <aside className="bg-sheet max-xl:lg:col-span-2 px-5 max-sm:px-4 pt-3 pb-5 flex flex-col gap-3 max-xl:border-t-[1.6px] border-ink">
        {mix && (
          <>
            <LayersPanel
              parts={own}
              mix={mix}
              waterL={bench.water ?? 0}
              measure={measure}
              view={view}
              highM={size.heightM}
              wideM={size.widthM}
              building={building?.name ?? null}
              closed={closed}
            />
            <BenchSize
              litres={mix.litresMixed ?? 0}
              shape={draft.shape}
              onShape={(shape) => bench.change({ shape })}
              view={view}
            />
            <Cautions lines={lines.map((l) => l.item)} />
            {mix.shares.length > 0 && <Shares mix={mix} />}
          </>
        )}
        {closed ? (
          <Link
            prefetch={false}
            className="btn key !min-h-[52px]"
            href={`/batch/${building.id}#add`}
          >
            <Mark name="add" size={19} />
            Log what was added to {building.name}
          </Link>
        ) : (
          <button
            type="button"
            className="btn key !min-h-[52px]"
            disabled={lines.length === 0 || !bench.sound}
            onClick={() => setOpen('lay')}
          >
            <Mark name="flag" size={19} />
            {building ? `Build ${building.name} by this` : 'Lay it up'}
          </button>
        )}
        {(lines.length === 0 || !bench.sound) && (
          <p role="status" className="hint font-semibold">
            {lines.length === 0
              ? 'Put something on the bench first.'
              : 'Put right what is marked on the bench first.'}
          </p>
        )}
      </aside>
      <Pick
        open={open === 'pick'}
        onOpenChange={(o) => setOpen(o ? 'pick' : null)}
        items={view.items}
        taken={taken}
        onPick={(item) => addItem(item)}
      />
      <SolvePanel
        open={open === 'solve'}
        onOpenChange={(o) => setOpen(o ? 'solve' : null)}
        bench={bench}
        view={view}
        ask={ask}
        already={already}
        alreadyWaterL={building?.waterL ?? 0}
      />
      {open === 'keep' && (
        <KeepRecipe
          onOpenChange={(o) => setOpen(o ? 'keep' : null)}
          bench={bench}
          view={view}
          by={by}
          onKept={(d) => bench.change(d)}
        />
      )}
      <Scale
        open={open === 'scale'}
        onOpenChange={(o) => setOpen(o ? 'scale' : null)}
        bench={bench}
        already={already}
        volume={view.volume}
      />
      {open === 'lay' && (
        <BuildFromRecipe
          open
          onOpenChange={(o) => setOpen(o ? 'lay' : null)}
          bench={bench}
          view={view}
          by={by}
          heap={building?.id ?? lay}
        />
      )}
    </div>
  );
}

const nameOf = (a: Addition, bench: { byKey: ReadonlyMap<string, BenchItem> }): string =>
  (bench.byKey.get(a.key)?.name ?? a.key).replace(/^[A-Z](?=[a-z])/, (c) => c.toLowerCase());

/** The same stuff put in several times, as one; what went in fresh and what went in dried stay apart. */
function together(parts: readonly Ingredient[]): Ingredient[] {
  const by = new Map<string, Ingredient>();
  const sum = (a: number | null, b: number | null): number | null =>
    a === null || b === null ? null : a + b;
  for (const p of parts) {
    const same = JSON.stringify([p.name, p.role, p.moisture, p.density]);
    const was = by.get(same);
    by.set(
      same,
      was
        ? {
            ...was,
            kg: sum(was.kg, p.kg),
            litres: sum(was.litres, p.litres),
            about: was.about || p.about,
          }
        : p,
    );
  }
  return [...by.values()];
}

/** `23 barrows, 12 buckets`: what is carried, by its measures. */
function measuresText(bench: ReturnType<typeof useBench>, view: BenchView): string {
  const sum = new Map<string, number>();
  for (const l of bench.lines)
    if (typeof l.n === 'number' && l.n > 0) sum.set(l.row.unit, (sum.get(l.row.unit) ?? 0) + l.n);
  return (
    [...sum]
      .map(([unit, n]) => {
        const m = view.measures.find((x) => x.id === unit);
        return m
          ? measureText(n, m.name, m.many)
          : unit === 'kg'
            ? kgText(n)
            : litresText(n, view.volume);
      })
      .join(', ') || 'nothing yet'
  );
}

/** What of the store, in whole measures, makes the mix better: asked a moment after the last change, answered by the worker. */
function useAdditions(
  bench: ReturnType<typeof useBench>,
  view: BenchView,
  ask: ReturnType<typeof useSolver>,
): {
  additions: readonly Addition[];
  /** Of the library, where nothing of the store helps. */ elsewhere: Addition | null;
  working: boolean;
} {
  const [answer, setAnswer] = useState<{
    additions: readonly Addition[];
    elsewhere: Addition | null;
    of: Mix | null;
  }>({ additions: [], elsewhere: null, of: null });
  const { mix, parts, waterL, lines } = bench;
  useEffect(() => {
    if (!mix || parts.length === 0) return undefined;
    let current = true;
    const measure = view.measures.find((m) => m.id === 'barrow') ?? view.measures[0];
    const used = (key: string): number =>
      lines.reduce((s, l) => (l.item.key === key ? s + (l.ingredient?.litres ?? 0) : s), 0);
    // Seeds, disease and raw dung are not offered to a mix that has none of them.
    const held = new Set(parts.flatMap((p) => p.risks));
    const harmless = (i: BenchItem): boolean =>
      i.stuff.risks.every(
        (r) =>
          r !== 'chemical' &&
          ((r !== 'seeds' && r !== 'disease' && r !== 'raw-animal') || held.has(r)),
      );
    // Of several loads of one material the fullest stands for all.
    const fullest = new Map<string, BenchItem>();
    for (const i of view.items) {
      const was = fullest.get(i.material);
      if (
        i.inStore &&
        i.ready &&
        harmless(i) &&
        (!was || (i.hasLitres ?? 0) > (was.hasLitres ?? 0))
      )
        fullest.set(i.material, i);
    }
    const carried = (items: readonly BenchItem[]) =>
      !measure
        ? []
        : items.map((i) => ({
            stuff: {
              ...ingredientOf(i.key, { amount: { in: 'litres' as const, n: 1 } }, i.stuff, i.price),
              name: i.name,
            },
            litresEach: measure.litres,
            hasLitres: i.hasLitres === null ? null : i.hasLitres - used(i.key),
          }));
    const additionsOf = async (items: readonly BenchItem[]): Promise<readonly Addition[]> => {
      const a = await ask({ do: 'add', parts, waterL, stock: carried(items) });
      return a?.did === 'add' ? a.additions : [];
    };
    const timer = setTimeout(
      () =>
        void (async () => {
          const additions = await additionsOf([...fullest.values()]);
          const elsewhere =
            additions.length > 0
              ? null
              : ((await additionsOf(view.items.filter((i) => !i.inStore && harmless(i)))).find(
                  (a) => a.costs.length === 0,
                ) ?? null);
          if (current) setAnswer({ additions, elsewhere, of: mix });
        })(),
      120,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [mix, parts, waterL, lines, view, ask]);
  // The last answer stays in its place while the next one is worked out, so that nothing moves under the finger.
  const there = mix !== null && parts.length > 0;
  return {
    additions: there ? answer.additions : [],
    elsewhere: there ? answer.elsewhere : null,
    working: answer.of !== mix,
  };
}

/** Kept recipes, and how the heaps that were built by each did. */
function Recipes({ view, by }: { view: BenchView; by: string }) {
  const { id, problems, busy, keep } = useSubmit(by);
  const putAway = (r: BenchView['recipes'][number]): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'recipe',
            at: null,
            by: by || 'somebody',
            data: { recipe: { ...r.recipe, away: true }, from: r.entry },
          },
          `recipe ${r.name} put away`,
        ),
      () => undefined,
    );
  return (
    <section className="mt-5 border-t-[1.6px] border-ink pt-2" data-testid="recipes">
      <h3>Recipes</h3>
      {view.recipes.length === 0 ? (
        <p className="q text-[14px]">
          None is kept yet. What lies on the bench can be kept under a name.
        </p>
      ) : (
        <ul>
          {view.recipes.map((r) => (
            <li key={r.id} className="border-b border-rule py-1.5 text-[14px]">
              <Link
                prefetch={false}
                className="link inline-flex min-h-[32px] pointer-coarse:min-h-[44px] items-center"
                href={`/bench?recipe=${r.id}`}
              >
                {r.name}
              </Link>{' '}
              <span className="q text-[13px]">{r.says}</span>{' '}
              <button
                type="button"
                className="underline text-[13px] min-h-[32px] pointer-coarse:min-h-[44px]"
                disabled={busy}
                onClick={() => putAway(r)}
              >
                put away<span className="sr-only"> {r.name}</span>
              </button>
              {r.heaps.length > 0 && (
                <details className="text-[13.5px]">
                  <summary className="cursor-pointer underline min-h-[32px] pointer-coarse:min-h-[44px] flex items-center">
                    {countText(r.heaps.length, 'heap')} built by it, and how they did
                  </summary>
                  {r.heaps.map((h) => (
                    <p key={h.id}>
                      <Link prefetch={false} className="underline" href={`/batch/${h.id}`}>
                        {h.name}
                      </Link>
                      : {h.hot}, {h.highest}, {h.proven}
                    </p>
                  ))}
                </details>
              )}
            </li>
          ))}
        </ul>
      )}
      <Problems list={problems} />
    </section>
  );
}

/** What to look out for with what lies on the bench. */
function Cautions({ lines }: { lines: readonly BenchItem[] }) {
  const said = [
    ...new Map(
      lines.flatMap((i) =>
        i.stuff.caution
          ? [[i.material, { name: i.stuff.name, says: i.stuff.caution }] as const]
          : [],
      ),
    ).values(),
  ];
  if (said.length === 0) return null;
  return (
    <section className="border-t-[1.6px] border-ink pt-2 text-[14px]" data-testid="cautions">
      <h3>Look out</h3>
      {said.map((s) => (
        <p key={s.name} className="caution mt-1">
          <b>{s.name}.</b> {s.says}
        </p>
      ))}
    </section>
  );
}
