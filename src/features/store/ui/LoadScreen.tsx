'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { STATE_WORDS } from '@/core/mix/words';
import { type LoadState } from '@/core/log/store-shapes';
import { DraftScope } from '@/ui/draft';
import { Sheet } from '@/ui/Sheet';
import type { FormOf } from './loadParts';
import { BucketForm, DryingForm, SqueezeForm } from './LoadTests';
import { HeatForm, ChangeForm, CountForm, GoneForm, PhotoForm, StrikeForm } from './LoadActs';

type Act =
  | 'photo'
  | 'heat'
  | 'bucket'
  | 'drying'
  | 'squeeze'
  | 'change'
  | 'count'
  | 'gone'
  | 'strike'
  | null;

const FORMS: Record<Exclude<Act, null>, { title: string; form: (p: FormOf) => ReactNode }> = {
  heat: {
    get title() {
      return say('store.howHotStack');
    },
    form: HeatForm,
  },
  bucket: {
    get title() {
      return say('store.bucketTest');
    },
    form: BucketForm,
  },
  drying: {
    get title() {
      return say('store.dryingTest');
    },
    form: DryingForm,
  },
  squeeze: {
    get title() {
      return say('lots.squeeze');
    },
    form: SqueezeForm,
  },
  change: {
    get title() {
      return say('store.statePlaceAnswer');
    },
    form: ChangeForm,
  },
  count: {
    get title() {
      return say('store.countAgain');
    },
    form: CountForm,
  },
  photo: {
    get title() {
      return say('store.photo2');
    },
    form: PhotoForm,
  },
  gone: {
    get title() {
      return say('store.allGone');
    },
    form: GoneForm,
  },
  strike: {
    get title() {
      return say('store.loggedByMistake');
    },
    form: StrikeForm,
  },
};

