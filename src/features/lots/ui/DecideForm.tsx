'use client';
import { say } from '@/messages/say';
import { OUTCOMES } from '@/core/log/lot-shapes';
import { upperFirst } from '@/core/quantity/format';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import type { LotPageView } from '../view';
import { NoteField, refOf, useLotEntry, wordsIn, type LotFormProps } from './parts';

type Decision = 'released' | 'hold' | 'refused';

/** What is typed of a decision, what it asks for, and what would be saved. */
function useDecision(page: LotPageView) {
  const [decision, setDecision] = useTyped<Decision | ''>('decision', '');
  const [uses, setUses] = useTyped<readonly string[]>('uses', []);
  const [reasons, setReasons] = useTyped<Readonly<Record<string, string>>>('reasons', {});
  const [words, setWords] = useTyped('words', '');
  const chosen = page.uses.filter((u) => uses.includes(u.id) && u.standing !== 'blocked');
  const asked = new Map(
    chosen.flatMap((u) => u.lines.filter((l) => l.standing !== 'met').map((l) => [l.item, l.name])),
  );
  const isRelease = decision === 'released';
  const reasonFor = (item: string): string => (reasons[item] ?? '').trim();
  const releaseMissing = (): string | null => {
    if (chosen.length === 0) return say('lots.chooseAUse');
    const isSilent = [...asked.keys()].some((item) => reasonFor(item).length < 3);
    return isSilent ? say('lots.giveEachReason') : null;
  };
  const missing = (): string | null => {
    if (decision === '') return say('lots.chooseADecision');
    if (isRelease) return releaseMissing();
    return words.trim().length < 3 ? say('lots.sayWhy') : null;
  };
  const data = {
    decision,
    uses: isRelease ? chosen.map((u) => u.id) : [],
    reasons: isRelease ? [...asked.keys()].map((item) => ({ item, words: reasonFor(item) })) : [],
    from: page.decision?.id ?? null,
    ...wordsIn(words),
  };
  return {
    ...{ decision, setDecision, uses, setUses, reasons, setReasons, words, setWords },
    ...{ asked, isRelease, data, missing: missing() },
  };
}
type Deciding = ReturnType<typeof useDecision>;

/** The uses that may be chosen: one of which something that must be met is open cannot be. */
const UseChoices = ({ page, d }: { page: LotPageView; d: Deciding }) => (
  <fieldset className="flex flex-col gap-1">
    <legend className="label">{say('lots.forWhichUses')}</legend>
    {page.uses.map((u) => (
      <label key={u.id} className="flex gap-2 items-center min-h-target">
        <input
          type="checkbox"
          className="size-6"
          disabled={u.standing === 'blocked'}
          checked={d.uses.includes(u.id) && u.standing !== 'blocked'}
          onChange={(e) =>
            d.setUses(e.target.checked ? [...d.uses, u.id] : d.uses.filter((x) => x !== u.id))
          }
        />
        <span>
          {upperFirst(u.name)} <span className="q text-hint">{u.says}</span>
        </span>
      </label>
    ))}
  </fieldset>
);

/** A person lets a lot go out for its uses, holds it, or refuses it. What must be met and is not cannot be overridden. */
export function DecideForm({ lot, page, onDone }: LotFormProps & { page: LotPageView }) {
  const entry = useLotEntry('lot-decision', lot, onDone);
  const d = useDecision(page);
  return (
    <>
      <Choices
        label={say('lots.decision')}
        value={d.decision}
        onChange={d.setDecision}
        columns={3}
        options={[
          { value: 'released', label: say('lots.release') },
          { value: 'hold', label: say('lots.hold') },
          { value: 'refused', label: say('lots.refuse') },
        ]}
      />
      {d.isRelease && <UseChoices page={page} d={d} />}
      {d.isRelease &&
        [...d.asked].map(([item, name]) => (
          <Field
            key={item}
            label={say('lots.whyWithout', { item: name })}
            value={d.reasons[item] ?? ''}
            maxLength={300}
            onChange={(e) => d.setReasons({ ...d.reasons, [item]: e.target.value })}
          />
        ))}
      <NoteField value={d.words} onChange={d.setWords} />
      <p className="hint">{say('lots.decisionIsYours')}</p>
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveDecision')}
        missing={d.missing}
        onKeep={() => entry.save({ lot: lot.id, ...d.data })}
      />
    </>
  );
}

type Found = (typeof OUTCOMES)[number];
/** What came of something that went out: it finds its way back to the lot. */
export function OutcomeForm({ lot, out, onDone }: LotFormProps & { out: string }) {
  const entry = useLotEntry('lot-outcome', lot, onDone);
  const [found, setFound] = useTyped<Found | ''>('found', '');
  const [words, setWords] = useTyped('words', '');
  return (
    <>
      <Choices
        label={say('lots.outcomeShort')}
        value={found}
        onChange={setFound}
        options={OUTCOMES.map((value) => ({
          value,
          label: say('lots.foundWord', { found: value }),
        }))}
      />
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('day.save')}
        missing={found === '' ? say('lots.sayWhatYouSaw') : null}
        onKeep={() => entry.save({ out, found, ...wordsIn(words) })}
      />
    </>
  );
}

/** An entry that was a mistake is voided, and stays readable. */
export function VoidForm({ lot, target, onDone }: LotFormProps & { target: string }) {
  const entry = useEntry('correction', refOf(lot), onDone);
  const [reason, setReason] = useTyped('reason', '');
  return (
    <>
      <Field
        label={say('lots.whyVoid')}
        value={reason}
        maxLength={200}
        onChange={(e) => setReason(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.void')}
        missing={reason.trim().length < 3 ? say('lots.sayWhy') : null}
        onKeep={() => entry.save({ target, reason: reason.trim() })}
      />
    </>
  );
}

/** Switches the public page of a lot on or off, with what its label says. */
export function PageForm({ lot, page, onDone }: LotFormProps & { page: LotPageView }) {
  const entry = useLotEntry('lot-page', lot, onDone);
  const [text, setText] = useTyped('text', page.labelText);
  const { shown } = page;
  const said = text.trim() === '' ? {} : { text: text.trim() };
  return (
    <>
      <p>{say('lots.pageIsOn')}</p>
      <Field
        label={say('lots.labelText')}
        value={text}
        maxLength={160}
        onChange={(e) => setText(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      {shown && (
        <button
          type="button"
          className="btn"
          disabled={entry.busy}
          onClick={() => entry.save({ lot: lot.id, shown: false })}
        >
          {say('lots.switchPageOff')}
        </button>
      )}
      <KeepBar
        entry={entry}
        label={shown ? say('day.save') : say('lots.switchPageOn')}
        onKeep={() => entry.save({ lot: lot.id, shown: true, ...said })}
      />
    </>
  );
}
