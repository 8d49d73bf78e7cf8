'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { tracedShareText } from '@/core/flow/share-text';
import { litresOnBed } from '@/core/lots/bed';
import { unheatedAfter } from '@/core/lots/joining';
import type { CropFamily } from '@/core/log/kinds/vocabulary';
import { OUT_IS_PRODUCT, OUT_WAYS, type OutWay } from '@/core/log/lot-shapes';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';
import { Choices } from '@/ui/Choices';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { CropFamilySelect } from '@/entry/ui/CropFamilySelect';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { typed } from '@/core/quantity/typed-number';
import {
  HowMuch,
  LitresField,
  NoteField,
  refOf,
  LotTargetFields,
  useHowMuch,
  useLotEntry,
  useTarget,
  wordsIn,
  type LotFormProps,
} from './parts';

/** What it costs the lot that takes more in, said before it is saved; and whether that lot should be measured first. */
function JoinHint({
  lot,
  target,
  much,
}: {
  lot: LotFormProps['lot'];
  target: ReturnType<typeof useTarget>;
  much: ReturnType<typeof useHowMuch>;
}) {
  const into = lot.targets.find((t) => t.id === target.to);
  if (target.isNew || !into) return null;
  const litres = much.typed ?? (much.how === 'all' ? lot.litres : null);
  const share = tracedShareText(unheatedAfter(into, lot, litres));
  return (
    <>
      <p className="marked font-semibold w-fit" data-testid="join-costs">
        {say('lots.joinTells', { name: into.name, age: into.age, share })}
      </p>
      {into.measureFirst && <p className="marked">{say('lots.measureFirst')}</p>}
      <p className="hint">{say('lots.joinCosts')}</p>
    </>
  );
}

/** A batch goes to cure: into a lot that is there, or where it stands as a new one. */
export function CureForm({ lot, onDone }: LotFormProps) {
  const ref = refOf(lot, lot.id);
  const entry = useEntry('cure', ref, onDone);
  const much = useHowMuch();
  const targets = lot.targets.filter((t) => t.kind === 'curing');
  const target = useTarget('curing', { targets });
  const [known, setKnown] = useState(false);
  const isConfirmed = known || lot.cureDoubts.length === 0;
  const toTick = isConfirmed ? null : say('status.tickTheBox');
  const missing = !target.data
    ? say('lots.giveACode')
    : (much.problem ?? (much.data ? toTick : say('lots.sayHowMuch')));
  return (
    <>
      {lot.cureDoubts.length > 0 && (
        <ConfirmBox
          legend={say('status.beforeItIsMoved')}
          text={lot.cureDoubts.map((d) => d.text).join(' ')}
          confirm={say('log.iKnowThat')}
          checked={known}
          onChange={setKnown}
          testId="cure-doubts"
        />
      )}
      <p className="caution">
        {CAUTION.steam} {CAUTION.lift}
      </p>
      <LotTargetFields target={target} targets={targets} label={say('lots.intoWhichLot')} />
      <JoinHint lot={lot} target={target} much={much} />
      <HowMuch much={much} label={say('lots.howMuchOfBatch')} />
      {much.how === 'all' && <p className="hint">{say('lots.batchEndsThere')}</p>}
      <WhenAndWho entry={entry} heap={ref} />
      <KeepBar
        entry={entry}
        label={say('lots.moveToCure')}
        missing={missing}
        onKeep={() =>
          entry.save({
            ...target.data,
            ...much.data,
            ...(known ? { knowing: lot.cureDoubts.map((d) => d.code) } : {}),
          })
        }
      />
    </>
  );
}

/** From one lot to another: mixed, joined, graded. */
export function MoveLotForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lot-move', lot, onDone);
  const much = useHowMuch('part');
  const targets = lot.targets.filter((t) => t.id !== lot.id);
  const target = useTarget('product', { targets });
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <LotTargetFields target={target} targets={targets} label={say('lots.intoWhichLot')} />
      <JoinHint lot={lot} target={target} much={much} />
      <HowMuch much={much} label={say('log.howMuchOfIt')} />
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveMove')}
        missing={
          !target.data
            ? say('lots.giveACode')
            : (much.problem ?? (much.data ? null : say('lots.sayHowMuch')))
        }
        onKeep={() => entry.save({ from: lot.id, ...target.data, ...much.data, ...wordsIn(words) })}
      />
    </>
  );
}

