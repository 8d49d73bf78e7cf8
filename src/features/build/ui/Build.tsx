'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import Link from 'next/link';
import { nameForHeap } from '@/core/words/waiting';
import { useState } from 'react';
import { LayeredHeap } from '@/charts/LayeredHeap';
import { Mark } from '@/charts/marks';
import { submitOrQueue } from '@/outbox/keep';
import { PutInDoubts, usePutInDoubts } from '@/entry/ui/PutInDoubts';
import { Choices } from '@/ui/Choices';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { Sheet } from '@/ui/Sheet';
import { useSubmit } from '@/ui/useSubmit';
import type { BuildView, LayerView } from '../view';
import { PutIn, usePutIn } from './PutIn';

/** One layer, or whatever went in: with its water, base, activator, cover, and who did it. */
function ChargeForm({
  view,
  layer,
  by: device,
  nowLocal,
  onDone,
}: {
  view: BuildView;
  layer: LayerView | null;
  by: string;
  nowLocal: string;
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const put = usePutIn(layer?.put ?? [], view.sources, view.measures);
  const doubts = usePutInDoubts(put.lines, view.room);
  const [water, setWater] = useTyped(
    'water',
    layer && layer.waterL > 0 ? shownQuantity('litres', layer.waterL, 0) : '',
  );
  const [way, setWay] = useTyped<'layered' | 'mixed' | ''>('way', layer ? 'layered' : '');
  const [base, setBase] = useTyped('base', '');
  const [activator, setActivator] = useTyped('activator', '');
  const [cover, setCover] = useTyped('cover', '');
  const [words, setWords] = useTyped('words', '');
  const [at, setAt] = useTyped<string | null>('at', null);
  const litres = typedQuantity('litres', water);
  const rest = {
    ...(typeof litres === 'number' && litres > 0 ? { waterL: litres } : {}),
    ...(base.trim() ? { base: base.trim() } : {}),
    ...(activator.trim() ? { activator: activator.trim() } : {}),
    ...(cover.trim() ? { cover: cover.trim() } : {}),
    ...(words.trim() ? { words: words.trim() } : {}),
  };
  const missing = !put.sound
    ? say('controls.correctWhatIsMarkedAbove')
    : litres === null
      ? say('bench.typeWaterAsLitersOr')
      : put.parts.length === 0 && Object.keys(rest).length === 0
        ? say('build.sayWhatWentIn')
        : doubts.isOpen
          ? say('entry.tickToPutIn')
          : whoIsMissing(by);
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: view.id,
            kind: 'charge',
            at,
            by,
            data: {
              parts: put.parts,
              ...doubts.data,
              ...(layer ? { layer: layer.n } : {}),
              ...(way ? { way } : {}),
              ...rest,
            },
          },
          nameForHeap(view.name, layer ? say('build.layer2', { n: layer.n }) : say('build.wentIn')),
        ),
      onDone,
    );
  const who = (
    <Field
      label={say('build.who')}
      value={by}
      maxLength={60}
      autoComplete="name"
      onChange={(e) => setBy(e.target.value)}
    />
  );
  return (
    <>
      <PutIn put={put} sources={view.sources} measures={view.measures} />
      <Field
        label={say('build.waterWithIt')}
        unit={say('build.litersClean', { unit: signOf('litres') })}
        inputMode="decimal"
        value={water}
        onChange={(e) => setWater(e.target.value)}
        problem={litres === null ? say('bench.typeWaterAsLitersOr') : undefined}
      />
      <Choices
        label={say('build.how')}
        value={way}
        onChange={setWay}
        options={[
          { value: 'layered', label: say('build.inLayers') },
          { value: 'mixed', label: say('build.mixedAtOnce') },
        ]}
      />
      <details>
        <summary className="link min-h-choice flex items-center cursor-pointer">
          {say('build.baseActivatorCoverLayerNote')}
        </summary>
        <div className="flex flex-col gap-3 mt-2">
          <Field
            label={say('build.baseUnderIt')}
            value={base}
            maxLength={120}
            onChange={(e) => setBase(e.target.value)}
            placeholder={say('build.twigsPalletWireMeshAgainst')}
          />
          <Field
            label={say('build.activator2')}
            value={activator}
            maxLength={120}
            onChange={(e) => setActivator(e.target.value)}
            placeholder={say('build.aBucketFinishedCompost')}
          />
          <Field
            label={say('build.coverLayer2')}
            value={cover}
            maxLength={120}
            onChange={(e) => setCover(e.target.value)}
            placeholder={say('build.fleeceStrawLid')}
          />
          <Field
            label={say('build.note')}
            value={words}
            maxLength={300}
            onChange={(e) => setWords(e.target.value)}
          />
          <Field
            label={say('build.whenIfNotNow')}
            type="datetime-local"
            max={nowLocal}
            value={at ?? ''}
            onChange={(e) => setAt(e.target.value || null)}
          />
        </div>
      </details>
      {device && who}
      {/* In sight however many lines there are: as it was laid up, it takes one tap. */}

      <div className="sticky -bottom-5 -mx-5 -mb-5 px-5 py-3 bg-sheet ruled flex flex-col gap-2">
        {!device && who}
        <PutInDoubts doubts={doubts} />
        <Problems list={problems} />
        <SaveButton
          className="btn key !min-h-[72px]"
          label={layer ? say('build.layerIsIn', { n: layer.n }) : say('build.saveItIsIn')}
          busy={busy}
          missing={missing}
          onSave={save}
        />
      </div>
    </>
  );
}

