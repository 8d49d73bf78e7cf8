'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { Recipe } from '@/core/log/store-shapes';
import type { Ingredient } from '@/core/mix/ingredient';
import { looseLitres } from '@/core/mix/mix';
import { litresText } from '@/core/words/amount';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { Sheet } from '@/ui/Sheet';
import { typed } from '@/core/quantity/typed-number';
import { useSubmit } from '@/ui/useSubmit';
import type { BenchView } from '../view';
import type { BenchHandle, Draft } from './useBench';

/** What lies on the bench as a recipe. */
const recipeOf = (bench: BenchHandle, id: string, name: string, copyOf?: string): Recipe => ({
  id,
  name,
  parts: bench.lines.flatMap((l) => (l.part ? [l.part] : [])),
  ...(typeof bench.water === 'number' && bench.water > 0 ? { waterL: bench.water } : {}),
  shape: bench.draft.shape,
  ...(copyOf ? { copyOf } : {}),
});

/** Keeps the mix as a recipe. Somebody else's change meanwhile is told, and both are kept, one way or the other. */
export const KeepRecipe = ({
  onOpenChange,
  ...rest
}: { onOpenChange: (open: boolean) => void } & Omit<KeepProps, 'onDone'>) => (
  <Sheet
    open
    onOpenChange={onOpenChange}
    title={rest.bench.draft.recipe ? say('bench.saveThisRecipe') : say('bench.saveAsARecipe2')}
  >
    <DraftScope name="recipe">
      <KeepForm {...rest} onDone={() => onOpenChange(false)} />
    </DraftScope>
  </Sheet>
);
type KeepProps = {
  readonly bench: BenchHandle;
  readonly view: BenchView;
  readonly by: string;
  readonly onKept: (d: Partial<Draft>) => void;
  readonly onDone: () => void;
};

function KeepForm({ bench, view, by: device, onKept, onDone }: KeepProps) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [name, setName] = useTyped('name', bench.draft.name);
  const clash = problems.some((p) => p.path === 'changed');
  const latest = view.recipes.find((r) => r.id === bench.draft.recipe);
  const write = (recipe: Recipe, from: string | null): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: null, kind: 'recipe', at: null, by, data: { recipe, from } },
          say('bench.recipe', { name: recipe.name }),
        ),
      () => {
        onKept({ name: recipe.name, recipe: recipe.id, from: id });
        onDone();
      },
    );
  const title = name.trim();
  const own = bench.draft.recipe;
  return (
    <>
      <Field
        label={say('bench.name')}
        value={name}
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
        placeholder={say('bench.chickenLitterChipsSpring')}
        problem={title.length === 1 ? say('bench.useALongerName') : undefined}
      />
      <Field
        label={say('bench.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      {clash ? (
        <div className="flex flex-col gap-2">
          <button
            type="button"
            className="btn key !min-h-key"
            disabled={busy}
            onClick={() => write(recipeOf(bench, v7(), say('bench.copy', { title }), own!), null)}
          >
            {say('bench.saveMineAsCopy')}
          </button>
          {latest && latest.entry !== bench.draft.from && (
            <button
              type="button"
              className="btn !min-h-key"
              disabled={busy}
              onClick={() => write(recipeOf(bench, own!, title), latest.entry)}
            >
              {say('bench.saveMineOverTheirsVersion', { version: latest.version })}
            </button>
          )}
        </div>
      ) : (
        <div className="flex gap-2 flex-wrap">
          <SaveButton
            className="btn key flex-1 !min-h-key"
            label={own ? say('bench.saveAsNewVersion') : say('bench.save')}
            busy={busy}
            missing={title.length < 2 ? say('bench.giveNameAtLeastTwo') : whoIsMissing(by)}
            onSave={() => write(recipeOf(bench, own ?? v7(), title), own ? bench.draft.from : null)}
          />
          {own && (
            <button
              type="button"
              className="btn !min-h-key"
              disabled={busy || title.length < 2 || !by.trim()}
              onClick={() =>
                write(
                  recipeOf(
                    bench,
                    v7(),
                    title === bench.draft.name ? say('bench.copy', { title }) : title,
                    own,
                  ),
                  null,
                )
              }
            >
              {say('bench.saveAsACopy')}
            </button>
          )}
        </div>
      )}
    </>
  );
}

