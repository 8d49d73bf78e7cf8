import { redirect } from 'next/navigation';
import { randomInt } from 'node:crypto';
import { OUT_IS_PRODUCT } from '@/core/log/lot-shapes';
import type { LotsGiven } from '../matter';

/** Takes something that went out, by chance, and asks for all that shared its lot. */
export function pickOutflow({ state }: LotsGiven): never {
  const outs = state.outs.filter((o) => OUT_IS_PRODUCT[o.data.how]);
  const out = outs[randomInt(Math.max(1, outs.length))];
  redirect(out ? `/lots/trace?from=${out.data.lot}&pick=${out.id}` : '/lots/trace?pick=none');
}
