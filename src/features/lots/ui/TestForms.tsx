'use client';
import { say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';
import { RECOGNISABLE, type TestKind } from '@/core/log/test-shapes';
import { TEST_WORDS } from '@/core/words/lots';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { PhotoKey } from '@/ui/PhotoKey';
import type { TestView } from '../test-view';
import type { TestGuide } from '../view';
import { SmellChoice, SqueezeChoice } from './FeelChoices';
import {
  NoteField,
  refOf,
  useLotEntry,
  submitTest,
  usePhoto,
  wordsIn,
  type LotFormProps,
} from './parts';
import { emptyValues, readValues, shownVolume, valuesMissing, type TestDraft } from '../test-draft';

/** Tests that are over when they are logged. */
const AT_ONCE: ReadonlySet<TestKind> = new Set<TestKind>(['looks', 'respiration']);

const howOf = (guide: TestGuide, kind: TestKind): string =>
  guide.find((g) => g.kind === kind)?.how ?? '';

const TestChoice = ({
  kind,
  guide,
  onChange,
}: {
  kind: TestKind | '';
  guide: TestGuide;
  onChange: (k: TestKind | '') => void;
}) => (
  <Choices
    label={say('lots.whichTest')}
    value={kind}
    onChange={onChange}
    options={guide.map(({ kind: value, takes: hint }) => ({
      value,
      label: TEST_WORDS[value],
      hint,
    }))}
  />
);

/** Begins a test: what it asks for at its start, and what comes later. */
export function StartTestForm({ lot, guide, onDone }: LotFormProps & { guide: TestGuide }) {
  const entry = useLotEntry('maturity-test', lot, onDone);
  const [kind, setKind] = useTyped<TestKind | ''>('kind', '');
  const [draft, setDraft] = useTyped<TestDraft>('test', {
    ...emptyValues,
    volume: shownVolume(lot.litres),
  });
  const [words, setWords] = useTyped('words', '');
  const isAtOnce = kind !== '' && AT_ONCE.has(kind);
  const values = kind === '' ? null : readValues(kind, draft, true);
  return (
    <>
      <TestChoice kind={kind} guide={guide} onChange={setKind} />
      {kind !== '' && <p className="hint">{howOf(guide, kind)}</p>}
      {kind === 'reheat' && <p className="caution">{`${CAUTION.steam} ${CAUTION.spores}`}</p>}
      {kind !== '' && (
        <ValueFields kind={kind} draft={draft} set={setDraft} unit={lot.unit} isStart />
      )}
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={isAtOnce ? say('lots.saveTest') : say('lots.startTest')}
        missing={kind === '' ? say('lots.chooseATest') : valuesMissing(kind, draft, true)}
        onKeep={() => entry.save({ lot: lot.id, values, ended: isAtOnce, ...wordsIn(words) })}
      />
    </>
  );
}

/** What was found in a test that goes on; with it the test may end. */
export function TestForm({
  lot,
  test,
  guide,
  onDone,
}: LotFormProps & { test: TestView; guide: TestGuide }) {
  const entry = useLotEntry('maturity-test', lot, onDone);
  const [draft, setDraft] = useTyped<TestDraft>('test', emptyValues);
  const [words, setWords] = useTyped('words', '');
  const { photo, take } = usePhoto();
  const isReheat = test.kind === 'reheat';
  const [end, setEnd] = useTyped<'yes' | 'no' | ''>('end', isReheat ? 'no' : 'yes');
  const values = readValues(test.kind, draft, false);
  return (
    <>
      <p className="hint">{howOf(guide, test.kind)}</p>
      <ValueFields kind={test.kind} draft={draft} set={setDraft} unit={lot.unit} isStart={false} />
      <Choices
        label={say('lots.isItOver')}
        value={end}
        onChange={setEnd}
        options={[
          { value: 'no', label: say('lots.goesOn') },
          { value: 'yes', label: say('lots.itIsOver') },
        ]}
      />
      <PhotoKey of="the test" take={take} />
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('day.save')}
        missing={valuesMissing(test.kind, draft, false)}
        onKeep={() =>
          entry.keep(
            () =>
              submitTest(
                entry.form({
                  test: test.id,
                  lot: lot.id,
                  values,
                  ended: end === 'yes',
                  ...wordsIn(words),
                }),
                lot.name,
                photo,
              ),
            onDone,
          )
        }
      />
    </>
  );
}

type Fields = {
  draft: TestDraft;
  set: (d: TestDraft) => void;
  unit: 'C' | 'F';
};
type Text = { [K in keyof TestDraft]: TestDraft[K] extends string ? K : never }[keyof TestDraft];

