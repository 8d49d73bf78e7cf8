'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { v7 } from 'uuid';
import { parseInstant } from '@/core/quantity/instant';
import { tempText, whenText } from '@/core/quantity/format';
import { toCelsius, type TempUnit } from '@/core/units/units';
import { asSentence } from '@/core/words/problem';
import { deviceUser, type Named, type OutboxItem } from '@/outbox/item';
import { outboxStore, putMended, sendWaiting } from '@/outbox/store';
import { handedOver, waitsFor } from '@/outbox/whose';
import { useOutbox } from '@/outbox/useOutbox';
import { DeviceMemory, type DeviceMemoryTexts } from './DeviceMemory';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { SaveButton } from '@/ui/SaveButton';

type Reading = {
  readonly point: string;
  readonly value: number;
  readonly unit: TempUnit;
  readonly at?: string;
};
const readingsOf = (item: OutboxItem): readonly Reading[] =>
  Array.isArray(item.form.data.readings) ? (item.form.data.readings as Reading[]) : [];
const POINT = /^data\.readings\[(\d+)\]\.point$/;

/** What this device has not been able to hand over: what waits, and what was refused and why. Nothing leaves here unseen. */
export function Waiting({
  timeZone,
  places,
  sendsForOthers,
  texts,
}: {
  /** Whether whoever uses the device may send what others logged. */ sendsForOthers: boolean;
  texts: DeviceMemoryTexts;
  timeZone: string;
  /** Places of each heap, as the hub last told them. */ places: Readonly<
    Record<string, readonly { id: string; label: string }[]>
  >;
}) {
  const { items, looked, online } = useOutbox();
  const refused = items.filter((i) => i.state === 'refused');
  const waiting = items.filter((i) => i.state === 'waiting');
  const user = deviceUser();
  const [own, ofOthers] = [
    waiting.filter((i) => waitsFor(i.form, user) === null),
    waiting.filter((i) => waitsFor(i.form, user) !== null),
  ];
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[760px] flex flex-col gap-5">
      <h1>{say('terms.waitingToSend')}</h1>
      {looked && items.length === 0 && (
        <p className="text-lead">{say('waiting.nothingWaitingEverythingSavedOn')}</p>
      )}
      {refused.length > 0 && (
        <section className="flex flex-col gap-4" aria-labelledby="refused">
          <h2 id="refused">{say('waiting.refusedLookAtOneOther', { refused: refused.length })}</h2>
          {refused.map((i) => (
            <DraftScope key={i.id} name={`refused ${i.id}`}>
              <Refused item={i} timeZone={timeZone} places={places[i.form.batch ?? ''] ?? []} />
            </DraftScope>
          ))}
        </section>
      )}
      {own.length > 0 && <Own items={own} timeZone={timeZone} online={online} />}
      {ofOthers.length > 0 && (
        <OfOthers
          items={ofOthers}
          timeZone={timeZone}
          me={sendsForOthers ? user.person : undefined}
        />
      )}
      {looked && <DeviceMemory items={items} texts={texts} />}
    </div>
  );
}

/** What is sent as soon as the server is reached. */
function Own({
  items,
  timeZone,
  online,
}: {
  items: readonly OutboxItem[];
  timeZone: string;
  online: boolean;
}) {
  return (
    <section aria-labelledby="waiting">
      <h2 id="waiting">{say('waiting.waitingForASignal')}</h2>
      <p className="q mt-1">{say('waiting.theySentByThemselvesIn')}</p>
      <ol className="mt-2" data-testid="waiting-list">
        {items.map((i) => (
          <li key={i.id} className="border-b border-rule py-2">
            <Line item={i} timeZone={timeZone} />
            {i.problems
              .filter((p) => p.path !== 'person')
              .map((p) => (
                <p key={p.path} className="marked">
                  {asSentence(p.message)}
                </p>
              ))}
          </li>
        ))}
      </ol>
      <button type="button" className="btn mt-3" onClick={() => void sendWaiting()}>
        {online ? say('waiting.sendNow') : say('waiting.tryNow')}
      </button>
    </section>
  );
}

