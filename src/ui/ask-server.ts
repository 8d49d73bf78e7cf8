/**
 * Asks the server what a form wants to know and nothing is saved of.
 * @throws Error where the server does not answer, or not with what was asked
 */
export async function askServer<T>(path: `/api/ask/${string}`, question: object = {}): Promise<T> {
  const answer = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(question),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return (await answer.json()) as T;
}
