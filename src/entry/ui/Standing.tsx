'use client';
import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { Position } from '@/core/log/shapes';
import { movedBorders, rowOf } from '@/core/heap/row';
import { listText } from '@/core/quantity/format';
import { positionText } from '@/core/words/position';
import { Choices } from '@/ui/Choices';
import { ConfirmBox } from '@/ui/ConfirmBox';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import type { PlacedHeap } from '../placed';
import { submitEntry, type HeapRef } from './useEntry';

type Draft = {
  readonly kind: 'bay' | 'row';
  readonly bay: string;
  readonly row: string;
  readonly from: string;
  readonly to: string;
};

const metres = (text: string): number => typedQuantity('length', text) ?? NaN;
const draftOf = (p: Position | null): Draft => ({
  kind: p && 'row' in p ? 'row' : 'bay',
  bay: p && 'bay' in p ? p.bay : '',
  row: p && 'row' in p ? p.row : '',
  from: p && 'row' in p ? shownQuantity('length', p.fromM) : '',
  to: p && 'row' in p ? shownQuantity('length', p.toM) : '',
});

/** Other batches that stand in a bay. */
const standingIn = (placed: readonly PlacedHeap[], id: string, bay: string): string[] =>
  placed
    .filter(
      (h) =>
        h.id !== id &&
        h.position !== null &&
        'bay' in h.position &&
        bay.trim() !== '' &&
        h.position.bay.trim().toLowerCase() === bay.trim().toLowerCase(),
    )
    .map((h) => h.name);

/** Where a heap stands, as it is being typed: the position that it makes, what it does to its neighbours, or what is wrong. */
export function useStanding(heap: HeapRef, placed: readonly PlacedHeap[]) {
  const was = placed.find((h) => h.id === heap.id)?.position ?? null;
  const [d, setD] = useTyped<Draft>('standing', draftOf(heap.to ?? was));
  const [from, to] = [metres(d.from), metres(d.to)];
  const problem =
    d.kind === 'bay'
      ? null
      : d.row.trim() === ''
        ? say('entry.nameTheWindrow')
        : !(from >= 0) || !(to >= 0)
          ? say('entry.typeWhereStartsEndsIn')
          : to <= from
            ? say('entry.itMustEndAfterStarts')
            : null;
  const position: Position | null =
    problem !== null
      ? null
      : d.kind === 'row'
        ? { row: d.row.trim(), fromM: from, toM: to }
        : d.bay.trim() === ''
          ? null
          : { bay: d.bay.trim() };
  const inBay = d.kind === 'bay' ? standingIn(placed, heap.id, d.bay) : [];
  const [shared, setShared] = useState('');
  const changed = position !== null && JSON.stringify(position) !== JSON.stringify(was);
  const effect =
    position && 'row' in position && was && 'row' in was && was.row === position.row
      ? movedBorders(placed, heap.id, position)
      : {
          moved: [],
          overlaps:
            position && 'row' in position
              ? rowOf(placed, position.row)
                  .filter(
                    (h) => h.id !== heap.id && h.fromM < position.toM && h.toM > position.fromM,
                  )
                  .map((h) => h.name)
              : [],
        };
  /** Writes the new position, and those of the neighbours whose border it moved. */
  const keep = async (
    by: string,
    at: string | null,
  ): Promise<readonly { path: string; message: string }[]> => {
    if (!changed) return [];
    for (const h of [{ id: heap.id, name: heap.name, position }, ...effect.moved]) {
      const kept = await submitEntry(
        {
          id: v7(),
          batch: h.id,
          kind: 'position',
          at,
          by,
          data: {
            position: h.position,
            ...(h.id === heap.id
              ? {}
              : { words: say('entry.borderWithMoved', { name: heap.name }) }),
          },
        },
        h.name,
        'position',
      );
      if (!kept.ok) return kept.problems;
    }
    return [];
  };
  return {
    d,
    /** Who stands in that bay already, where this one did not stand there before. */
    occupants: changed ? inBay : [],
    shared: shared === d.bay,
    setShared: (is: boolean): void => setShared(is ? d.bay : ''),
    /** What is to be said before it is saved; null: nothing. */
    missing:
      changed && inBay.length > 0 && shared !== d.bay ? say('entry.sayTheyShareTheBay') : null,
    set: (change: Partial<Draft>) => setD((x) => ({ ...x, ...change })),
    problem,
    position,
    changed,
    effect,
    keep,
    was,
  };
}
export type StandingHandle = ReturnType<typeof useStanding>;

export function StandingFields({
  standing,
  onlyRow = false,
}: {
  standing: StandingHandle;
  onlyRow?: boolean;
}) {
  const { d, set, problem, effect, changed, occupants } = standing;
  return (
    <>
      {!onlyRow && (
        <Choices
          label={say('entry.location')}
          value={d.kind}
          onChange={(kind) => {
            if (kind) set({ kind });
          }}
          options={[
            { value: 'bay', label: say('entry.inBayOrBin') },
            {
              value: 'row',
              label: say('entry.inASharedWindrow'),
              hint: say('entry.endEndWithOthers'),
            },
          ]}
        />
      )}
      {d.kind === 'bay' ? (
        <Field
          label={say('entry.bay')}
          value={d.bay}
          maxLength={40}
          onChange={(e) => set({ bay: e.target.value })}
        />
      ) : (
        <div className="grid grid-cols-[1fr_96px_96px] gap-3">
          <Field
            label={say('entry.windrow')}
            value={d.row}
            maxLength={40}
            onChange={(e) => set({ row: e.target.value })}
          />
          <Field
            label={say('entry.from2')}
            unit={signOf('length')}
            inputMode="decimal"
            value={d.from}
            onChange={(e) => set({ from: e.target.value })}
          />
          <Field
            label={say('entry.to')}
            unit={signOf('length')}
            inputMode="decimal"
            value={d.to}
            onChange={(e) => set({ to: e.target.value })}
          />
        </div>
      )}
      {d.kind === 'row' && problem && (d.row || d.from || d.to) && (
        <p role="alert" className="marked font-semibold">
          {problem}
        </p>
      )}
      {occupants.length > 0 && (
        <ConfirmBox
          legend={say('entry.location')}
          text={say('entry.bayIsTaken', { bay: d.bay.trim(), names: listText(occupants) })}
          confirm={say('entry.theyShareTheBay')}
          checked={standing.shared}
          onChange={standing.setShared}
          testId="bay-taken"
        />
      )}
      {changed &&
        effect.moved.map((m) => (
          <p key={m.id} className="hint">
            {say('entry.theBorderMovesWith', { name: m.name, position: positionText(m.position) })}
          </p>
        ))}
      {changed &&
        effect.overlaps.map((name) => (
          <p key={name} role="alert" className="marked font-semibold">
            {say('entry.itWouldOverlapCheckMarkers', { name })}
          </p>
        ))}
    </>
  );
}
