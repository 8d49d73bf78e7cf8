import { NextResponse, type NextRequest } from 'next/server';
import { env } from '@/platform/env';
import { refusalOf } from '@/platform/guard';

/** Runs before every page, route and action: none is left out, so there is no matcher. */
export function proxy(request: NextRequest): Response {
  const refusal = refusalOf(request, env.hosts());
  if (!refusal) return NextResponse.next();
  const { status, message } = refusal;
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
