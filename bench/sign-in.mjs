/** Signs in as the manager of a made-up site, on a server that lets its people be picked. @returns the cookie of the session */
export async function signIn(base) {
  const answer = await fetch(`${base}/api/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ person: 'demo-mo' }),
  });
  const [cookie] = answer.headers.getSetCookie();
  if (!cookie) throw new Error(`${base} lets nobody in: is it started with ZEALOUS_DEMO=1?`);
  return cookie.split(';')[0];
}
