'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import {
  FIGURE_NAMES,
  MaterialSchema,
  PARTICLES,
  RISKS,
  ROLES,
  type FigureName,
  type Material,
  type Particle,
  type Range,
  type Risk,
  type Role,
} from '@/core/log/store-shapes';
import { findMaterials } from '@/core/mix/find';
import { librarySourceOf } from '@/core/mix/library';
import { PARTICLE_WORDS, RISK_WORDS, ROLE_MEANS, ROLE_WORDS } from '@/core/mix/words';
import { asSentence } from '@/core/words/problem';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { typed } from '@/core/quantity/typed-number';
import { useSubmit } from '@/ui/useSubmit';
import { StoreNav } from './StoreNav';

const FIGURES: Readonly<Record<FigureName, { readonly name: string; readonly unit: string }>> = {
  n: {
    get name() {
      return say('store.nitrogen');
    },
    get unit() {
      return say('store.ofDryWeight');
    },
  },
  cn: {
    name: 'C:N',
    get unit() {
      return say('store.byWeight');
    },
  },
  moisture: {
    get name() {
      return say('store.moistureContent');
    },
    get unit() {
      return say('store.ofWetWeight');
    },
  },
  density: {
    get name() {
      return say('store.bulkDensity');
    },
    get unit() {
      return signOf('density');
    },
  },
};
const fig = (x: number): string => String(x >= 100 ? Math.round(x) : Math.round(x * 100) / 100);
/** A figure as it is shown and typed: a bulk density in the unit of the moment. */
const shownFigure = (k: FigureName, x: number): string =>
  k === 'density' ? fig(Number(shownQuantity('density', x))) : fig(x);
const typedFigure = (k: FigureName, text: string): number | null | undefined =>
  k === 'density' ? typedQuantity('density', text) : typed(text);
const rangeText = (k: FigureName, r: Range | null): string =>
  r === null
    ? say('store.notKnown')
    : r.low === r.high
      ? shownFigure(k, r.usual)
      : `${shownFigure(k, r.usual)} (${shownFigure(k, r.low)}–${shownFigure(k, r.high)})`;
export type MaterialRow = { readonly material: Material; readonly own: boolean };

/** Which footnote of the table says where a figure comes from. */
const SOURCE_FOOTNOTE = { table: 1, practice: 2, other: 3 } as const;

