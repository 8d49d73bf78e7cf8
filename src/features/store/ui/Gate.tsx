'use client';
import { currentUnits, say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import {
  ANSWERS,
  RISKS,
  type AcceptLine,
  type AcceptanceAnswer,
  type OwnMeasure,
  type Risk,
} from '@/core/log/store-shapes';
import { isPermission } from '@/core/mix/store';
import { ANSWER_WORDS, RISK_WORDS } from '@/core/mix/words';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';
import { GatePermissions } from './GatePermissions';
import { StoreNav } from './StoreNav';
import { firstOf, itemAt } from '@/core/quantity/present';

type Kept = NonNullable<AcceptLine['kept']>;
/** For which heaps a line holds: all, or some ways of keeping them. */
const listKept = (): readonly (readonly [Kept | undefined, string])[] => [
  [undefined, say('store.allBatches')],
  [['turned'], say('store.turnedBatches')],
  [['static'], say('store.staticBatches')],
  [['vessel'], say('store.inVesselBatches')],
  [['turned', 'static'], say('store.turnedAndStaticBatches')],
  [['turned', 'vessel'], say('store.turnedInVesselBatches')],
  [['static', 'vessel'], say('store.staticInVesselBatches')],
];
const sameKept = (a: Kept | undefined, b: Kept | undefined): boolean =>
  [...(a ?? [])].sort().join() === [...(b ?? [])].sort().join();
const keptIndex = (l: AcceptLine): number =>
  Math.max(
    0,
    listKept().findIndex(([k]) => sameKept(k, l.kept)),
  );
type Named = readonly { readonly id: string; readonly name: string }[];
const subjectOf = (l: AcceptLine, materials: Named): string =>
  l.material === undefined
    ? say('store.anythingThatMayContain', { riskwords: RISK_WORDS[l.risk!] })
    : (materials.find((m) => m.id === l.material)?.name ?? l.material);

/** What the site answers at the gate, and the measures that its crew counts in. */
export function Gate({
  lines,
  own,
  materials,
  measures,
  permitted,
  timeZone,
  by,
}: {
  lines: readonly AcceptLine[];
  own: boolean;
  materials: Named;
  measures: readonly OwnMeasure[];
  permitted: Parameters<typeof GatePermissions>[0]['permitted'];
  timeZone: string;
  by: string;
}) {
  const [changing, setChanging] = useState(false);
  // Permissions have a list of their own below.
  const permissions = lines.filter(isPermission);
  const [isChanged, setIsChanged] = useState(false);
  const [said, setSaid] = useState<readonly AcceptLine[]>(lines.filter((l) => !isPermission(l)));
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-5 max-w-[1080px]">
      <h1>{say('store.materialsInStock')}</h1>
      <StoreNav here="gate" />
      <section className="flex flex-col gap-2" data-testid="acceptance">
        <div className="flex flex-wrap gap-3 justify-between items-end">
          <h2 className="!text-figure">{say('terms.whatWeAccept')}</h2>
          {!changing && (
            <button type="button" className="btn" onClick={() => setChanging(true)}>
              {say('store.changeTheList')}
            </button>
          )}
        </div>
        <p className="hint max-w-[720px]">
          {say('store.theFirstLineFitsApplies', {
            own: own || isChanged ? 'none' : 'other',
          })}
        </p>
        {changing ? (
          <DraftScope name="what the site takes">
            <Change
              lines={said}
              permissions={permissions}
              materials={materials}
              by={by}
              onKept={(l) => {
                setSaid(l);
                setIsChanged(true);
                setChanging(false);
              }}
              onBack={() => setChanging(false)}
            />
          </DraftScope>
        ) : (
          <ReadOut lines={said} materials={materials} />
        )}
      </section>
      <DraftScope name="permission">
        <GatePermissions
          permitted={permitted}
          lines={lines}
          materials={materials}
          timeZone={timeZone}
          by={by}
        />
      </DraftScope>
      <DraftScope name="measures">
        <Measures measures={measures} by={by} />
      </DraftScope>
    </div>
  );
}

