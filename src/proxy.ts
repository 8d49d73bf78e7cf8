import { NextResponse, type NextRequest } from 'next/server';
import { env } from '@/platform/env';
import { refusalOf } from '@/platform/guard';
import { contentPolicy, createNonce, securityHeaders } from '@/platform/security-headers';

function refuse(request: NextRequest, status: number, message: string): Response {
  if (request.nextUrl.pathname.startsWith('/api/'))
    return Response.json(
      { ok: false, problem: message, problems: [{ path: '(request)', message }], answers: [] },
      { status },
    );
  return new Response(`${message}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });
}

/** Runs before every page, route and action: none is left out, so there is no matcher. */
export function proxy(request: NextRequest): Response {
  const refusal = refusalOf(request, env.hosts());
  const nonce = createNonce();
  const policy = contentPolicy(request.nextUrl.pathname, nonce, env.develops());
  // The page reads its number from here, as Next does for its own scripts.
  const asked = new Headers(request.headers);
  asked.set('x-nonce', nonce);
  asked.set('content-security-policy', policy);
  const answer = refusal
    ? refuse(request, refusal.status, refusal.message)
    : NextResponse.next({ request: { headers: asked } });
  const https = request.headers.get('x-forwarded-proto') === 'https';
  answer.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(securityHeaders(https)))
    answer.headers.set(name, value);
  return answer;
}
