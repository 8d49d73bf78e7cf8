'use client';
import { say } from '@/messages/say';
import { figureWithUnit } from '@/core/quantity/format';
import { planLayers } from '@/core/mix/layers';
import { waterToAdd, type Mix } from '@/core/mix/mix';
import type { Ingredient } from '@/core/mix/ingredient';
import { compareApproaches, sumParts } from '@/core/mix/approaches';
import { estOf, WINDOWS } from '@/core/mix/window';
import { LAYER_WORDS, SCHOOL_NAMES, schoolSays } from '@/core/mix/words';
import type { OwnMeasure } from '@/core/log/store-shapes';
import { kgText, litresText, measureText } from '@/core/words/amount';
import { LayeredHeap } from '@/charts/LayeredHeap';
import { Mark } from '@/charts/marks';
import type { BenchView } from '../view';

/** The same mix by every school, side by side: none of them rejects it. */
export function Schools({
  parts,
  mix,
  measure,
}: {
  parts: readonly Ingredient[];
  mix: Mix;
  measure: OwnMeasure;
}) {
  const { green, brown, missing } = sumParts(parts);
  return (
    <section className="ruled pt-2" data-testid="schools">
      <h3>{say('bench.rulesOfThumb')}</h3>
      <p className="text-hint text-ink-2">
        {missing.length > 0 ? (
          say('bench.aVolumeNotKnown')
        ) : parts.length === 0 ? (
          say('bench.addSomethingSeeWhatEach')
        ) : green + brown === 0 ? (
          say('bench.neitherGreensNorBrownsIn')
        ) : (
          <>
            {say('bench.byVolume1Green')} {green > 0 ? (brown / green).toFixed(1) : '–'}{' '}
            {say('bench.brownGreensBrownsStructure', {
              green: litresText(green),
              brown: litresText(brown),
            })}
          </>
        )}
      </p>
      {parts.length > 0 && (
        <dl className="grid grid-cols-[minmax(120px,auto)_1fr] gap-x-3 text-small mt-1">
          {compareApproaches(parts, mix).map((s) => (
            <div key={s.school} className="contents">
              <dt className="font-[650] py-0.5 border-b border-rule">{SCHOOL_NAMES[s.school]}</dt>
              <dd className="py-0.5 border-b border-rule">
                {s.says === 'fits' ? '✓ ' : ''}
                {schoolSays(s, measure)}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

const pct = (x: number | null): string => (x === null ? '–' : `${Math.round(x * 100)} %`);
/** What brings what: each part's share of weight, room, water, carbon and nitrogen. */
export function Shares({ mix }: { mix: Mix }) {
  return (
    <section className="ruled pt-2" data-testid="shares">
      <h3>{say('bench.whatEachMaterialBrings')}</h3>
      <div className="relative overflow-x-auto">
        <table className="w-full text-hint">
          <thead>
            <tr>
              {[
                '',
                say('bench.weight'),
                say('bench.volume'),
                say('bench.water2'),
                say('bench.carbon'),
                say('bench.nitrogen'),
              ].map((h) => (
                <th
                  key={h}
                  scope="col"
                  className={`font-semibold py-1 ${h ? 'text-right pl-2.5' : 'text-left'}`}
                >
                  {h || <span className="sr-only">{say('bench.material')}</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {mix.shares.map((s) => (
              <tr key={s.key} className="border-t border-rule">
                <th scope="row" className="text-left font-normal py-1">
                  {s.name}
                </th>
                {[s.mass, s.litres, s.water, s.carbon, s.nitrogen].map((x, i) => (
                  <td key={i} className="text-right whitespace-nowrap pl-2.5">
                    {pct(x)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** How it is laid up, from the ground: drawn, listed in the site's own measure, with the water for each layer. */
export function LayersPanel({
  parts,
  mix,
  waterL,
  measure,
  view: { hose },
  highM,
  wideM,
  building,
  closed,
}: {
  parts: readonly Ingredient[];
  mix: Mix;
  waterL: number;
  measure: OwnMeasure;
  view: Pick<BenchView, 'hose'>;
  highM: number;
  wideM: number;
  building: string | null;
  /** Something is added to it: there are no layers to lay. */ closed: boolean;
}) {
  const layers = closed ? [] : planLayers(parts, waterL, highM);
  const wet = estOf(mix.moisture);
  const [lo, hi] = WINDOWS.moisture.preferred;
  const more =
    wet && mix.massKg !== null && wet.value < lo
      ? waterToAdd(mix.massKg, wet.value, (lo + hi) / 2)
      : 0;
  const portion = (litres: number): string => {
    const n = Math.round((litres / measure.litres) * 2) / 2;
    return n > 0 ? measureText(n, measure.name, measure.many) : litresText(litres);
  };
  return (
    <section data-testid="layers">
      <h2 className="!text-[21px] mb-1">
        {closed
          ? say('bench.withWhatIsAdded')
          : building
            ? say('bench.buildOrderForRest')
            : say('bench.buildOrder')}
      </h2>
      {closed ? null : layers.length === 0 ? (
        <p className="q">
          {parts.length === 0
            ? say('bench.addMaterialSeeLayersHere')
            : say('bench.aVolumeNotKnownSo')}
        </p>
      ) : (
        <>
          <LayeredHeap
            layers={layers}
            high={figureWithUnit('length', Math.round(highM * 10) / 10)}
            wide={say('bench.mWide', { wideM: Math.round(wideM * 10) / 10 })}
            label={say('bench.layersFromTheGround', {
              layers: layers.map((l) => LAYER_WORDS[l.kind]).join(', '),
            })}
          />
          <ol className="sm:columns-2 gap-4 mt-2 text-small leading-[1.2]">
            {layers.map((l, i) => (
              <li key={i} className="flex gap-2 py-1 break-inside-avoid">
                <b className="disp w-4 flex-none">{i + 1}</b>
                <span>
                  {l.parts.map((p) => `${p.name}, ${portion(p.litres)}`).join('; ')}
                  {l.kind === 'base' || l.kind === 'blanket' ? (
                    <span className="q">
                      {' '}
                      {say('bench.as', { layerwords: LAYER_WORDS[l.kind] })}
                    </span>
                  ) : null}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
      {mix.shares.length > 0 && (
        <p className="flex gap-2 border-t border-rule pt-2 mt-2 text-body" data-testid="water-says">
          <Mark name="water" size={19} />
          <span>
            {!wet ? (
              say('bench.howMuchWaterNeedsCannot')
            ) : waterL > 0 || more > 0 ? (
              <>
                <b>{say('bench.lOfWater', { waterL: Math.round((waterL + more) / 5) * 5 })}</b>
                {say('bench.ofLOrMinHose', {
                  more: more > 0 ? say('bench.toReach', { lo: (lo + hi) / 2 }) : '',
                  waterL: measureText(
                    Math.ceil((waterL + more) / hose.bucketL),
                    say('bench.wateringCan'),
                  ),
                  bucketL: hose.bucketL,
                  waterL2: Math.max(1, Math.round((waterL + more) / hose.flowLPerMin)),
                  layers:
                    layers.length > 1
                      ? say('bench.aboutLOnEveryLayer', {
                          waterL: Math.max(
                            1,
                            Math.round((waterL + more) / Math.max(1, layers.length - 1)),
                          ),
                        })
                      : '',
                })}
              </>
            ) : wet.value > hi ? (
              say('bench.noWaterWetEnoughPut')
            ) : (
              say('bench.noWaterNeededDoSqueeze')
            )}
          </span>
        </p>
      )}
      {mix.massKg !== null && mix.litresMixed !== null && mix.shares.length > 0 && (
        <p className="text-small mt-1" data-testid="totals">
          <b>{kgText(mix.massKg)}</b>{' '}
          {say('bench.inAllLooseAboutWhen', {
            litresLoose: litresText(mix.litresLoose!),
            litresMixed: litresText(mix.litresMixed),
            building: building ? say('bench.withWhatContainsAlready', { building }) : '',
          })}
        </p>
      )}
    </section>
  );
}
