/** Friendly names for heaps, one for each letter: birds. */
const BIRDS = ['Avocet', 'Bittern', 'Curlew', 'Dunnock', 'Egret', 'Finch', 'Goshawk', 'Heron', 'Ibis', 'Jackdaw', 'Knot', 'Lapwing', 'Mallard', 'Nightjar', 'Osprey', 'Plover', 'Quail', 'Redstart', 'Siskin', 'Teal', 'Upupa', 'Vireo', 'Wagtail', 'Xenops', 'Yaffle', 'Zitting'] as const;

type Known = { readonly code: string; readonly bay: string | null; readonly state: string };

/** A code and name that no heap on the site has, and the first bay without a live heap. */
export function proposal(heaps: readonly Known[]): { code: string; name: string; bay: string } {
  const codes = new Set(heaps.map((h) => h.code.toUpperCase()));
  const taken = new Set(heaps.filter((h) => h.state !== 'released').map((h) => h.bay));
  let bay = 1;
  while (taken.has(String(bay))) bay += 1;
  for (let lap = 1; ; lap += 1) {
    for (const bird of BIRDS) {
      const code = lap === 1 ? bird[0]! : `${bird[0]}${lap}`;
      if (!codes.has(code)) return { code, name: lap === 1 ? bird : `${bird} ${lap}`, bay: String(bay) };
    }
  }
}