/** The list as it is read out at the gate: what is said of each thing, and why. */
function ReadOut({ lines, materials }: { lines: readonly AcceptLine[]; materials: Named }) {
  const subjects = [...new Set(lines.map((l) => subjectOf(l, materials)))];
  return (
    <dl className="ruled">
      {subjects.map((subject) => (
        <div
          key={subject}
          className="grid grid-cols-[minmax(0,260px)_1fr] max-sm:grid-cols-1 gap-x-4 border-b border-rule py-2 text-control leading-[1.3]"
        >
          <dt className="font-semibold">{subject}</dt>
          <dd>
            {lines
              .filter((l) => subjectOf(l, materials) === subject)
              .map((l, i) => (
                <p key={i}>
                  <b>{ANSWER_WORDS[l.answer].says}</b>
                  {l.kept
                    ? say('store.for', { kept: itemAt(listKept(), keptIndex(l))[1] })
                    : i > 0
                      ? say('store.otherwise')
                      : ''}
                  : {l.reason}.
                </p>
              ))}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Change({
  lines: first,
  permissions,
  materials,
  by: device,
  onKept,
  onBack,
}: {
  lines: readonly AcceptLine[];
  /** They stay as they are. */ permissions: readonly AcceptLine[];
  materials: Named;
  by: string;
  onKept: (lines: readonly AcceptLine[]) => void;
  onBack: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [lines, setLines] = useTyped<readonly AcceptLine[]>('lines', first);
  const set = (i: number, l: AcceptLine): void => setLines(lines.map((x, k) => (k === i ? l : x)));
  const what = (l: AcceptLine): string =>
    l.material !== undefined ? `m:${l.material}` : `r:${l.risk}`;
  const withWhat = (l: AcceptLine, v: string): AcceptLine => {
    const { material: _m, risk: _r, ...rest } = l;
    return v.startsWith('m:')
      ? { ...rest, material: v.slice(2) }
      : { ...rest, risk: v.slice(2) as Risk };
  };
  const withKept = (l: AcceptLine, kept: Kept | undefined): AcceptLine => {
    const { kept: _k, ...rest } = l;
    return kept ? { ...rest, kept: [...kept] } : rest;
  };
  const short = lines.some((l) => l.reason.trim().length < 3);
  return (
    <>
      <ul className="ruled">
        {lines.map((l, i) => (
          <li
            key={i}
            className="grid grid-cols-[minmax(170px,1.1fr)_170px_120px_minmax(200px,2fr)_auto] max-md:grid-cols-2 gap-2 border-b border-rule py-1.5 items-center"
          >
            <select
              className="field max-md:col-span-2"
              aria-label={say('store.lineWhat', { i: i + 1 })}
              value={what(l)}
              onChange={(e) => set(i, withWhat(l, e.target.value))}
            >
              <optgroup label={say('store.anythingThatMayContain2')}>
                {RISKS.map((r) => (
                  <option key={r} value={`r:${r}`}>
                    {RISK_WORDS[r]}
                  </option>
                ))}
              </optgroup>
              <optgroup label={say('store.materials')}>
                {materials.map((m) => (
                  <option key={m.id} value={`m:${m.id}`}>
                    {m.name}
                  </option>
                ))}
              </optgroup>
            </select>
            <select
              className="field"
              aria-label={say('store.lineFor', { i: i + 1 })}
              value={keptIndex(l)}
              onChange={(e) => set(i, withKept(l, itemAt(listKept(), Number(e.target.value))[0]))}
            >
              {listKept().map(([, w], k) => (
                <option key={w} value={k}>
                  {w}
                </option>
              ))}
            </select>
            <select
              className="field"
              aria-label={say('store.lineAnswer', { i: i + 1 })}
              value={l.answer}
              onChange={(e) => set(i, { ...l, answer: e.target.value as AcceptanceAnswer })}
            >
              {ANSWERS.map((a) => (
                <option key={a} value={a}>
                  {ANSWER_WORDS[a].says}
                </option>
              ))}
            </select>
            <input
              className="field max-md:col-span-2"
              aria-label={say('store.lineReason', { i: i + 1 })}
              value={l.reason}
              maxLength={200}
              placeholder={say('store.whyAsToldDriver')}
              onChange={(e) => set(i, { ...l, reason: e.target.value })}
            />
            <span className="flex gap-3">
              <button
                type="button"
                className="link min-h-target"
                disabled={i === 0}
                onClick={() => {
                  const next = [...lines];
                  [next[i - 1], next[i]] = [itemAt(next, i), itemAt(next, i - 1)];
                  setLines(next);
                }}
              >
                {say('store.moveUp')}
                <span className="sr-only"> {say('store.line', { i: i + 1 })}</span>
              </button>
              <button
                type="button"
                className="link min-h-target"
                onClick={() => setLines(lines.filter((_, k) => k !== i))}
              >
                {say('store.remove')}
                <span className="sr-only"> {say('store.line', { i: i + 1 })}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      <p>
        <button
          type="button"
          className="btn"
          onClick={() =>
            setLines([{ material: firstOf(materials).id, answer: 'ask', reason: '' }, ...lines])
          }
        >
          {say('store.addLineAtTop')}
        </button>
      </p>
      <div className="max-w-[320px]">
        <Field
          label={say('store.who')}
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <Problems list={problems} />
      <div className="flex gap-3 flex-wrap items-center">
        <button type="button" className="btn" onClick={onBack}>
          {say('store.leaveAsWas')}
        </button>
        <SaveButton
          className="btn key"
          label={say('store.saveThisList')}
          busy={busy}
          missing={short ? say('store.eachLineNeedsReasonWhoever') : whoIsMissing(by)}
          onSave={() =>
            keep(
              () =>
                submitOrQueue(
                  {
                    id,
                    batch: null,
                    kind: 'acceptance',
                    at: null,
                    by,
                    data: { lines: [...permissions, ...lines] },
                  },
                  say('log.whatWeAccept2'),
                ),
              () => onKept(lines),
            )
          }
        />
      </div>
    </>
  );
}

function Measures({
  measures: first,
  by: device,
}: {
  measures: readonly OwnMeasure[];
  by: string;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [list, setList] = useTyped(
    'list',
    first.map((m) => ({ ...m, litres: shownQuantity('litres', m.litres) })),
  );
  const [saved, setSaved] = useState(false);
  const set = (i: number, part: Partial<{ name: string; litres: string }>): void => {
    setList(list.map((m, k) => (k === i ? { ...m, ...part } : m)));
    setSaved(false);
  };
  const litres = list.map((m) => typedQuantity('litres', m.litres, 0.05));
  const wrong = litres.some((l) => typeof l !== 'number')
    ? say('store.eachMeasureNeedsLitersAs')
    : list.some((m) => m.name.trim() === '')
      ? say('store.eachMeasureNeedsName')
      : null;
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'measures',
            at: null,
            by,
            data: {
              measures: list.map((m, i) => ({
                id: m.id,
                name: m.name.trim(),
                litres: itemAt(litres, i),
              })),
            },
          },
          say('store.ownMeasures'),
        ),
      () => setSaved(true),
    );
  return (
    <section className="flex flex-col gap-2" data-testid="measures">
      <h2 className="!text-figure">{say('store.yourOwnMeasures')}</h2>
      <p className="hint max-w-[720px]">
        {say('store.filledLevelEarlierEntriesStay', { system: currentUnits().system })}
      </p>
      <ul className="ruled max-w-[560px]">
        {list.map((m, i) => (
          <li
            key={m.id}
            className="grid grid-cols-[1fr_130px_auto] gap-3 border-b border-rule py-1.5 items-center"
          >
            <input
              className="field"
              aria-label={say('store.measureName', { i: i + 1 })}
              value={m.name}
              maxLength={30}
              onChange={(e) => set(i, { name: e.target.value })}
            />
            <span className="flex items-center gap-2">
              <input
                className="field"
                aria-label={say('store.measureLiters', { i: i + 1, unit: signOf('litres') })}
                inputMode="decimal"
                value={m.litres}
                onChange={(e) => set(i, { litres: e.target.value })}
              />
              {signOf('litres')}
            </span>
            <button
              type="button"
              className="link min-h-target"
              onClick={() => {
                setList(list.filter((_, k) => k !== i));
                setSaved(false);
              }}
            >
              {say('store.remove')}
              <span className="sr-only"> {m.name}</span>
            </button>
          </li>
        ))}
      </ul>
      <p>
        <button
          type="button"
          className="btn"
          onClick={() => {
            setList([...list, { id: `m-${id.slice(-6)}-${list.length}`, name: '', litres: '' }]);
            setSaved(false);
          }}
        >
          {say('store.addAMeasure')}
        </button>
      </p>
      <div className="max-w-[320px]">
        <Field
          label={say('store.who')}
          value={by}
          maxLength={60}
          autoComplete="name"
          onChange={(e) => setBy(e.target.value)}
        />
      </div>
      <Problems list={problems} />
      <div className="flex gap-3 flex-wrap items-center">
        <SaveButton
          className="btn key"
          label={say('store.saveTheseMeasures')}
          busy={busy}
          missing={wrong ?? whoIsMissing(by)}
          onSave={save}
        />
        {saved && (
          <span role="status" className="font-semibold">
            {say('store.saved')}
          </span>
        )}
      </div>
    </section>
  );
}
