/** Runs once, before the server answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  await import('./messages/all');
  const { followRequestSpeech } = await import('./platform/request-speech');
  followRequestSpeech();
  const { followRequestAddress } = await import('./platform/request-address');
  followRequestAddress();
  // The first page, too, is in the language and the units of the site; a database that is not there yet is told of by the page.
  const { theSite } = await import('./db/context');
  await theSite().catch(() => undefined);
  if (process.env.NODE_ENV === 'production') {
    const { checkEveryDay } = await import('./db/daily-check');
    checkEveryDay();
  }
}
