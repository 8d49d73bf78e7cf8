import type { Action } from '@/core/access/roles';

/** What each address of the application asks of whoever opens it. A test holds this list against the routes there are. */
export const ROUTES = {
  '/': 'see-site',
  '/account': 'see-account',
  '/batch/[id]': 'see-site',
  '/batch/[id]/build': 'see-site',
  '/batch/[id]/file': 'export',
  '/batch/[id]/import': 'import',
  '/batch/[id]/paper': 'see-site',
  '/batch/[id]/places': 'see-site',
  '/batch/[id]/readings': 'export',
  '/batch/[id]/record': 'see-site',
  '/batch/[id]/record.pdf': 'see-site',
  '/batch/[id]/round': 'see-site',
  '/batch/[id]/rules': 'see-site',
  '/batch/[id]/sheet': 'see-site',
  '/bench': 'see-site',
  '/bring': 'import',
  '/calendar': 'see-site',
  '/calendar.ics': 'see-public',
  '/compare': 'see-site',
  '/crew': 'see-site',
  '/entries': 'see-site',
  '/find': 'see-site',
  '/fire': 'see-site',
  '/glossary': 'see-site',
  '/help': 'see-site',
  '/help/[place]': 'see-site',
  '/inspect/[token]': 'see-inspection',
  '/inspect/[token]/file/[id]': 'see-inspection',
  '/instruments': 'see-site',
  '/join/[token]': 'see-public',
  '/labels': 'see-site',
  '/labels.pdf': 'see-site',
  '/log-check': 'see-site',
  '/questions': 'see-site',
  '/lots': 'see-site',
  '/lots/[id]': 'see-site',
  '/lots/custody/[id]': 'see-site',
  '/lots/label/[id]': 'see-site',
  '/lots/season': 'see-site',
  '/lots/trace': 'see-site',
  '/lots/uses': 'see-site',
  '/map': 'see-site',
  '/methods': 'see-site',
  '/more': 'see-site',
  '/offline': 'see-site',
  '/open': 'see-site',
  '/p/[id]': 'see-public',
  '/paper': 'see-site',
  '/people': 'manage-people',
  '/phone': 'see-site',
  '/plan': 'see-site',
  '/records': 'see-site',
  '/records/inspect/[batches]': 'open-links',
  '/records/zip': 'export',
  '/refused': 'see-public',
  '/round': 'see-site',
  '/rules': 'see-site',
  '/share': 'see-own-share',
  '/sign-in': 'see-public',
  '/sign-in/code': 'see-public',
  '/site': 'name-site',
  '/start': 'see-site',
  '/start/sample': 'see-site',
  '/store': 'see-site',
  '/store/[id]': 'see-site',
  '/store/gate': 'see-site',
  '/store/loads': 'see-site',
  '/store/materials': 'see-site',
  '/store/suppliers': 'see-site',
  '/store/take-in': 'see-site',
  '/trust': 'see-public',
  '/waiting': 'see-site',
  '/who': 'see-account',
  '/api/account': 'see-account',
  '/api/account/passkey': 'see-account',
  '/api/ask/batches': 'see-site',
  '/api/ask/check': 'see-site',
  '/api/ask/entry': 'see-site',
  '/api/ask/readings': 'import',
  '/api/ask/rule': 'see-site',
  '/api/batch/[id]/[opened]': 'see-site',
  '/api/batch/[id]/log': 'see-site',
  '/api/bring': 'import',
  '/api/calendar': 'see-site',
  '/api/chain': 'see-site',
  '/api/field': 'see-site',
  '/api/health': 'see-public',
  '/api/join': 'see-public',
  '/api/log': 'see-site',
  '/api/lots/recall': 'export',
  '/api/lots/season': 'export',
  '/api/lots/site-file': 'export',
  '/api/offline': 'see-site',
  '/api/people': 'manage-people',
  '/api/photo': 'see-site',
  '/api/photo/[sha]': 'see-site',
  '/api/plan/effects': 'see-site',
  '/api/ready': 'see-public',
  '/api/site': 'see-account',
  '/api/site/name': 'name-site',
  '/api/sign-in': 'see-public',
  '/api/sign-in/code': 'see-public',
  '/api/sign-in/passkey': 'see-public',
  '/api/sign-out': 'see-public',
  '/api/trail': 'export',
  '/api/who': 'see-account',
} as const satisfies Readonly<Record<string, Action>>;

/** Files that come with the application and say nothing of any site. */
const STATIC = /^\/(_next\/|help\/[^/]+\.png$|[^/]+\.(html|js|png|svg|webmanifest|txt|ico)$)/;

type Pattern = { readonly parts: readonly string[]; readonly action: Action };
const isOpen = (part: string): boolean => part.startsWith('[');
/** Those with fewer open parts first: a name stands before what takes any name. */
const PATTERNS: readonly Pattern[] = Object.entries(ROUTES)
  .map(([route, action]) => ({ parts: route.split('/'), action }))
  .sort((a, b) => a.parts.filter(isOpen).length - b.parts.filter(isOpen).length);

/** What an address asks of whoever opens it. One that is not known asks what a page of the site does: nobody learns from outside which there are. */
export function actionOfPath(pathname: string): Action {
  if (STATIC.test(pathname)) return 'see-public';
  const path = pathname.length > 1 ? pathname.replace(/\/$/, '') : pathname;
  const parts = path.split('/');
  const found = PATTERNS.find(
    (p) =>
      p.parts.length === parts.length &&
      p.parts.every((part, i) => (isOpen(part) ? parts[i] !== '' : part === parts[i])),
  );
  return found?.action ?? 'see-site';
}
