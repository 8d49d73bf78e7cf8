'use client';
import { useState } from 'react';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';
import { litresOnBed } from '@/core/lots/bed';
import { dateOnlyText } from '@/core/quantity/format';
import { harvestAfter } from '@/core/release/raw-route';
import type { CropFamily } from '@/core/log/kinds/vocabulary';
import {
  BED_CROPS,
  OUT_IS_PRODUCT,
  OUT_WAYS,
  USE_IDS,
  type BedCrop,
  type OutWay,
} from '@/core/log/lot-shapes';
import type { UseId } from '@/core/release/uses';
import { CAUTION } from '@/core/words/caution';
import { OUT_DOUBT_WORDS, USE_WORDS } from '@/core/words/lots';
import { CropFamilySelect } from '@/entry/ui/CropFamilySelect';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import {
  HowMuch,
  NoteField,
  refOf,
  useHowMuch,
  useLotEntry,
  wordsIn,
  type LotFormProps,
} from './parts';

/** Nobody spreads compost deeper: it was typed in another unit. */
const DEEPEST_CM = 100;

/** Area and depth of a bed, as litres: 1 m² at 1 cm is 10 L. */
function useBed() {
  const [name, setName] = useTyped('bed', '');
  const [area, setArea] = useTyped('area', '');
  const [depth, setDepth] = useTyped('depth', '');
  const [crop, setCrop] = useTyped('crop', '');
  const [family, setFamily] = useTyped<CropFamily | ''>('family', '');
  const [eaten, setEaten] = useTyped<BedCrop | ''>('eaten', '');
  const [areaM2, depthCm] = [typedQuantity('area', area), typedQuantity('cm', depth)];
  const litres = areaM2 && depthCm ? litresOnBed(areaM2, depthCm / 100) : null;
  const isDeep = typeof depthCm === 'number' && depthCm > DEEPEST_CM;
  const bed =
    name.trim() === ''
      ? null
      : {
          name: name.trim(),
          ...(areaM2 ? { areaM2 } : {}),
          ...(depthCm ? { depthM: depthCm / 100 } : {}),
          ...(crop.trim() ? { crop: crop.trim() } : {}),
          ...(family ? { family } : {}),
          ...(eaten ? { eaten } : {}),
        };
  return {
    ...{ name, setName, area, setArea, depth, setDepth, crop, setCrop, family, setFamily },
    ...{ eaten, setEaten, litres, bed, isDeep },
  };
}

function BedFields({ bed, lot }: { bed: ReturnType<typeof useBed>; lot: LotFormProps['lot'] }) {
  const sick = lot.diseased.find((d) => d.family === bed.family);
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field
        label={say('lots.bed')}
        value={bed.name}
        maxLength={60}
        onChange={(e) => bed.setName(e.target.value)}
      />
      <Field
        label={say('lots.crop')}
        value={bed.crop}
        maxLength={60}
        onChange={(e) => bed.setCrop(e.target.value)}
      />
      <CropFamilySelect
        label={say('lots.cropFamily')}
        none={say('lots.choose')}
        value={bed.family}
        onChange={bed.setFamily}
      />
      {sick && <p className="marked self-end col-span-2">{sick.text}</p>}
      <Field
        label={say('lots.area')}
        unit={signOf('area')}
        inputMode="decimal"
        value={bed.area}
        onChange={(e) => bed.setArea(e.target.value)}
      />
      <Field
        label={say('lots.depth')}
        unit={signOf('cm')}
        inputMode="decimal"
        value={bed.depth}
        onChange={(e) => bed.setDepth(e.target.value)}
        hint={say('lots.usualDepth')}
        problem={bed.isDeep ? say('lots.tooDeep', { unit: signOf('cm') }) : undefined}
      />
    </div>
  );
}

/** The day on which it is spread, by the site's clock. */
const spreadOn = (at: string | null, { nowLocal }: LotFormProps['lot']): string =>
  (at ?? nowLocal).slice(0, 10);

