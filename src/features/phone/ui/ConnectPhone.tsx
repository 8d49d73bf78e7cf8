'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { PLACES } from '@/core/words/places';
import type { PhoneAddress, Reach } from '../reach';

const reachText = (reach: Reach): string => {
  switch (reach.code) {
    case 'REACHED':
      return say('phone.answersOverHttps');
    case 'UNTRUSTED':
      return say('phone.certificateNotTrusted');
    case 'OTHER':
      return say('phone.somethingElseAnswers', { status: String(reach.status) });
    case 'NO_ANSWER':
      return say('phone.noAnswer');
  }
};

/** Whether phones reach this server, what is missing, and the code to open it by. */
export function ConnectPhone({ addresses }: { addresses: readonly PhoneAddress[] }) {
  const ready = addresses.filter((a) => a.reach.code === 'REACHED');
  return (
    <div className="px-5 max-sm:px-4 py-4 max-w-[860px] flex flex-col gap-5">
      <header>
        <h1>{PLACES.phone.name}</h1>
        <p className="mt-1" data-testid="phones">
          {ready.length > 0 ? say('phone.phonesCanConnect') : say('phone.phonesCannotConnectYet')}
        </p>
      </header>
      {ready.map((a) => (
        <Code key={a.address} a={a} />
      ))}
      {addresses.some((a) => a.reach.code !== 'REACHED') && (
        <Checked addresses={addresses.filter((a) => a.reach.code !== 'REACHED')} />
      )}
      {ready.length === 0 && <Steps named={addresses.length > 0} />}
    </div>
  );
}

const Code = ({ a }: { a: PhoneAddress }) => (
  <section aria-label={a.address} className="ruled pt-3 flex flex-wrap gap-6 items-start">
    <svg
      viewBox={`0 0 ${a.code.side} ${a.code.side}`}
      width="240"
      height="240"
      role="img"
      aria-label={say('phone.qrCodeFor', { address: a.address })}
      shapeRendering="crispEdges"
    >
      <rect width={a.code.side} height={a.code.side} fill="#fff" stroke="none" />
      <path d={a.code.path} fill="#000" />
    </svg>
    <div className="flex-1 min-w-[240px] flex flex-col gap-2">
      <p className="disp font-bold text-lead break-all">{a.address}</p>
      <ol className="list-decimal pl-5 flex flex-col gap-1.5">
        {a.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </div>
  </section>
);

const Checked = ({ addresses }: { addresses: readonly PhoneAddress[] }) => (
  <section aria-labelledby="checked" className="ruled pt-2">
    <h2 id="checked" className="!text-lead">
      {say('phone.checkedJustNow')}
    </h2>
    <ul>
      {addresses.map((a) => (
        <li key={a.address} className="border-b border-rule py-1.5">
          <b className="font-[650] break-all">{a.address}</b>: {reachText(a.reach)}
        </li>
      ))}
    </ul>
  </section>
);

function Steps({ named }: { named: boolean }) {
  const router = useRouter();
  return (
    <section aria-labelledby="steps" className="ruled pt-2 flex flex-col gap-2">
      <h2 id="steps" className="!text-lead">
        {say('phone.whatIsMissing')}
      </h2>
      <ol className="list-decimal pl-5 flex flex-col gap-3">
        <li>
          {say('phone.chooseAName')} {named && <b>{say('phone.done')}</b>}
        </li>
        <li>
          {say('phone.webServerInFront')}
          <pre
            className="text-small bg-sheet border border-rule p-2 mt-1 overflow-x-auto"
            tabIndex={0}
          >
            {'compost.example {\n  reverse_proxy 127.0.0.1:4173\n}'}
          </pre>
        </li>
        <li>
          {say('phone.startWithTheName')}
          <pre
            className="text-small bg-sheet border border-rule p-2 mt-1 overflow-x-auto"
            tabIndex={0}
          >
            ZEALOUS_HOSTS=compost.example ./zealous start
          </pre>
        </li>
      </ol>
      <p className="hint">{say('phone.whyHttps')}</p>
      <p>
        <button type="button" className="btn" onClick={() => router.refresh()}>
          {say('phone.checkAgain')}
        </button>
      </p>
    </section>
  );
}