/** What waits for somebody who does not use the device now. @param me who uses it and may send what others logged */
function OfOthers({
  items,
  timeZone,
  me,
}: {
  items: readonly OutboxItem[];
  timeZone: string;
  me: Named | undefined;
}) {
  return (
    <section aria-labelledby="of-others">
      <h2 id="of-others">{say('waiting.waitingForWhoLogged')}</h2>
      <ul className="mt-2">
        {items.map((i) => (
          <li key={i.id} className="border-b border-rule py-2">
            <Line item={i} timeZone={timeZone} />
            <ForOther item={i} me={me} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Line({ item, timeZone }: { item: OutboxItem; timeZone: string }) {
  const at = item.form.at === null ? null : parseInstant(item.form.at);
  const readings = readingsOf(item);
  return (
    <div className="text-control leading-[1.35]">
      <b>{item.what}</b>{' '}
      <span className="q">
        {at === null ? item.form.at?.replace('T', ' ') : whenText(timeZone, at)}, {item.form.by}
      </span>
      {readings.length > 0 && (
        <span className="block q">
          {readings
            .map((r) => `${r.point} ${tempText(toCelsius(r.value, r.unit), r.unit, 1)}`)
            .join(' · ')}
        </span>
      )}
    </div>
  );
}

/**
 * Whose an entry is, where somebody else uses the device now: it waits for them, or is handed over by a press that names both.
 * @param me who uses the device and may send what others logged
 */
function ForOther({ item, me }: { item: OutboxItem; me: Named | undefined }) {
  const [sure, setSure] = useState(false);
  const whose = waitsFor(item.form, deviceUser());
  if (whose === null) return null;
  const send = (to: string): void => {
    void outboxStore
      .put({ ...item, form: handedOver(item.form, to), problems: [] })
      .then(() => sendWaiting());
  };
  return (
    <div data-testid="for-other">
      <p className="marked">{say('waiting.waitsForOther', { name: whose.name })}</p>
      {me && !sure && (
        <button type="button" className="btn mt-1" onClick={() => setSure(true)}>
          {say('waiting.sendInMyName', { me: me.name })}
        </button>
      )}
      {me && sure && (
        <>
          <p className="hint">{say('waiting.handedOverHow', { me: me.name, name: whose.name })}</p>
          <div className="flex gap-2.5 flex-wrap mt-1">
            <button type="button" className="btn key" onClick={() => send(me.id)}>
              {say('waiting.sendBothNamed', { me: me.name, name: whose.name })}
            </button>
            <button type="button" className="btn" onClick={() => setSure(false)}>
              {say('waiting.leaveItHere')}
            </button>
          </div>
        </>
      )}
    </div>
  );
}

/** One that the hub said no to, with the way to mend it that its reason asks for. */
function Refused({
  item,
  timeZone,
  places,
}: {
  item: OutboxItem;
  timeZone: string;
  places: readonly { id: string; label: string }[];
}) {
  const [at, setAt] = useTyped('at', '');
  const [sure, setSure] = useState(false);
  const [by, setBy] = useTyped('by', item.form.by);
  const [moved, setMoved] = useTyped<Record<number, string>>('moved', {});
  const paths = item.problems.map((p) => p.path);
  const [timely, taken, points] = [
    paths.includes('at'),
    paths.some((p) => p === 'id' || p === 'data.readings'),
    paths.flatMap((p) => {
      const m = POINT.exec(p);
      return m ? [Number(m[1])] : [];
    }),
  ];
  const again = (form: OutboxItem['form']): void => {
    void putMended(item, form).then(() => sendWaiting());
  };
  const mended = (): OutboxItem['form'] => {
    const id = taken ? v7() : item.form.id;
    const readings = readingsOf(item).map((r, i) => ({
      ...r,
      ...(moved[i] ? { point: moved[i] } : {}),
      ...(timely && at ? { at: undefined } : {}),
      ...(taken ? { id: `${id}.${r.point}` } : {}),
    }));
    return {
      ...item.form,
      ...{ id, by },
      ...(timely && at ? { at } : {}),
      data: { ...item.form.data, ...(readings.length > 0 ? { readings } : {}) },
    };
  };
  return (
    <article
      className="border-[1.6px] border-ink bg-sheet p-4 flex flex-col gap-3"
      data-testid="refused"
    >
      <Line item={item} timeZone={timeZone} />
      {item.problems.map((p) => (
        <p key={p.path + p.message} role="alert" className="marked font-semibold">
          {asSentence(p.message)}
        </p>
      ))}
      {timely && (
        <div>
          <label className="label" htmlFor={`at-${item.id}`}>
            {say('waiting.whenItHappened')}
          </label>
          <input
            id={`at-${item.id}`}
            type="datetime-local"
            className="field"
            value={at}
            onChange={(e) => setAt(e.target.value)}
          />
        </div>
      )}
      {paths.includes('by') && (
        <Field label={say('entry.who')} value={by} onChange={(e) => setBy(e.target.value)} />
      )}
      {points.map((i) => (
        <div key={i}>
          <label className="label" htmlFor={`p-${item.id}-${i}`}>
            {say('waiting.whereWas')} {readingsOf(item)[i]?.point} {say('waiting.read')}
          </label>
          <select
            id={`p-${item.id}-${i}`}
            className="field"
            value={moved[i] ?? ''}
            onChange={(e) => setMoved((m) => ({ ...m, [i]: e.target.value }))}
          >
            <option value="">{say('waiting.chooseThePoint')}</option>
            {places.map((p) => (
              <option key={p.id} value={p.id}>
                {p.label}
              </option>
            ))}
          </select>
        </div>
      ))}
      <div className="flex gap-2.5 flex-wrap">
        <SaveButton
          className="btn key"
          label={taken ? say('waiting.sendAsNewEntry') : say('waiting.sendAgain')}
          busy={false}
          missing={
            timely && at === ''
              ? say('waiting.sayWhenItHappened')
              : points.some((i) => !moved[i])
                ? say('waiting.chooseWhereEachValueWas')
                : null
          }
          onSave={() => again(mended())}
        />
        {sure ? (
          <>
            <button type="button" className="btn" onClick={() => void outboxStore.remove(item.id)}>
              {say('waiting.yesDeleteForGood')}
            </button>
            <button type="button" className="btn" onClick={() => setSure(false)}>
              {say('waiting.leaveItHere')}
            </button>
          </>
        ) : (
          <button type="button" className="btn" onClick={() => setSure(true)}>
            {say('waiting.deleteIt')}
          </button>
        )}
      </div>
    </article>
  );
}
