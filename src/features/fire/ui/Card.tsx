'use client';
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
        <h1>Fire card, {site}</h1>
        <p className="flex gap-3 print:hidden">
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={18} />
            Print it
          </button>
          <button type="button" className="btn" onClick={() => setEdit(true)}>
            {card ? 'Change it' : 'Set it up'}
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
              <b>Say where:</b> {card.address}
            </p>
          )}
          {card.water && (
            <p>
              <b>Water:</b> {card.water}
            </p>
          )}
          {card.words && <p>{card.words}</p>}
        </section>
      ) : (
        <p className="marked font-semibold">
          Nobody is named yet. Set up who is called before it is needed: the fire service’s number,
          who answers for the site, where to send them, where the water is.
        </p>
      )}
      <p className="hint">
        {FIRE_CARD.law} Which size and spacing of heaps is allowed: check with your local authority
        and the fire service.
      </p>
      {edit && (
        <DraftScope name="fire card">
          <Edit card={card} by={by} onDone={() => setEdit(false)} />
        </DraftScope>
      )}
    </div>
  );
}

/** Stands there to be filled in: without a number it is no contact that was left half typed. */
const SUGGESTED_CONTACT = { who: 'Fire service', phone: '' } as const;

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
          'fire card',
        ),
      onDone,
    );
  return (
    <section
      className="ruled pt-3 flex flex-col gap-3 print:hidden"
      aria-label="Set up the fire card"
    >
      {contacts.map((c, i) => (
        <div key={i} className="grid grid-cols-2 gap-3">
          <Field
            label="Who"
            value={c.who}
            maxLength={60}
            onChange={(e) =>
              setContacts(contacts.map((x, k) => (k === i ? { ...x, who: e.target.value } : x)))
            }
          />
          <Field
            label="Phone"
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
            Another number
          </button>
        </p>
      )}
      <Field
        label="Where to send them"
        value={address}
        maxLength={200}
        onChange={(e) => setAddress(e.target.value)}
        hint="Address, gate, what they will see"
      />
      <Field
        label="Where the water is"
        value={water}
        maxLength={200}
        onChange={(e) => setWater(e.target.value)}
      />
      <Field
        label="Anything else"
        value={words}
        maxLength={300}
        onChange={(e) => setWords(e.target.value)}
      />
      <Field
        label="Your name"
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label="Keep the card"
        busy={busy}
        missing={
          half
            ? 'Each line wants a name and a number.'
            : full.length === 0
              ? 'Type one number at least.'
              : whoIsMissing(by)
        }
        onSave={save}
      />
    </section>
  );
}
