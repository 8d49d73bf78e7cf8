/** Runs once, before the server answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  await import('./messages/all');
  const { followRequestLanguages } = await import('./platform/request-language');
  followRequestLanguages();
  // The first page, too, is in the language of the site; a database that is not there yet is told of by the page.
  const { theSite } = await import('./db/context');
  await theSite().catch(() => undefined);
}
