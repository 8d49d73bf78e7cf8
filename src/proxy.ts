import { NextResponse, type NextRequest } from 'next/server';
import { say } from '@/messages/say';
import { entranceOfRequest, type Entrance } from '@/entry/server/guard';
import { isFormOfPage } from '@/platform/body';
import { env } from '@/platform/env';
import { log } from '@/platform/log';
import { refusalOf, refusalOfBody } from '@/platform/guard';
import { contentPolicy, createNonce, securityHeaders } from '@/platform/security-headers';

const isDoor = (request: NextRequest): boolean => request.nextUrl.pathname.startsWith('/api/');

function refuse(request: NextRequest, status: number, message: string): Response {
  if (isDoor(request))
    return Response.json(
      { ok: false, problem: message, problems: [{ path: '(request)', message }], answers: [] },
      { status },
    );
  return new Response(`${message}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });
}

/** Where whoever has to sign in wanted to go. */
function wanted({ method, nextUrl }: NextRequest): string {
  const there = `${nextUrl.pathname}${nextUrl.search}`;
  return method === 'GET' && there !== '/' ? `?next=${encodeURIComponent(there)}` : '';
}

/** The answer to whoever may not go where they want to; null: they may. */
function turnAway(request: NextRequest, entrance: Entrance): Response | null {
  if (entrance === 'pass') return null;
  // Whoever sees the answer as a page is led to one that helps.
  const isSeen =
    isFormOfPage(request.headers) || (['GET', 'HEAD'].includes(request.method) && !isDoor(request));
  if (entrance === 'refused' || (entrance === 'own-share' && !isSeen))
    return isSeen
      ? NextResponse.redirect(new URL('/refused', request.url), 303)
      : refuse(request, 403, say('people.notYourRole'));
  if (!isSeen) return refuse(request, 401, say('people.signInFirst'));
  const there = {
    'name-site': '/site',
    'own-share': '/share',
    'sign-in': `/sign-in${wanted(request)}`,
  }[entrance];
  return NextResponse.redirect(new URL(there, request.url), 303);
}

/** The same, asked of the database; one that does not answer lets nobody in, and is told as what it is. */
async function turnAwayOrNot(request: NextRequest): Promise<Response | null> {
  try {
    return turnAway(request, await entranceOfRequest(request.nextUrl.pathname));
  } catch (error) {
    log.error(
      { error: error instanceof Error ? error.message : error },
      'who asks could not be looked up',
    );
    return refuse(request, 503, say('app.theServerOrDatabaseDid'));
  }
}

/** Runs before every page, route and action: none is left out, so there is no matcher. */
export async function proxy(request: NextRequest): Promise<Response> {
  const refusal = refusalOf(request, env.hosts()) ?? refusalOfBody(request);
  const nonce = createNonce();
  const policy = contentPolicy(request.nextUrl.pathname, nonce, env.develops());
  // The page reads its number from here, as Next does for its own scripts.
  const asked = new Headers(request.headers);
  asked.set('x-nonce', nonce);
  asked.set('content-security-policy', policy);
  const answer = refusal
    ? refuse(request, refusal.status, refusal.message)
    : ((await turnAwayOrNot(request)) ?? NextResponse.next({ request: { headers: asked } }));
  const https = request.headers.get('x-forwarded-proto') === 'https';
  answer.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(securityHeaders(https)))
    answer.headers.set(name, value);
  return answer;
}
