/** Runs once, before the server answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  await import('./messages/all');
  const { followRequestSpeech } = await import('./platform/request-speech');
  followRequestSpeech();
  const { followRequests } = await import('./platform/current-request');
  followRequests();
  // The first page, too, is in the language and the units of the site; a database that is not there yet is told of by the page.
  const { speakAsSite } = await import('./db/context');
  await speakAsSite().catch(() => undefined);
  if (process.env.NODE_ENV === 'production') {
    const { checkEveryDay } = await import('./db/daily-check');
    checkEveryDay();
  }
}