/** What grows where unheated compost is spread, and from when it may be harvested. */
function HarvestFields({ bed, day }: { bed: ReturnType<typeof useBed>; day: string }) {
  const { eaten, setEaten } = bed;
  const from = eaten === '' || eaten === 'none' ? null : harvestAfter(day, eaten === 'touching');
  return (
    <>
      <Choices
        label={say('lots.whatIsEaten')}
        value={eaten}
        onChange={setEaten}
        columns={3}
        options={BED_CROPS.map((value) => ({ value, label: say('lots.bedCrop', { crop: value }) }))}
      />
      {from && (
        <p className="caution" role="status" data-testid="harvest-from">
          {say('lots.notAllHeated')} {say('lots.harvestFrom', { earliest: dateOnlyText(from) })}
        </p>
      )}
    </>
  );
}

/** Who gets it, and of which grade. */
const partyOf = (party: string, grade: string) => ({
  party: party.trim(),
  ...(grade.trim() ? { grade: grade.trim() } : {}),
});

/** What compost is used for, by where it goes. */
const USES_BY_WAY: Readonly<Partial<Record<OutWay, readonly UseId[]>>> = {
  bed: ['mulch', 'beds-before-planting', 'growing-beds'],
  sold: [
    'bulk-sale',
    'bag-sale',
    'potting-mix',
    'seed-mix',
    'mulch',
    'beds-before-planting',
    'growing-beds',
  ],
  shared: USE_IDS,
  given: USE_IDS,
};

/** What it is used for: chosen, or the only released use that fits where it goes. */
function useChosenUse({ releasedFor }: LotFormProps['lot'], way: OutWay | '') {
  const [chosen, setUse] = useTyped<UseId | ''>('use', '');
  const offered = way === '' ? [] : (USES_BY_WAY[way] ?? []);
  const released = offered.filter((u) => releasedFor?.includes(u));
  const preset = released.length === 1 ? (released[0] ?? '') : '';
  const use = offered.includes(chosen as UseId) ? chosen : preset;
  return { use, setUse, offered };
}

/** Ways on which somebody gets it. */
const TO_SOMEBODY: ReadonlySet<OutWay | ''> = new Set<OutWay>(['sold', 'shared', 'given']);

/** What is typed of something that leaves, what it asks for, and what would be saved. */
function useOut(lot: LotFormProps['lot']) {
  const [way, setWay] = useTyped<OutWay | ''>('way', '');
  const [party, setParty] = useTyped('party', '');
  const [price, setPrice] = useTyped('price', '');
  const [grade, setGrade] = useTyped('grade', '');
  const [words, setWords] = useTyped('words', '');
  const [known, setKnown] = useState(false);
  const much = useHowMuch('part');
  const bed = useBed();
  const { use, setUse, offered } = useChosenUse(lot, way);
  const doubted = way !== '' && OUT_IS_PRODUCT[way] ? doubtFor(lot, use) : null;
  const isByBed = way === 'bed' && bed.litres !== null && much.litres === '';
  const amount = isByBed ? { all: false, litres: bed.litres } : much.data;
  const money = typed(price);
  const needsParty = TO_SOMEBODY.has(way);
  const whereMissing = (): string | null => {
    if (way === 'bed' && !bed.bed) return say('lots.nameTheBed');
    if (way === 'bed' && bed.isDeep) return say('lots.tooDeep', { unit: signOf('cm') });
    if (way === 'bed' && !lot.heated && bed.eaten === '') return say('lots.sayWhatIsEaten');
    if (offered.length > 0 && use === '') return say('lots.sayTheUse');
    return needsParty && party.trim() === '' ? say('lots.nameTheParty') : null;
  };
  const missing = (): string | null => {
    if (way === '') return say('lots.sayWhere');
    const missingWhere = whereMissing();
    if (missingWhere) return missingWhere;
    const howMuch = much.problem ?? (amount ? null : say('lots.sayHowMuch'));
    return howMuch ?? (doubted && !known ? say('log.tickBoxAboveWhoeverLets') : null);
  };
  const data = {
    how: way,
    ...amount,
    ...(way === 'bed' && bed.bed ? { bed: bed.bed } : {}),
    ...(use === '' ? {} : { use }),
    ...(needsParty ? partyOf(party, grade) : {}),
    ...(doubted && known ? { knowing: doubted.code } : {}),
    ...(way === 'sold' && typeof money === 'number' ? { price: money } : {}),
    ...wordsIn(words),
  };
  return {
    ...{ way, setWay, party, setParty, grade, setGrade, price, setPrice, words, setWords },
    ...{ use, setUse, offered },
    ...{ doubted, known, setKnown, much, bed, needsParty, data, missing: missing() },
  };
}