/** A heap going up: layer by layer, or as it comes; the clock starts only when it is closed. */
export function Build({ view, by, nowLocal }: { view: BuildView; by: string; nowLocal: string }) {
  const [open, setOpen] = useState<'layer' | 'free' | null>(null);
  const next = view.layers.find((l) => l.n === view.next) ?? null;
  const done = view.layers.filter((l) => l.done).length;
  return (
    <div className="grid lg:grid-cols-[minmax(0,1fr)_400px] flex-1">
      <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
        <div>
          <p>
            <Link prefetch={false} className="link" href={`/batch/${view.id}`}>
              {view.name}
            </Link>
          </p>
          <h1 className="mt-1">{say('build.building', { name: view.name })}</h1>
          <p className="q mt-1">
            {[
              view.place,
              say('build.buildingSince', { since: view.since }),
              view.recipe ? say('build.with', { recipe: view.recipe }) : null,
            ]
              .filter(Boolean)
              .join(', ')}
          </p>
        </div>
        {view.closed ? (
          <p className="font-semibold" data-testid="closed">
            {say('build.addingFinishedClockRunsFrom', { closed: view.closed })}{' '}
            <Link prefetch={false} className="link" href={`/batch/${view.id}#add`}>
              {say('build.theBatchsPage')}
            </Link>
            {say('build.rawMaterialStartsClockOver')}
          </p>
        ) : (
          <p className="text-subhead" data-testid="no-clock">
            {say('build.noClockRunsYetStarts')}
          </p>
        )}
        {view.wrongUnit && <p className="marked font-semibold w-fit">{view.wrongUnit}</p>}
        {!view.closed && next && (
          <section
            className="border-t-[1.6px] border-b-[1.6px] border-ink py-3 flex flex-col gap-2"
            data-testid="next-layer"
          >
            <h2>
              {say('build.layerOf', { n: next.n, layers: view.layers.length, says: next.says })}
            </h2>
            <p className="text-says leading-[1.35]">
              {next.title}.
              {next.waterL > 0
                ? say('build.thenLWaterOn', { waterL: next.waterL })
                : say('build.noWaterOnIt')}
            </p>
            <p className="flex flex-wrap gap-2">
              <button
                type="button"
                className="btn key !min-h-row max-sm:w-full"
                onClick={() => setOpen('layer')}
              >
                <Mark name="check" />
                {say('build.layerIsIn2', { n: next.n })}
              </button>
              <button
                type="button"
                className="btn !min-h-row max-sm:w-full"
                onClick={() => setOpen('free')}
              >
                {say('build.somethingElseWentIn')}
              </button>
            </p>
          </section>
        )}
        {!view.closed && !next && (
          <p className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn key !min-h-row max-sm:w-full"
              onClick={() => setOpen('free')}
            >
              <Mark name="add" />
              {say('build.somethingWentIn2')}
            </button>
            {!view.recipe && (
              <Link
                prefetch={false}
                className="btn !min-h-row max-sm:w-full"
                href={`/bench?heap=${view.id}`}
              >
                {say('build.workOutARecipe')}
              </Link>
            )}
          </p>
        )}
        {view.layers.length > 0 && !next && !view.closed && (
          <p className="font-semibold">{say('build.everyLayerInWasLast')}</p>
        )}
        <section data-testid="went">
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{say('build.whatIsInIt')}</h2>
          <p className="py-1.5" data-testid="total">
            <b>{view.total}</b> {view.figures} {view.says}
          </p>
          <ul>
            {view.went.map((w) => (
              <li key={w.id} className="border-t border-rule py-1.5">
                <span className="q text-hint">
                  {w.when}, {w.by}:{' '}
                </span>
                {w.text}
              </li>
            ))}
          </ul>
          {view.went.length > 0 && (
            <p className="hint mt-1">{say('build.somethingWrongHereVoidIn')}</p>
          )}
        </section>
        {!view.closed && (
          <p className="flex flex-wrap gap-2">
            <Link
              prefetch={false}
              href={`/batch/${view.id}#close`}
              className="btn key !min-h-row max-sm:w-full"
            >
              <Mark name="flag" />
              {say('build.finishAddingTo', { name: view.name })}
            </Link>
            <Link
              prefetch={false}
              href={`/batch/${view.id}/sheet`}
              className="btn !min-h-row max-sm:w-full"
            >
              {say('build.printTheBuildSheet')}
            </Link>
            <Link
              prefetch={false}
              href={`/bench?heap=${view.id}`}
              className="btn !min-h-row max-sm:w-full"
            >
              {say('build.inTheMixCalculator')}
            </Link>
          </p>
        )}
      </div>
      <aside className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-3">
        {view.layers.length > 0 ? (
          <>
            <h2>{say('build.buildOrder')}</h2>
            <LayeredHeap
              layers={view.layers}
              high={view.high}
              wide={view.wide}
              done={done === view.layers.length ? 0 : Math.max(1, done)}
              label={say('build.ofLayersAreIn', { done, layers: view.layers.length })}
            />
            <ol className="text-small">
              {view.layers.map((l) => (
                <li
                  key={l.n}
                  className={`flex gap-2 border-b border-rule py-1.5 ${l.n === view.next ? 'font-semibold' : ''}`}
                >
                  <b className="disp w-5 flex-none">{l.n}</b>
                  <span className="flex-1">
                    {l.title}
                    <span className="q font-normal">
                      , {l.room}
                      {l.waterL > 0 ? say('build.lWater', { waterL: l.waterL }) : ''}
                    </span>
                  </span>
                  <span className="flex-none">
                    {l.done ? say('build.in') : l.n === view.next ? 'next' : ''}
                  </span>
                </li>
              ))}
            </ol>
            {view.planned && <p className="q text-small">{view.planned}</p>}
          </>
        ) : (
          <p>{say('build.noRecipeSetForThis')}</p>
        )}
        <section className="ruled pt-2 flex flex-col gap-2">
          <h3>{say('build.takeCare')}</h3>
          {view.cautions.map((c) => (
            <p key={c} className="caution">
              {c}
            </p>
          ))}
          {view.materialCautions.map((c) => (
            <p key={c.name} className="caution">
              <b>{c.name}.</b> {c.says}
            </p>
          ))}
        </section>
      </aside>
      <Sheet
        open={open !== null}
        onOpenChange={(o) => {
          if (!o) setOpen(null);
        }}
        title={
          open === 'layer' && next
            ? say('build.layerOf2', { n: next.n, name: view.name })
            : say('build.somethingWentInto', { name: view.name })
        }
      >
        {open && (
          <DraftScope key={`${open}:${next?.n ?? 0}`} name={`${view.id}:${open} ${next?.n ?? 0}`}>
            <ChargeForm
              view={view}
              layer={open === 'layer' ? next : null}
              by={by}
              nowLocal={nowLocal}
              onDone={() => setOpen(null)}
            />
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}
