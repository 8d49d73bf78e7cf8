import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { volumeText } from '@/core/quantity/format';
import type { MethodTemplate } from '@/core/log/shapes';

/** Friendly names for heaps, one for each letter: birds. */
const BIRDS = [
  'Avocet',
  'Bittern',
  'Curlew',
  'Dunnock',
  'Egret',
  'Finch',
  'Goshawk',
  'Heron',
  'Ibis',
  'Jackdaw',
  'Knot',
  'Lapwing',
  'Mallard',
  'Nightjar',
  'Osprey',
  'Plover',
  'Quail',
  'Redstart',
  'Siskin',
  'Teal',
  'Upupa',
  'Vireo',
  'Wagtail',
  'Xenops',
  'Yaffle',
  'Zitting',
] as const;

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
      if (!codes.has(code))
        return { code, name: lap === 1 ? bird : `${bird} ${lap}`, bay: String(bay) };
    }
  }
}

/** A heap that a new one may be opened like. */
export type EarlierHeap = {
  readonly id: string;
  readonly name: string;
  readonly template: MethodTemplate;
  readonly volumeM3: number | null;
  readonly shape: string | null;
  readonly coreDepthM: number | null;
  readonly inputs: readonly string[];
  readonly rules: readonly string[];
  readonly says: string;
};

/** Heaps that a new one may be opened like, the latest first. */
export const earlierHeaps = (board: readonly BatchSnapshot[]): EarlierHeap[] =>
  [...board]
    .sort((a, b) => b.openedAt - a.openedAt)
    .slice(0, 40)
    .map((d) => ({
      id: d.id,
      name: d.name ?? d.code,
      template: d.situation.template,
      volumeM3: d.situation.builtM3,
      shape: d.field.shape,
      coreDepthM: d.field.coreDepthM,
      inputs: d.situation.inputs ?? [],
      rules: d.rules.map((r) => r.rule),
      says: [
        libraryText(d.situation.template.name).toLowerCase(),
        d.situation.builtM3 === null ? '' : volumeText(d.situation.builtM3),
        d.rules[0]?.provenAt ? say('open.met') : '',
      ]
        .filter(Boolean)
        .join(', '),
    }));
