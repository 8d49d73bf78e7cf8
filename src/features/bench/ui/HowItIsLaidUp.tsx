'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { measuresFor } from '@/core/heap/form';
import { Mark } from '@/charts/marks';
import type { BenchItem, BenchView } from '../view';
import { LayersPanel, Shares } from './Beside';
import { BenchSize } from './Size';
import type { BenchProps } from './WhatGoesIn';

/** What to look out for with what is on the bench. */
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
    <section className="ruled pt-2 text-small" data-testid="cautions">
      <h3>{say('bench.takeCare')}</h3>
      {said.map((s) => (
        <p key={s.name} className="caution mt-1">
          <b>{s.name}.</b> {s.says}
        </p>
      ))}
    </section>
  );
}

/** Builds by what lies here; or, of a closed heap, logs what was added. */
function LayUpKey({
  bench,
  view: { heap },
  closed,
  onLayUp,
}: BenchProps & { onLayUp: () => void }) {
  const isEmpty = bench.lines.length === 0;
  if (heap && closed)
    return (
      <Link prefetch={false} className="btn key !min-h-key" href={`/batch/${heap.id}#add`}>
        <Mark name="add" size={19} />
        {say('bench.logWhatWasAdded', { name: heap.name })}
      </Link>
    );
  return (
    <button
      type="button"
      className="btn key !min-h-key"
      disabled={isEmpty || !bench.sound}
      onClick={onLayUp}
    >
      <Mark name="flag" size={19} />
      {heap ? say('bench.buildWithThisRecipe', { name: heap.name }) : say('bench.useThisRecipe')}
    </button>
  );
}

/** How it is laid up: layers, size, what to look out for, and the key that begins it. */
export function HowItIsLaidUp({
  measure,
  onLayUp,
  ...props
}: BenchProps & { measure: BenchView['measures'][number]; onLayUp: () => void }) {
  const { bench, view, own, closed } = props;
  const { mix, lines, draft } = bench;
  const size = measuresFor(draft.shape, Math.max(0.01, (mix?.litresMixed ?? 0) / 1000), null);
  return (
    <>
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
            building={view.heap?.name ?? null}
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
      <LayUpKey {...props} onLayUp={onLayUp} />
      {(lines.length === 0 || !bench.sound) && (
        <p role="status" className="hint font-semibold">
          {lines.length === 0 ? say('bench.addAMaterialFirst') : say('bench.correctMarkedFirst')}
        </p>
      )}
    </>
  );
}
