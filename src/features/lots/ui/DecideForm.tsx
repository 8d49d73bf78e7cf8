'use client';
import { say } from '@/messages/say';
import { OUTCOMES } from '@/core/log/lot-shapes';
import { upperFirst } from '@/core/quantity/format';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import type { LotPageView } from '../view';
import { NoteField, refOf, useLotEntry, wordsIn, type LotFormProps } from './parts';

type Decision = 'released' | 'hold' | 'refused';

/** A person lets a lot go out for its uses, holds it, or refuses it. What must be met and is not cannot be overridden. */
export function DecideForm({ lot, page, onDone }: LotFormProps & { page: LotPageView }) {
  const entry = useLotEntry('lot-decision', lot, onDone);
  const [decision, setDecision] = useTyped<Decision | ''>('decision', '');
  const [uses, setUses] = useTyped<readonly string[]>('uses', []);
  const [reasons, setReasons] = useTyped<Readonly<Record<string, string>>>('reasons', {});
  const [words, setWords] = useTyped('words', '');
  const chosen = page.uses.filter((u) => uses.includes(u.id) && u.standing !== 'blocked');
  const asked = new Map(
    chosen.flatMap((u) => u.lines.filter((l) => l.standing !== 'met').map((l) => [l.item, l.name])),
  );
  const isSilent = [...asked.keys()].some((item) => (reasons[item] ?? '').trim().length < 3);
  const isRelease = decision === 'released';
  const missing =
    decision === ''
      ? say('lots.chooseADecision')
      : isRelease && chosen.length === 0
        ? say('lots.chooseAUse')
        : isRelease && isSilent
          ? say('lots.giveEachReason')
          : !isRelease && words.trim().length < 3
            ? say('lots.sayWhy')
            : null;
  const save = (): void =>
    entry.save({
      lot: lot.id,
      decision,
      uses: isRelease ? chosen.map((u) => u.id) : [],
      reasons: isRelease
        ? [...asked.keys()].map((item) => ({ item, words: (reasons[item] ?? '').trim() }))
        : [],
      from: page.decision?.id ?? null,
      ...wordsIn(words),
    });
  return (
    <>
      <Choices
        label={say('lots.decision')}
        value={decision}
        onChange={setDecision}
        columns={3}
        options={[
          { value: 'released', label: say('lots.release') },
          { value: 'hold', label: say('lots.hold') },
          { value: 'refused', label: say('lots.refuse') },
        ]}
      />
      {isRelease && (
        <fieldset className="flex flex-col gap-1">
          <legend className="label">{say('lots.forWhichUses')}</legend>
          {page.uses.map((u) => (
            <label key={u.id} className="flex gap-2 items-center min-h-target">
              <input
                type="checkbox"
                className="size-6"
                disabled={u.standing === 'blocked'}
                checked={uses.includes(u.id) && u.standing !== 'blocked'}
                onChange={(e) =>
                  setUses(e.target.checked ? [...uses, u.id] : uses.filter((x) => x !== u.id))
                }
              />
              <span>
                {upperFirst(u.name)} <span className="q text-hint">{u.says}</span>
              </span>
            </label>
          ))}
        </fieldset>
      )}
      {isRelease &&
        [...asked].map(([item, name]) => (
          <Field
            key={item}
            label={say('lots.whyWithout', { item: name })}
            value={reasons[item] ?? ''}
            maxLength={300}
            onChange={(e) => setReasons({ ...reasons, [item]: e.target.value })}
          />
        ))}
      <NoteField value={words} onChange={setWords} />
      <p className="hint">{say('lots.decisionIsYours')}</p>
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar entry={entry} label={say('lots.saveDecision')} missing={missing} onKeep={save} />
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
        label={say('lots.save')}
        missing={found === '' ? say('lots.sayWhatYouSaw') : null}
        onKeep={() => entry.save({ out, found, ...wordsIn(words) })}
      />
    </>
  );
}

/** An entry that was a mistake is voided, and stays readable. */
export function VoidForm({ lot, target, onDone }: LotFormProps & { target: string }) {
  const entry = useLotEntry('correction', lot, onDone);
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
