'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { findMaterials } from '@/core/mix/find';
import { ROLE_MEANS, ROLE_WORDS } from '@/core/mix/words';
import { ROLES } from '@/core/log/store-shapes';
import { Sheet } from '@/ui/Sheet';
import type { BenchItem } from '../view';

/** Another material: what lies in the store first, then the whole library. */
export function Pick({
  open,
  onOpenChange,
  items,
  taken,
  onPick,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  items: readonly BenchItem[];
  taken: ReadonlySet<string>;
  onPick: (item: BenchItem) => void;
}) {
  const [find, setFind] = useState('');
  const shown = findMaterials(
    items.filter((i) => !taken.has(i.key)),
    find,
    (i) => ({ id: i.material, name: i.name }),
  );
  const group = (inStore: boolean) =>
    ROLES.flatMap((role) => {
      const list = shown.filter((i) => i.role === role && i.inStore === inStore);
      return list.length > 0 ? [{ role, list }] : [];
    });
  const line = (i: BenchItem) => (
    <li key={i.key}>
      <button
        type="button"
        className="w-full text-left min-h-target py-1 border-b border-rule flex justify-between gap-3 items-baseline cursor-pointer"
        onClick={() => {
          onPick(i);
          onOpenChange(false);
          setFind('');
        }}
      >
        <b className="font-[650]">{i.name}</b>
        <span className="text-note text-ink-2 text-right">
          {i.inStore
            ? i.says
            : i.stuff.cn
              ? `C:N ${Math.round(i.stuff.cn.usual)}`
              : say('bench.figuresNotKnown2')}
        </span>
      </button>
    </li>
  );
  const [stock, library] = [group(true), group(false)];
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={say('bench.whatGoesIn2')}>
      <input
        className="field"
        aria-label={say('bench.findAMaterial')}
        placeholder={say('bench.findStrawLitterPeelings')}
        value={find}
        onChange={(e) => setFind(e.target.value)}
      />
      {stock.length > 0 && (
        <section>
          <h3>{say('bench.inStock')}</h3>
          {stock.map(({ role, list }) => (
            <div key={role} className="mt-2">
              <p className="q text-note">
                {ROLE_WORDS[role].many}: {ROLE_MEANS[role]}
              </p>
              <ul>{list.map(line)}</ul>
            </div>
          ))}
        </section>
      )}
      {library.length > 0 && (
        <section>
          <h3>{say('bench.fromLibraryWithTableFigures')}</h3>
          {library.map(({ role, list }) => (
            <div key={role} className="mt-2">
              <p className="q text-note">
                {ROLE_WORDS[role].many}: {ROLE_MEANS[role]}
              </p>
              <ul>{list.map(line)}</ul>
            </div>
          ))}
        </section>
      )}
      {shown.length === 0 && <p>{say('bench.noMaterialHasNameAdd')}</p>}
    </Sheet>
  );
}