/** How much of a lot there is, measured: what was lost since shrinks all its parts alike. */
export function MeasureForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lot-size', lot, onDone);
  const [litres, setLitres] = useTyped(
    'litres',
    lot.litres === null ? '' : shownQuantity('litres', lot.litres, 0),
  );
  const value = typedQuantity('litres', litres);
  return (
    <>
      <LitresField
        label={say('lots.thereIsNow')}
        value={litres}
        onChange={setLitres}
        problem={value === null ? say('lots.typeAmount') : undefined}
      />
      <p className="hint">{say('lots.shrinksAlike')}</p>
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveAmount')}
        missing={typeof value === 'number' ? null : say('lots.typeAmount')}
        onKeep={() => entry.save({ lot: lot.id, litres: value })}
      />
    </>
  );
}

/** Area and depth of a bed, as litres: 1 m² at 1 cm is 10 L. */
function useBed() {
  const [name, setName] = useTyped('bed', '');
  const [area, setArea] = useTyped('area', '');
  const [depth, setDepth] = useTyped('depth', '');
  const [crop, setCrop] = useTyped('crop', '');
  const [family, setFamily] = useTyped<CropFamily | ''>('family', '');
  const [areaM2, depthCm] = [typedQuantity('area', area), typedQuantity('cm', depth)];
  const litres = areaM2 && depthCm ? litresOnBed(areaM2, depthCm / 100) : null;
  const bed =
    name.trim() === ''
      ? null
      : {
          name: name.trim(),
          ...(areaM2 ? { areaM2 } : {}),
          ...(depthCm ? { depthM: depthCm / 100 } : {}),
          ...(crop.trim() ? { crop: crop.trim() } : {}),
          ...(family ? { family } : {}),
        };
  return {
    ...{ name, setName, area, setArea, depth, setDepth, crop, setCrop, family, setFamily },
    ...{ litres, bed },
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
      />
    </div>
  );
}

/** Who gets it, and of which grade. */
const partyOf = (party: string, grade: string) => ({
  party: party.trim(),
  ...(grade.trim() ? { grade: grade.trim() } : {}),
});

/** What is typed of something that leaves, what it asks for, and what would be saved. */
function useOut({ doubt }: LotFormProps['lot']) {
  const [way, setWay] = useTyped<OutWay | ''>('way', '');
  const [party, setParty] = useTyped('party', '');
  const [price, setPrice] = useTyped('price', '');
  const [grade, setGrade] = useTyped('grade', '');
  const [words, setWords] = useTyped('words', '');
  const [known, setKnown] = useState(false);
  const much = useHowMuch('part');
  const bed = useBed();
  const doubted = way !== '' && OUT_IS_PRODUCT[way] ? doubt : null;
  const isByBed = way === 'bed' && bed.litres !== null && much.litres === '';
  const amount = isByBed ? { all: false, litres: bed.litres } : much.data;
  const money = typed(price);
  const needsParty = way === 'sold' || way === 'shared' || way === 'given';
  const missing = (): string | null => {
    if (way === '') return say('lots.sayWhere');
    if (way === 'bed' && !bed.bed) return say('lots.nameTheBed');
    if (needsParty && party.trim() === '') return say('lots.nameTheParty');
    const howMuch = much.problem ?? (amount ? null : say('lots.sayHowMuch'));
    return howMuch ?? (doubted && !known ? say('log.tickBoxAboveWhoeverLets') : null);
  };
  const data = {
    how: way,
    ...amount,
    ...(way === 'bed' && bed.bed ? { bed: bed.bed } : {}),
    ...(needsParty ? partyOf(party, grade) : {}),
    ...(doubted && known ? { knowing: doubted.code } : {}),
    ...(way === 'sold' && typeof money === 'number' ? { price: money } : {}),
    ...wordsIn(words),
  };
  return {
    ...{ way, setWay, party, setParty, grade, setGrade, price, setPrice, words, setWords },
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
      {o.way === 'bed' && o.bed.litres !== null && (
        <p className="hint" data-testid="bed-litres">
          {say('lots.bedTakes', { litres: o.bed.litres })}
        </p>
      )}
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