/** The library of materials: figures with their sources; a site may change each, and set a laboratory’s value over it. */
export function Materials({
  rows,
  by,
  today,
}: {
  rows: readonly MaterialRow[];
  by: string;
  today: { readonly local: string; readonly ms: number };
}) {
  const [find, setFind] = useState('');
  const [edit, setEdit] = useState<Material | 'new' | null>(null);
  const wanted = find.trim().toLowerCase();
  const named = findMaterials(rows, find, ({ material }) => material);
  const shown =
    wanted === ''
      ? rows
      : [
          ...named,
          ...rows.filter(
            (r) =>
              !named.includes(r) && r.material.risks.some((k) => RISK_WORDS[k].includes(wanted)),
          ),
        ];
  if (edit)
    return (
      <DraftScope name={`material ${edit === 'new' ? 'new' : edit.id}`}>
        <Edit
          from={edit === 'new' ? null : edit}
          taken={rows.map((r) => r.material.id)}
          by={by}
          today={today}
          onDone={() => setEdit(null)}
        />
      </DraftScope>
    );
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4 max-w-[1240px]">
      <h1>{say('store.materialsInStock')}</h1>
      <StoreNav here="materials" />
      <div className="flex flex-wrap gap-3 items-end">
        <div className="w-[320px] max-w-full">
          <Field
            label={say('bench.findAMaterial')}
            value={find}
            onChange={(e) => setFind(e.target.value)}
            placeholder={say('store.strawRawAnimal')}
          />
        </div>
        <button type="button" className="btn mb-1" onClick={() => setEdit('new')}>
          {say('store.addAMaterial')}
        </button>
      </div>
      {ROLES.map((role) => {
        const list = shown.filter((r) => r.material.role === role);
        if (list.length === 0) return null;
        return (
          <section key={role}>
            <h2 className="!text-says">
              {ROLE_WORDS[role].many}{' '}
              <span className="font-normal text-hint text-ink-2">{ROLE_MEANS[role]}</span>
            </h2>
            <div className="relative overflow-x-auto">
              <table className="w-full text-small min-w-[760px]">
                <thead>
                  <tr className="border-b-[1.6px] border-ink">
                    {[
                      say('store.material'),
                      say('store.nDry'),
                      'C:N',
                      say('store.moisture'),
                      signOf('density'),
                      say('store.mayContain2'),
                      '',
                    ].map((h, i) => (
                      <th key={i} scope="col" className="text-left font-semibold py-1 pr-3">
                        {h || <span className="sr-only">{say('store.change')}</span>}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {list.map(({ material: m, own }) => (
                    <tr
                      key={m.id}
                      className="border-b border-rule align-top"
                      data-testid="material"
                    >
                      <th scope="row" className="text-left font-[650] py-1 pr-3">
                        {m.name}
                        {own && <span className="q font-normal"> {say('store.yours')}</span>}
                        {m.states && (
                          <span className="block q font-normal text-note">
                            {Object.entries(m.states)
                              .filter(([, s]) => s.role !== m.role)
                              .map(([s, v]) => `${s}: ${ROLE_WORDS[v.role].one}`)
                              .join(', ')}
                          </span>
                        )}
                      </th>
                      {FIGURE_NAMES.map((k) => (
                        <td key={k} className="py-1 pr-3">
                          {m.lab?.[k] ? (
                            <>
                              <b>{shownFigure(k, m.lab[k].value)}</b>{' '}
                              <span className="q text-fine">{say('store.laboratory')}</span>
                            </>
                          ) : (
                            <span title={m.sources[k] ?? say('store.noSource')}>
                              {rangeText(k, m[k])}
                              {m.sources[k] ? (
                                <sup className="text-[10.5px]">
                                  {` ${SOURCE_FOOTNOTE[librarySourceOf(m.sources[k]) ?? 'other']}`}
                                </sup>
                              ) : null}
                            </span>
                          )}
                        </td>
                      ))}
                      <td className="py-1 pr-3">
                        {m.risks.map((r) => RISK_WORDS[r]).join(', ') || 'clean'}
                      </td>
                      <td className="py-1">
                        <button
                          type="button"
                          className="link target-in-text"
                          onClick={() => setEdit(m)}
                        >
                          {say('store.change')}
                          <span className="sr-only"> {m.name}</span>
                        </button>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </section>
        );
      })}
      <p className="hint">{say('store.n1OnFarmCompostingHandbook')}</p>
    </div>
  );
}

type Typed = { low: string; usual: string; high: string };
const asTyped = (k: FigureName, r: Range | null): Typed =>
  r === null
    ? { low: '', usual: '', high: '' }
    : { low: shownFigure(k, r.low), usual: shownFigure(k, r.usual), high: shownFigure(k, r.high) };
/** A range as typed: the usual value alone stands for itself. undefined: it is none. */
function rangeOf(k: FigureName, t: Typed): Range | null | undefined {
  const read = (text: string): number | null | undefined => typedFigure(k, text);
  const [low, usual, high] = [read(t.low), read(t.usual), read(t.high)];
  if (low === undefined && usual === undefined && high === undefined) return null;
  if (low === null || high === null || typeof usual !== 'number') return undefined;
  const r = { low: low ?? usual, usual, high: high ?? usual };
  return r.low <= r.usual && r.usual <= r.high ? r : undefined;
}

/** A figure that no material has, such as 110 % of moisture, in a sentence; null: there is none. */
function outOf(material: unknown): string | null {
  const issue = MaterialSchema.safeParse(material).error?.issues[0];
  return issue ? asSentence(issue.message) : null;
}

function Edit({
  from,
  taken,
  by: device,
  today,
  onDone,
}: {
  from: Material | null;
  taken: readonly string[];
  by: string;
  today: { readonly local: string; readonly ms: number };
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [name, setName] = useTyped('name', from?.name ?? '');
  const [role, setRole] = useTyped<Role>('role', from?.role ?? 'green');
  const [particle, setParticle] = useTyped<Particle>('particle', from?.particle ?? 'medium');
  const [risks, setRisks] = useTyped<readonly Risk[]>('risks', from?.risks ?? []);
  const [caution, setCaution] = useTyped('caution', from?.caution ?? '');
  const [figures, setFigures] = useTyped<Record<FigureName, Typed>>('figures', {
    n: asTyped('n', from?.n ?? null),
    cn: asTyped('cn', from?.cn ?? null),
    moisture: asTyped('moisture', from?.moisture ?? null),
    density: asTyped('density', from?.density ?? null),
  });
  const [source, setSource] = useTyped('source', '');
  const [lab, setLab] = useTyped<Record<FigureName, string>>(
    'lab',
    Object.fromEntries(
      FIGURE_NAMES.map((k) => [k, from?.lab?.[k] ? shownFigure(k, from.lab[k].value) : '']),
    ) as Record<FigureName, string>,
  );
  const [labDay, setLabDay] = useTyped('labDay', today.local.slice(0, 10));
  const [labWords, setLabWords] = useTyped('labWords', '');
  const slug = name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 50);
  const ranges = FIGURE_NAMES.map((k) => [k, rangeOf(k, figures[k])] as const);
  const labs = FIGURE_NAMES.map((k) => [k, typedFigure(k, lab[k])] as const);
  const changed = (k: FigureName): boolean =>
    JSON.stringify(rangeOf(k, figures[k]) ?? null) !==
    JSON.stringify(from ? rangeOf(k, asTyped(k, from[k])) : null);
  const bad = ranges.find(([, r]) => r === undefined);
  const untyped =
    name.trim().length < 2
      ? say('bench.giveNameAtLeastTwo')
      : !from && taken.includes(slug)
        ? say('store.thereAlreadyMaterialWithName')
        : bad
          ? say('store.typeUsualValueBetweenLowest', { name: FIGURES[bad[0]].name })
          : labs.some(([, v]) => v === null)
            ? say('store.typeLaboratorysValuesAsNumbers')
            : ranges.some(([k, r]) => r && changed(k)) && source.trim().length < 2
              ? say('store.sayWhereChangedFiguresCome')
              : null;
  const sources: Partial<Record<FigureName, string>> = {
    ...from?.sources,
    ...Object.fromEntries(
      ranges.filter(([k, r]) => r && changed(k)).map(([k]) => [k, source.trim()]),
    ),
  };
  // A figure that is not known has no source.
  const known = Object.fromEntries(
    ranges.flatMap(([k, r]) => (r && sources[k] !== undefined ? [[k, sources[k]]] : [])),
  );
  const values = Object.fromEntries(
    labs.flatMap(([k, v]) =>
      typeof v !== 'number'
        ? []
        : [
            [
              k,
              from?.lab?.[k] && shownFigure(k, from.lab[k].value) === lab[k]
                ? from.lab[k]
                : {
                    value: v,
                    at: Math.min(today.ms, Date.parse(`${labDay}T12:00:00Z`) || today.ms),
                    ...(labWords.trim() ? { words: labWords.trim() } : {}),
                  },
            ],
          ],
    ),
  );
  const { lab: _lab, caution: _caution, ...rest } = from ?? {};
  const material = {
    ...rest,
    id: from?.id ?? slug,
    name: name.trim(),
    role,
    particle,
    risks: [...risks],
    ...Object.fromEntries(ranges.map(([k, r]) => [k, changed(k) || !from ? (r ?? null) : from[k]])),
    sources: known,
    ...(caution.trim() ? { caution: caution.trim() } : {}),
    ...(Object.keys(values).length > 0 ? { lab: values } : {}),
  };
  const wrong = untyped ?? outOf(material);
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          { id, batch: null, kind: 'material', at: null, by, data: { material } },
          say('store.material2', { name: name.trim() }),
        ),
      onDone,
    );
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[820px] flex flex-col gap-4">
      <h1>{from ? from.name : say('store.newMaterial')}</h1>
      <div className="grid grid-cols-[1fr_180px_160px] gap-3 max-sm:grid-cols-1">
        <Field
          label={say('store.name')}
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <label className="label">
          {say('store.role')}
          <select
            className="field mt-1"
            value={role}
            onChange={(e) => setRole(e.target.value as Role)}
          >
            {ROLES.map((r) => (
              <option key={r} value={r}>
                {ROLE_WORDS[r].one}: {ROLE_MEANS[r]}
              </option>
            ))}
          </select>
        </label>
        <label className="label">
          {say('store.particleSize')}
          <select
            className="field mt-1"
            value={particle}
            onChange={(e) => setParticle(e.target.value as Particle)}
          >
            {PARTICLES.map((p) => (
              <option key={p} value={p}>
                {PARTICLE_WORDS[p]}
              </option>
            ))}
          </select>
        </label>
      </div>
      <fieldset>
        <legend className="label">{say('store.whatItMayContain')}</legend>
        <div className="flex flex-wrap gap-x-5">
          {RISKS.map((r) => (
            <label key={r} className="flex gap-2 items-center min-h-target">
              <input
                type="checkbox"
                className="size-5"
                checked={risks.includes(r)}
                onChange={(e) =>
                  setRisks(e.target.checked ? [...risks, r] : risks.filter((x) => x !== r))
                }
              />
              {RISK_WORDS[r]}
            </label>
          ))}
        </div>
      </fieldset>
      <table className="text-body">
        <thead>
          <tr>
            {[
              say('store.figure'),
              say('store.lowest'),
              say('store.usual'),
              say('store.highest'),
              say('store.laboratory2'),
            ].map((h) => (
              <th key={h} scope="col" className="text-left font-semibold pb-1 pr-2">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {FIGURE_NAMES.map((k) => (
            <tr key={k}>
              <th scope="row" className="text-left font-normal pr-3 py-1">
                {FIGURES[k].name}
                <span className="block q text-fine">{FIGURES[k].unit}</span>
              </th>
              {(['low', 'usual', 'high'] as const).map((e) => (
                <td key={e} className="pr-2 py-1">
                  <input
                    className="field !w-[92px]"
                    aria-label={say('store.lowestUsualOther', {
                      name: FIGURES[k].name,
                      e: e === 'low' ? 'lowest' : e === 'usual' ? 'usual' : 'other',
                    })}
                    inputMode="decimal"
                    value={figures[k][e]}
                    onChange={(x) =>
                      setFigures({ ...figures, [k]: { ...figures[k], [e]: x.target.value } })
                    }
                  />
                </td>
              ))}
              <td className="py-1">
                <input
                  className="field !w-[92px]"
                  aria-label={say('store.laboratory3', { name: FIGURES[k].name })}
                  inputMode="decimal"
                  value={lab[k]}
                  onChange={(x) => setLab({ ...lab, [k]: x.target.value })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <Field
          label={say('store.whereChangedFiguresComeFrom')}
          value={source}
          maxLength={200}
          onChange={(e) => setSource(e.target.value)}
          placeholder={say('store.ourOwnScalesSpring')}
        />
        <Field
          label={say('store.dateOfTheAnalysis')}
          type="date"
          max={today.local.slice(0, 10)}
          value={labDay}
          onChange={(e) => setLabDay(e.target.value)}
        />
        <Field
          label={say('store.whichLaboratory')}
          value={labWords}
          maxLength={200}
          onChange={(e) => setLabWords(e.target.value)}
        />
      </div>
      <Field
        label={say('store.caution')}
        value={caution}
        maxLength={300}
        onChange={(e) => setCaution(e.target.value)}
      />
      <Field
        label={say('store.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label={say('store.saveThisMaterial')}
        busy={busy}
        missing={wrong ?? whoIsMissing(by)}
        onSave={save}
      />
      <button type="button" className="btn self-start" onClick={onDone}>
        {say('store.back')}
      </button>
    </div>
  );
}
