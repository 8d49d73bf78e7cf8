import { AsyncLocalStorage } from 'node:async_hooks';
import { ACCESS, NO_ACCESS, type Access } from '@/db/access';
import type { MemberRole } from '@/core/log/entered-by';
import type { Site } from '@/db/repositories/site';

const STORE = Symbol.for('zealous-heap.current-request');

/** From now on every call of this test is answered as if this were who asks. */
export function actAs(access: Access): void {
  const all = globalThis as { [STORE]?: AsyncLocalStorage<unknown> };
  const store = (all[STORE] ??= new AsyncLocalStorage());
  const request = {
    ...{ address: '', host: '', cookie: '', site: access.site?.id ?? '' },
    known: new Map([[ACCESS, Promise.resolve(access)]]),
  };
  // What runs for a site of its own, or within a request, says so itself.
  const own = AsyncLocalStorage.prototype.getStore;
  store.getStore = () => own.call(store) ?? request;
}

/** Somebody of a role on a site, who has signed in. */
export const memberAccess = (site: Site, role: MemberRole, name = 'Mo'): Access => ({
  ...NO_ACCESS,
  ...{ role, site, memberships: [{ site: site.id, role, partner: null }] },
  person: { id: `person-${name.toLowerCase()}`, name, role, partner: null },
});
