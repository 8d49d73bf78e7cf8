'use client';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { STATE_WORDS } from '@/core/mix/words';
import { type LoadState } from '@/core/log/store-shapes';
import { DraftScope } from '@/ui/draft';
import { Sheet } from '@/ui/Sheet';
import type { LoadPage } from '../view';
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
  heat: { title: 'How hot is the stack?', form: HeatForm },
  bucket: { title: 'Bucket test', form: BucketForm },
  drying: { title: 'Drying test', form: DryingForm },
  squeeze: { title: 'Squeeze test', form: SqueezeForm },
  change: { title: 'State, place, answer', form: ChangeForm },
  count: { title: 'Count it again', form: CountForm },
  photo: { title: 'Photo', form: PhotoForm },
  gone: { title: 'It is gone', form: GoneForm },
  strike: { title: 'Logged wrongly', form: StrikeForm },
};

/** One load of the store: what it is, its figures and where they come from, what became of it. */
export function LoadScreen({ load, by, unit }: { load: LoadPage; by: string; unit: 'C' | 'F' }) {
  const [act, setAct] = useState<Act>(null);
  const sheet = act && FORMS[act];
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[1080px] flex flex-col gap-4">
      <p>
        <Link prefetch={false} className="link" href="/store">
          Store
        </Link>
      </p>
      <div>
        <h1>{load.name}</h1>
        <p className="q mt-1">
          {load.head}
          {load.risks ? `; may carry ${load.risks}` : ''}
        </p>
      </div>
      {load.caution && <p className="caution max-w-[720px]">{load.caution}</p>}
      {load.answer === 'ask' && !load.gone && (
        <p className="marked font-semibold w-fit">It is held until it is asked.</p>
      )}
      {load.ripe && (
        <p className="flex flex-wrap gap-3 items-center">
          <span className="font-semibold">{load.ripe.text}</span>
          <button type="button" className="btn" onClick={() => setAct('change')}>
            It is {STATE_WORDS[load.ripe.state as LoadState]} now
          </button>
        </p>
      )}
      {load.stack && (
        <p className="flex flex-wrap gap-3 items-center" data-testid="stack">
          <span className="max-w-[620px]">{load.stack}</span>
          <button type="button" className="btn" onClick={() => setAct('heat')}>
            Log its heat
          </button>
        </p>
      )}
      <div className="grid md:grid-cols-2 gap-x-10 gap-y-5">
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">What it is</h2>
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
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">Its figures</h2>
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
                Bucket test
              </button>
              <button type="button" className="btn" onClick={() => setAct('drying')}>
                Drying test
              </button>
              <button type="button" className="btn" onClick={() => setAct('squeeze')}>
                Squeeze
              </button>
            </p>
          )}
        </section>
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">Where it went</h2>
          {load.went.length === 0 ? (
            <p className="q py-1">Into no heap yet.</p>
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
                ? 'Once it is asked and taken in, it could go into'
                : 'Could go into'}
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
          {load.gone && <p className="font-semibold mt-1">It is gone: {load.gone}.</p>}
        </section>
        <section>
          <h2 className="!text-says border-b-[1.6px] border-ink pb-1">What became of it</h2>
          {load.changes.length + load.heats.length === 0 ? (
            <p className="q py-1">Nothing was noted since it came.</p>
          ) : (
            <ul>
              {load.changes.map((c) => (
                <li key={c.id} className="border-b border-rule py-1">
                  {c.text}
                </li>
              ))}
              {load.heats.map((h) => (
                <li key={h.when} className="border-b border-rule py-1">
                  {h.when}, {h.by}: <b>{h.text}</b> in the stack
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
                  alt={`Photo of ${load.name}`}
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
            State, place, answer…
          </button>
          <button type="button" className="btn" onClick={() => setAct('count')}>
            Count it again…
          </button>
          <button type="button" className="btn" onClick={() => setAct('photo')}>
            Photo…
          </button>
          {!load.stack && (
            <button type="button" className="btn" onClick={() => setAct('heat')}>
              Log its heat…
            </button>
          )}
          <button type="button" className="btn" onClick={() => setAct('gone')}>
            It is gone…
          </button>
          <button type="button" className="btn" onClick={() => setAct('strike')}>
            Logged wrongly…
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
            <sheet.form load={load} by={by} unit={unit} onDone={() => setAct(null)} />
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}
