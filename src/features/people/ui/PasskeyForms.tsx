'use client';
import {
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { useState } from 'react';
import { Field } from '@/ui/Field';
import { useOnPage } from '@/ui/useOnPage';
import { ProblemNote } from './DoorPage';
import { callPasskey, canHavePasskeys } from './passkey-call';

/** What stands on the forms; the page's server says it. */
export type PasskeyLabels = {
  readonly button: string;
  readonly name: string;
  readonly password: string;
  /** Why there can be none here. */ readonly unfit: string;
  /** Why nothing came of it, where the device or the person broke it off. */ readonly broken: string;
};

/** Signing in by a passkey, beside the password; nothing where the browser can have none. */
export function SignInByPasskey({ next, labels }: { next: string; labels: PasskeyLabels }) {
  const [problem, setProblem] = useState<string | null>(null);
  const isOnPage = useOnPage();
  const at = '/api/sign-in/passkey';
  async function signIn(): Promise<void> {
    try {
      const asked = await callPasskey<PublicKeyCredentialRequestOptionsJSON>(at, { step: 'ask' });
      if (!asked.options) {
        setProblem(asked.problem ?? labels.broken);
        return;
      }
      const response = await startAuthentication({ optionsJSON: asked.options });
      const done = await callPasskey(at, { step: 'bring', response, next });
      if (done.to === undefined) setProblem(done.problem ?? labels.broken);
      else window.location.assign(done.to);
    } catch {
      setProblem(labels.broken);
    }
  }
  if (!isOnPage || !canHavePasskeys()) return null;
  return (
    <div className="ruled pt-4 flex flex-col gap-3">
      <ProblemNote text={problem} />
      <button type="button" className="btn w-fit" onClick={() => void signIn()}>
        {labels.button}
      </button>
    </div>
  );
}

/** A further passkey for one's own account. */
export function AddPasskey({ labels }: { labels: PasskeyLabels }) {
  const [problem, setProblem] = useState<string | null>(null);
  const isOnPage = useOnPage();
  const at = '/api/account/passkey';
  async function add(form: FormData): Promise<void> {
    try {
      const step = { step: 'ask', password: form.get('current') };
      const asked = await callPasskey<PublicKeyCredentialCreationOptionsJSON>(at, step);
      if (!asked.options) {
        setProblem(asked.problem ?? labels.broken);
        return;
      }
      const response = await startRegistration({ optionsJSON: asked.options });
      const done = await callPasskey(at, { step: 'bring', response, name: form.get('name') });
      if (done.to === undefined) setProblem(done.problem ?? labels.broken);
      else window.location.assign(done.to);
    } catch {
      setProblem(labels.broken);
    }
  }
  if (!isOnPage) return null;
  if (!canHavePasskeys()) return <p className="hint">{labels.unfit}</p>;
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void add(new FormData(e.currentTarget));
      }}
      className="flex flex-col gap-3"
    >
      <ProblemNote text={problem} />
      <Field label={labels.name} name="name" maxLength={40} autoComplete="off" />
      <Field
        label={labels.password}
        name="current"
        type="password"
        autoComplete="current-password"
        required
      />
      <button className="btn w-fit">{labels.button}</button>
    </form>
  );
}
