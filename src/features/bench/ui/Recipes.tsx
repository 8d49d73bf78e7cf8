'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { submitOrQueue } from '@/outbox/keep';
import { Problems } from '@/ui/Field';
import { useSubmit } from '@/ui/useSubmit';
import type { BenchView } from '../view';

type KeptRecipe = BenchView['recipes'][number];

/** The heaps that were built by a recipe, and how they did. */
const HeapsByRecipe = ({ heaps }: Pick<KeptRecipe, 'heaps'>) => (
  <details className="text-hint">
    <summary className="cursor-pointer underline target-in-text flex items-center">
      {say('bench.batchBatchesBuiltWithResults', { heaps: heaps.length })}
    </summary>
    {heaps.map((h) => (
      <p key={h.id}>
        <Link prefetch={false} className="underline" href={`/batch/${h.id}`}>
          {h.name}
        </Link>
        : {h.hot}, {h.highest}, {h.proven}
      </p>
    ))}
  </details>
);

function RecipeRow({
  recipe: r,
  busy,
  onPutAway,
}: {
  recipe: KeptRecipe;
  busy: boolean;
  onPutAway: () => void;
}) {
  return (
    <li className="border-b border-rule py-1.5 text-small">
      <Link
        prefetch={false}
        className="link inline-flex target-in-text items-center"
        href={`/bench?recipe=${r.id}`}
      >
        {r.name}
      </Link>{' '}
      <span className="q text-note">{r.says}</span>{' '}
      <button
        type="button"
        className="underline text-note target-in-text"
        disabled={busy}
        onClick={onPutAway}
      >
        {say('bench.archive')}
        <span className="sr-only"> {r.name}</span>
      </button>
      {r.heaps.length > 0 && <HeapsByRecipe heaps={r.heaps} />}
    </li>
  );
}

/** Kept recipes, and how the heaps that were built by each did. */
export function Recipes({ view, by }: { view: BenchView; by: string }) {
  const { id, problems, busy, keep } = useSubmit(by);
  const putAway = (r: KeptRecipe): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'recipe',
            at: null,
            by: by || say('bench.somebody'),
            data: { recipe: { ...r.recipe, away: true }, from: r.entry },
          },
          say('bench.recipeArchived', { name: r.name }),
        ),
      () => undefined,
    );
  return (
    <section className="mt-5 ruled pt-2" data-testid="recipes">
      <h3>{say('bench.savedRecipes')}</h3>
      {view.recipes.length === 0 ? (
        <p className="q text-small">{say('bench.noneSavedYetYouCan')}</p>
      ) : (
        <ul>
          {view.recipes.map((r) => (
            <RecipeRow key={r.id} recipe={r} busy={busy} onPutAway={() => putAway(r)} />
          ))}
        </ul>
      )}
      <Problems list={problems} />
    </section>
  );
}
