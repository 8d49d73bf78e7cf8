'use client';
import { say } from '@/messages/say';
import { shownQuantity, typedQuantity } from '@/core/quantity/typed-quantity';
import { tracedShareText } from '@/core/flow/share-text';
import { unheatedAfter } from '@/core/lots/joining';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
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
