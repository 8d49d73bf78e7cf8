/** What the server answers to a step of a passkey. */
type Answer<O> = {
  readonly ok: boolean;
  readonly problem?: string;
  readonly options?: O;
  readonly to?: string;
};

/** One step: asking for what is to be signed, or bringing it back signed. */
export async function callPasskey<O>(address: string, step: object): Promise<Answer<O>> {
  const answer = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(step),
  });
  return (await answer.json()) as Answer<O>;
}

/** Whether this browser can have passkeys here: they are bound to a name, and want https, or this machine itself. */
export const canHavePasskeys = (): boolean =>
  'PublicKeyCredential' in window && !/^[\d.]+$|^\[/.test(window.location.hostname);
