/** Runs once, before the server answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  await import('./messages/all');
  const { followRequestLanguages } = await import('./platform/request-language');
  followRequestLanguages();
}
