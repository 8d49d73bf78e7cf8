import { AsyncLocalStorage } from 'node:async_hooks';
import { ACCESS, NO_ACCESS, type Access } from '@/db/access';
import type { MemberRole } from '@/core/log/entered-by';
import type { Site } from '@/db/repositories/site';

const STORE = Symbol.for('zealous-heap.current-request');

/** From now on every call of this test is answered as if this were who asks. */
export function actAs(access: Access): void {
  const all = globalThis as { [STORE]?: AsyncLocalStorage<unknown> };
  const request = {
    address: '',
    host: '',
    cookie: '',
    known: new Map([[ACCESS, Promise.resolve(access)]]),
  };
  (all[STORE] ??= new AsyncLocalStorage()).getStore = () => request;
}

/** Somebody of a role on a site, who has signed in. */
export const memberAccess = (site: Site, role: MemberRole, name = 'Mo'): Access => ({
  ...NO_ACCESS,
  ...{ role, site, memberships: [{ site: site.id, role, partner: null }] },
  person: { id: `person-${name.toLowerCase()}`, name, role, partner: null },
});