/** One load of the store: what it is, its figures and where they come from, what became of it. */
export function LoadScreen({ load, by, unit, mayAccept }: Omit<FormOf, 'onDone'>) {
  const [act, setAct] = useState<Act>(null);
  const sheet = act && FORMS[act];
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[1080px] flex flex-col gap-4">
      <p>
        <Link prefetch={false} className="link" href="/store">
          {say('store.materialsInStock')}
        </Link>
      </p>
      <div>
        <h1>{load.name}</h1>
        <p className="q mt-1">
          {load.head}
          {load.risks ? say('store.mayContain', { risks: load.risks }) : ''}
        </p>
      </div>
      {load.caution && <p className="caution max-w-[720px]">{load.caution}</p>}
      {load.answer === 'ask' && !load.gone && (
        <p className="marked font-semibold w-fit">{say('store.onHoldUntilAnswered2')}</p>
      )}
      {load.ripe && (
        <p className="flex flex-wrap gap-3 items-center">
          <span className="font-semibold">{load.ripe.text}</span>
          <button type="button" className="btn" onClick={() => setAct('change')}>
            {say('store.itIsNow', { statewords: STATE_WORDS[load.ripe.state as LoadState] })}
          </button>
        </p>
      )}
      {load.stack && (
        <p className="flex flex-wrap gap-3 items-center" data-testid="stack">
          <span className="max-w-[620px]">{load.stack}</span>
          <button type="button" className="btn" onClick={() => setAct('heat')}>
            {say('store.logItsTemperature')}
          </button>
        </p>
      )}
      <div className="grid md:grid-cols-2 gap-x-10 gap-y-5">
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{say('store.whatItIs')}</h2>
          <dl>
            {load.facts.map((f) => (
              <div
                key={f.name}
                className="grid grid-cols-[130px_1fr] gap-2 border-b border-rule py-1"
              >
                <dt className="font-semibold">{f.name}</dt>
                <dd>{f.says}</dd>
              </div>
            ))}
          </dl>
        </section>
        <section id="test">
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{say('store.itsFigures')}</h2>
          <dl>
            {load.figures.map((f) => (
              <div key={f.name} className="border-b border-rule py-1">
                <dt className="font-semibold inline">{f.name}: </dt>
                <dd className="inline">
                  {f.says} <span className="q text-note">{f.from}</span>
                </dd>
              </div>
            ))}
          </dl>
          {load.test.length > 0 && (
            <ul className="q text-hint mt-1">
              {load.test.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
          {!load.gone && (
            <p className="flex flex-wrap gap-2 mt-2">
              <button type="button" className="btn" onClick={() => setAct('bucket')}>
                {say('store.bucketTest')}
              </button>
              <button type="button" className="btn" onClick={() => setAct('drying')}>
                {say('store.dryingTest')}
              </button>
              <button type="button" className="btn" onClick={() => setAct('squeeze')}>
                {say('lots.squeeze')}
              </button>
            </p>
          )}
        </section>
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">
            {say('store.whereItWent')}
          </h2>
          {load.went.length === 0 ? (
            <p className="q py-1">{say('store.intoNoBatchYet')}</p>
          ) : (
            <ul>
              {load.went.map((w, i) => (
                <li key={i} className="border-b border-rule py-1">
                  <Link prefetch={false} className="link" href={`/batch/${w.batch}`}>
                    {w.text}
                  </Link>
                </li>
              ))}
            </ul>
          )}
          {load.couldGo.length > 0 && (
            <p className="text-small mt-1">
              {load.answer === 'ask'
                ? say('store.onceAcceptedCouldGoInto')
                : say('store.couldGoInto')}
              :{' '}
              {load.couldGo.map((c, i) => (
                <span key={c.id}>
                  {i > 0 ? '; ' : ''}
                  <Link prefetch={false} className="underline" href={`/batch/${c.id}/build`}>
                    {c.text}
                  </Link>
                </span>
              ))}
              .
            </p>
          )}
          {load.gone && (
            <p className="font-semibold mt-1">{say('store.allGone2', { gone: load.gone })}</p>
          )}
        </section>
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">
            {say('store.whatHappenedToIt2')}
          </h2>
          {load.changes.length + load.heats.length === 0 ? (
            <p className="q py-1">{say('store.nothingLoggedSinceCame')}</p>
          ) : (
            <ul>
              {load.changes.map((c) => (
                <li key={c.id} className="border-b border-rule py-1">
                  {c.text}
                </li>
              ))}
              {load.heats.map((h) => (
                <li key={h.when} className="border-b border-rule py-1">
                  {h.when}, {h.by}: <b>{h.text}</b> {say('store.inTheStack')}
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
      {load.photos.length > 0 && (
        <ul className="flex flex-wrap gap-3">
          {load.photos.map((p) => (
            <li key={p}>
              <a href={`/api/photo/${p}`}>
                <img
                  src={`/api/photo/${p}?small`}
                  alt={say('store.photoOf', { name: load.name })}
                  className="border-[1.5px] border-ink max-h-[180px]"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
      {!load.gone && (
        <p className="flex flex-wrap gap-2 ruled pt-3">
          <button type="button" className="btn" onClick={() => setAct('change')}>
            {say('store.statePlaceAnswer2')}
          </button>
          <button type="button" className="btn" onClick={() => setAct('count')}>
            {say('store.countAgain2')}
          </button>
          <button type="button" className="btn" onClick={() => setAct('photo')}>
            {say('store.photo3')}
          </button>
          {!load.stack && (
            <button type="button" className="btn" onClick={() => setAct('heat')}>
              {say('store.logItsTemperature2')}
            </button>
          )}
          <button type="button" className="btn" onClick={() => setAct('gone')}>
            {say('store.allGone3')}
          </button>
          <button type="button" className="btn" onClick={() => setAct('strike')}>
            {say('store.loggedByMistake2')}
          </button>
        </p>
      )}
      <Sheet
        open={sheet !== null}
        onOpenChange={(o) => {
          if (!o) setAct(null);
        }}
        title={sheet ? `${sheet.title}: ${load.name}` : ''}
      >
        {sheet && (
          <DraftScope name={`load ${load.id} ${act}`}>
            <sheet.form
              load={load}
              by={by}
              unit={unit}
              mayAccept={mayAccept}
              onDone={() => setAct(null)}
            />
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}