/** A number of the draft. */
const NumberField = ({
  draft,
  set,
  name,
  label,
  unit,
  hint,
}: Omit<Fields, 'unit'> & { name: Text; label: string; unit?: string; hint?: string }) => (
  <Field
    label={label}
    {...(unit ? { unit } : {})}
    {...(hint ? { hint } : {})}
    inputMode="decimal"
    value={draft[name]}
    onChange={(e) => set({ ...draft, [name]: e.target.value })}
    problem={typed(draft[name], -60) === null ? say('lots.typeNumbers') : undefined}
  />
);
const YesNo = ({
  draft,
  set,
  name,
  label,
}: Omit<Fields, 'unit'> & {
  name: 'adjusted' | 'kept' | 'moist' | 'puffed' | 'turned';
  label: string;
}) => (
  <Choices
    label={label}
    value={draft[name]}
    onChange={(v) => set({ ...draft, [name]: v })}
    options={[
      { value: 'yes', label: say('store.yes') },
      { value: 'no', label: say('store.no') },
    ]}
  />
);
function ReheatFields({ isStart, unit, ...f }: Fields & { isStart: boolean }) {
  return (
    <>
      {isStart && (
        <>
          <YesNo {...f} name="turned" label={say('lots.turnedJustNow')} />
          <SqueezeChoice
            value={f.draft.squeeze}
            onChange={(squeeze) => f.set({ ...f.draft, squeeze })}
          />
          <NumberField {...f} name="volume" label={say('lots.itsSize')} unit={signOf('volume')} />
        </>
      )}
      <div className="grid grid-cols-2 gap-3">
        <NumberField {...f} name="core" label={say('lots.core')} unit={`°${unit}`} />
        <NumberField {...f} name="air" label={say('lots.airInShade')} unit={`°${unit}`} />
      </div>
    </>
  );
}

function SeedFields(f: Omit<Fields, 'unit'>) {
  return (
    <div className="grid grid-cols-3 gap-3">
      <NumberField {...f} name="seeds" label={say('lots.seedsInExtract')} />
      <NumberField {...f} name="germinated" label={say('lots.cameUp')} />
      <NumberField {...f} name="rootMm" label={say('lots.rootLength')} unit="mm" />
      <NumberField {...f} name="seeds2" label={say('lots.seedsInWater')} />
      <NumberField {...f} name="germinated2" label={say('lots.cameUp')} />
      <NumberField {...f} name="rootMm2" label={say('lots.rootLength')} unit="mm" />
    </div>
  );
}

function PotFields(f: Omit<Fields, 'unit'>) {
  return (
    <>
      {(['', '2'] as const).map((of) => (
        <fieldset key={of} className="grid grid-cols-5 gap-2 max-sm:grid-cols-2">
          <legend className="label">
            {of === '' ? say('lots.withCompost') : say('lots.withoutCompost')}
          </legend>
          <NumberField {...f} name={`pots${of}`} label={say('lots.pots')} />
          <NumberField {...f} name={`sown${of}`} label={say('lots.sown')} />
          <NumberField {...f} name={`up${of}`} label={say('lots.cameUp')} />
          <NumberField {...f} name={`clear${of}`} label={say('lots.clearDamage')} />
          <NumberField {...f} name={`slight${of}`} label={say('lots.slightDamage')} />
        </fieldset>
      ))}
    </>
  );
}

/** The fields of a test, each kind its own. */
function ValueFields({ kind, isStart, unit, ...f }: Fields & { kind: TestKind; isStart: boolean }) {
  if (kind === 'reheat') return <ReheatFields {...f} unit={unit} isStart={isStart} />;
  if (kind === 'flask')
    return isStart ? (
      <YesNo {...f} name="adjusted" label={say('lots.moistureAdjusted')} />
    ) : (
      <div className="grid grid-cols-2 gap-3">
        <NumberField {...f} name="core" label={say('lots.highestInFlask')} unit={`°${unit}`} />
        <NumberField {...f} name="air" label={say('lots.airOfRoom')} unit={`°${unit}`} />
      </div>
    );
  if (kind === 'germination') return isStart ? null : <SeedFields {...f} />;
  if (kind === 'seedlings') return isStart ? null : <PotFields {...f} />;
  if (kind === 'sprout')
    return isStart ? (
      <NumberField {...f} name="litres" label={say('lots.compostSpread')} unit={signOf('litres')} />
    ) : (
      <>
        <NumberField {...f} name="seedlings" label={say('lots.weedsUp')} />
        <YesNo {...f} name="kept" label={say('lots.keptMoistWarm')} />
      </>
    );
  if (kind === 'bag')
    return isStart ? (
      <YesNo {...f} name="moist" label={say('lots.wasMoist')} />
    ) : (
      <>
        <SmellChoice value={f.draft.smell} onChange={(smell) => f.set({ ...f.draft, smell })} />
        <YesNo {...f} name="puffed" label={say('lots.bagPuffed')} />
      </>
    );
  if (kind === 'looks')
    return (
      <>
        <Choices
          label={say('lots.stillSeen')}
          value={f.draft.recognisable}
          onChange={(recognisable) => f.set({ ...f.draft, recognisable })}
          columns={3}
          options={RECOGNISABLE.map((value) => ({
            value,
            label: say('lots.recognisable', { what: value }),
          }))}
        />
        <SmellChoice value={f.draft.smell} onChange={(smell) => f.set({ ...f.draft, smell })} />
      </>
    );
  return (
    <NumberField {...f} name="figure" label={say('lots.respiration')} unit="mg CO2-C/g OM/d" />
  );
}