/** More or less of everything that is not fixed. */
export function Scale({
  open,
  onOpenChange,
  bench,
  already,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  bench: BenchHandle;
  already: readonly Ingredient[];
}) {
  const [to, setTo] = useState('');
  const now = bench.mix?.litresLoose ?? null;
  const many = typedQuantity('volume', to, 0.01);
  // What a heap holds and what is fixed stays; the rest makes up for it.
  const stays =
    looseLitres([
      ...already,
      ...bench.lines.flatMap((l) => (l.row.fixed && l.ingredient ? [l.ingredient] : [])),
    ]) ?? 0;
  const wanted = typeof many === 'number' ? many * 1000 : null;
  const factor =
    wanted !== null && now !== null && now > stays ? (wanted - stays) / (now - stays) : null;
  const wrong =
    many === null
      ? say('bench.typeVolumeAsNumberAbove')
      : factor !== null && factor <= 0
        ? say('bench.whatFixedOrAlreadyIn', { stays: litresText(stays) })
        : undefined;
  const apply = (): void => {
    bench.change({
      rows: bench.draft.rows.map((r) => {
        const n = typed(r.n);
        return typeof n === 'number' && r.unit !== 'unknown' && !r.fixed
          ? { ...r, n: String(Math.round(n * factor! * 100) / 100) }
          : r;
      }),
      waterL: bench.water ? shownQuantity('litres', bench.water * factor!, 0) : bench.draft.waterL,
    });
    onOpenChange(false);
  };
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('bench.scaleIt')}>
      <p>
        {now === null
          ? say('bench.aVolumeNotKnownSo2')
          : now > stays
            ? say('bench.itIsLooseNow', { litres: litresText(now) })
            : say('bench.allFixedSoThereNothing')}
      </p>
      <Field
        label={say('bench.to')}
        unit={say('bench.loose', { volumesign: signOf('volume') })}
        inputMode="decimal"
        value={to}
        onChange={(e) => setTo(e.target.value)}
        problem={wrong}
        hint={
          factor ? say('bench.timesAsMuchEverythingNot', { factor: factor.toFixed(2) }) : undefined
        }
      />
      <SaveButton
        className="btn key !min-h-key"
        label={say('bench.scale2')}
        busy={false}
        missing={wrong ?? (factor ? null : say('bench.typeVolumeYouWant'))}
        onSave={apply}
      />
    </Sheet>
  );
}

/** Where it is laid up: a heap that is building, or a new one. */
export function BuildFromRecipe({
  open,
  onOpenChange,
  bench,
  view,
  by: device,
  heap,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  bench: BenchHandle;
  view: BenchView;
  by: string;
  heap: string | null;
}) {
  const router = useRouter();
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const building = view.heaps.filter((h) => h.building);
  const [to, setTo] = useState(building.find((h) => h.id === heap)?.id ?? building[0]?.id ?? '');
  const before = view.heap?.id === to ? view.heap.by : null;
  const recipe = recipeOf(
    bench,
    bench.draft.recipe ?? before?.id ?? v7(),
    [bench.draft.name, before?.name].find(Boolean) ?? say('bench.fromTheMixCalculator'),
  );
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: to,
            kind: 'lay-up',
            at: null,
            by,
            data: { recipe, ...(bench.draft.from ? { from: bench.draft.from } : {}) },
          },
          say('bench.buildSheet', {
            name: building.find((b) => b.id === to)?.name ?? say('bench.batch'),
          }),
        ),
      () => router.push(`/batch/${to}/build`),
    );
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('bench.useThisRecipe')}>
      {building.length > 0 ? (
        <label className="label">
          {say('bench.batchBeingBuilt')}
          <select className="field mt-1" value={to} onChange={(e) => setTo(e.target.value)}>
            {building.map((b) => (
              <option key={b.id} value={b.id}>
                {b.name}
                {b.place ? `, ${b.place}` : ''}
              </option>
            ))}
          </select>
        </label>
      ) : (
        <p>{say('bench.noBatchBeingBuiltNow')}</p>
      )}
      <Field
        label={say('bench.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <div className="flex gap-2 flex-wrap">
        {building.length > 0 && (
          <SaveButton
            className="btn key flex-1 !min-h-key"
            label={say('bench.buildWithThisRecipe', {
              name: building.find((b) => b.id === to)?.name ?? say('bench.it'),
            })}
            busy={busy}
            missing={to === '' ? say('bench.chooseTheBatch') : whoIsMissing(by)}
            onSave={save}
          />
        )}
        <Link prefetch={false} href="/open?for=bench" className="btn !min-h-key">
          {say('bench.startANewBatch')}
        </Link>
      </div>
      <p className="hint">{say('bench.thisLogsNothingAsAdded')}</p>
    </Sheet>
  );
}
