'use client';
import { say } from '@/messages/say';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import type { FireCard } from '@/core/log/shapes';
import { FIRE_CARD } from '@/core/words/doubt';
import { submitOrQueue } from '@/outbox/keep';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';

/** What to do when a heap smokes, whom to call and where the water is: on the wall, on the phone, and with no network. */
export function Card({
  card,
  site,
  by,
  hot,
}: {
  card: FireCard | null;
  site: string;
  by: string;
  hot: readonly { readonly name: string; readonly text: string }[];
}) {
  const [edit, setEdit] = useState(false);
  return (
    <div className="px-5 py-5 max-w-[760px] flex flex-col gap-4">
      <div className="flex flex-wrap justify-between items-baseline gap-3">
        <h1>{say('fire.firePlan', { site })}</h1>
        <p className="flex gap-3 print:hidden">
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={18} />
            {say('fire.printIt')}
          </button>
          <button type="button" className="btn" onClick={() => setEdit(true)}>
            {card ? say('fire.changeIt') : say('fire.setItUp')}
          </button>
        </p>
      </div>
      {hot.map((h) => (
        <p key={h.name} className="marked font-semibold">
          {h.name}: {h.text}
        </p>
      ))}
      <ol
        className="text-figure leading-[1.45] list-decimal pl-7 flex flex-col gap-1.5"
        data-testid="fire-steps"
      >
        {FIRE_CARD.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {card ? (
        <section className="ruled pt-3 flex flex-col gap-2" data-testid="contacts">
          <ul className="text-head">
            {card.contacts.map((c) => (
              <li
                key={c.who + c.phone}
                className="min-h-glove flex items-center gap-4 border-b border-rule"
              >
                <b className="disp">{c.who}</b>
                <a
                  className="link min-h-glove inline-flex items-center"
                  href={`tel:${c.phone.replace(/[^+\d]/g, '')}`}
                >
                  {c.phone}
                </a>
              </li>
            ))}
          </ul>
          {card.address && (
            <p>
              <b>{say('fire.locationToGive')}</b> {card.address}
            </p>
          )}
          {card.water && (
            <p>
              <b>{say('fire.water')}</b> {card.water}
            </p>
          )}
          {card.words && <p>{card.words}</p>}
        </section>
      ) : (
        <p className="marked font-semibold">{say('fire.nobodyNamedYetEnterWho')}</p>
      )}
      <p className="hint">{say('fire.allowedSizeSpacingPilesCheck', { law: FIRE_CARD.law })}</p>
      {edit && (
        <DraftScope name="fire card">
          <Edit card={card} by={by} onDone={() => setEdit(false)} />
        </DraftScope>
      )}
    </div>
  );
}

/** Stands there to be filled in: without a number it is no contact that was left half typed. */
const SUGGESTED_CONTACT = {
  get who() {
    return say('fire.fireService');
  },
  phone: '',
} as const;

function Edit({
  card,
  by: device,
  onDone,
}: {
  card: FireCard | null;
  by: string;
  onDone: () => void;
}) {
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [contacts, setContacts] = useTyped(
    'contacts',
    card && card.contacts.length > 0
      ? card.contacts
      : [{ ...SUGGESTED_CONTACT }, { who: '', phone: '' }],
  );
  const [address, setAddress] = useTyped('address', card?.address ?? '');
  const [water, setWater] = useTyped('water', card?.water ?? '');
  const [words, setWords] = useTyped('words', card?.words ?? '');
  const full = contacts.filter((c) => c.who.trim() !== '' && c.phone.trim() !== '');
  const half = contacts.some(
    (c) =>
      (c.who.trim() === '') !== (c.phone.trim() === '') &&
      !(c.who === SUGGESTED_CONTACT.who && c.phone === ''),
  );
  const save = (): void =>
    keep(
      () =>
        submitOrQueue(
          {
            id,
            batch: null,
            kind: 'fire-card',
            at: null,
            by,
            data: {
              card: {
                contacts: full.map((c) => ({ who: c.who.trim(), phone: c.phone.trim() })),
                address: address.trim(),
                water: water.trim(),
                words: words.trim(),
              } satisfies FireCard,
            },
          },
          say('fire.firePlan2'),
        ),
      onDone,
    );
  return (
    <section
      className="ruled pt-3 flex flex-col gap-3 print:hidden"
      aria-label={say('fire.setUpFirePlan')}
    >
      {contacts.map((c, i) => (
        <div key={i} className="grid grid-cols-2 gap-3">
          <Field
            label={say('fire.who')}
            value={c.who}
            maxLength={60}
            onChange={(e) =>
              setContacts(contacts.map((x, k) => (k === i ? { ...x, who: e.target.value } : x)))
            }
          />
          <Field
            label={say('fire.phone')}
            type="tel"
            value={c.phone}
            maxLength={40}
            onChange={(e) =>
              setContacts(contacts.map((x, k) => (k === i ? { ...x, phone: e.target.value } : x)))
            }
          />
        </div>
      ))}
      {contacts.length < 8 && (
        <p>
          <button
            type="button"
            className="btn"
            onClick={() => setContacts([...contacts, { who: '', phone: '' }])}
          >
            {say('fire.anotherNumber')}
          </button>
        </p>
      )}
      <Field
        label={say('fire.whereToSendThem')}
        value={address}
        maxLength={200}
        onChange={(e) => setAddress(e.target.value)}
        hint={say('fire.addressGateWhatTheyWill')}
      />
      <Field
        label={say('fire.whereTheWaterIs')}
        value={water}
        maxLength={200}
        onChange={(e) => setWater(e.target.value)}
      />
      <Field
        label={say('fire.anythingElse')}
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Field
        label={say('fire.yourName')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label={say('fire.saveTheFirePlan')}
        busy={busy}
        missing={
          half
            ? say('fire.eachLineNeedsNameNumber')
            : full.length === 0
              ? say('fire.typeAtLeastOneNumber')
              : whoIsMissing(by)
        }
        onSave={save}
      />
    </section>
  );
}