const PartyFields = ({ o }: { o: ReturnType<typeof useOut> }) => (
  <div className="grid grid-cols-2 gap-3">
    <Field
      label={say('lots.toWhom')}
      value={o.party}
      maxLength={60}
      onChange={(e) => o.setParty(e.target.value)}
    />
    <Field
      label={say('lots.grade')}
      value={o.grade}
      maxLength={60}
      onChange={(e) => o.setGrade(e.target.value)}
    />
  </div>
);

/** Why it should not go out for a use: it is not released, or for others. */
const doubtFor = ({ doubt, releasedFor }: LotFormProps['lot'], use: UseId | '') =>
  doubt ??
  (use !== '' && releasedFor !== null && !releasedFor.includes(use)
    ? { code: 'other-use' as const, texts: [OUT_DOUBT_WORDS['other-use']] }
    : null);

const UseSelect = ({ o }: { o: ReturnType<typeof useOut> }) => (
  <label className="label">
    {say('lots.usedFor')}
    <select
      className="field mt-1"
      value={o.use}
      onChange={(e) => o.setUse(e.target.value as UseId | '')}
    >
      <option value="">{say('lots.choose')}</option>
      {o.offered.map((u) => (
        <option key={u} value={u}>
          {USE_WORDS[u]}
        </option>
      ))}
    </select>
  </label>
);

/** What speaks against letting it go, to be ticked by whoever does. */
const DoubtTick = ({ o, heated }: { o: ReturnType<typeof useOut>; heated: boolean }) =>
  o.doubted && (
    <ConfirmBox
      legend={say('log.beforeItLeaves')}
      text={o.doubted.texts.join(' ')}
      confirm={say('log.iKnowThat')}
      checked={o.known}
      onChange={o.setKnown}
      testId="doubts"
    >
      {!heated && <p className="caution mt-1">{CAUTION.unproven}</p>}
    </ConfirmBox>
  );

/** Something leaves the lot for good: onto a bed, to a buyer, to a partner, away. */
export function OutForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lot-out', lot, onDone);
  const o = useOut(lot);
  return (
    <>
      <Choices
        label={say('lots.whereTo')}
        value={o.way}
        onChange={o.setWay}
        columns={3}
        options={OUT_WAYS.map((value) => ({ value, label: say('lots.wayOut', { how: value }) }))}
      />
      {o.way === 'bed' && <BedFields bed={o.bed} lot={lot} />}
      {o.way === 'bed' && !lot.heated && (
        <HarvestFields bed={o.bed} day={spreadOn(entry.at, lot)} />
      )}
      {o.way === 'bed' && o.bed.litres !== null && (
        <p className="hint" data-testid="bed-litres">
          {say('lots.bedTakes', { litres: o.bed.litres })}
        </p>
      )}
      {o.offered.length > 0 && <UseSelect o={o} />}
      {o.needsParty && <PartyFields o={o} />}
      {o.way === 'sold' && (
        <Field
          label={say('lots.price')}
          inputMode="decimal"
          value={o.price}
          onChange={(e) => o.setPrice(e.target.value)}
        />
      )}
      <HowMuch much={o.much} label={say('log.howMuchOfIt')} />
      <DoubtTick o={o} heated={lot.heated} />
      <NoteField value={o.words} onChange={o.setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveOut')}
        missing={o.missing}
        onKeep={() => entry.save({ lot: lot.id, ...o.data })}
      />
    </>
  );
}
