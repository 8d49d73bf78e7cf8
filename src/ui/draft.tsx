'use client';
import { REGION_OF } from '@/messages/languages';
import { currentLanguage, currentUnits, say } from '@/messages/say';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type Dispatch,
  type ReactNode,
  type SetStateAction,
} from 'react';
import { valueAt } from '@/core/quantity/present';
import { unitsCode, unitsOfCode } from '@/core/units/units';
import { keepUnitsOf } from './draft-units';

/**
 * What was typed into a form and not saved, kept on this device: Back, Esc and a reload lose nothing. A form inside a
 * {@link DraftScope} holds its fields with {@link useTyped} instead of useState.
 */
type Held = {
  readonly at: number;
  readonly fields: Readonly<Record<string, unknown>>;
  /** The units that it was typed in; absent: in those of the moment, before they were kept. */
  readonly units?: string;
};

const keyOf = (name: string): string => `zh_draft:${name}`;
/** A draft older than this is no longer offered, ms. */
const KEPT_MS = 14 * 24 * 3_600_000;

/** A draft as it is read in the units of the moment. */
function inUnitsOfNow(held: Held): Held {
  const was = unitsOfCode(held.units);
  const isOther = was !== null && was.system !== currentUnits().system;
  return isOther ? { ...held, fields: keepUnitsOf(held.fields, was) } : held;
}

function readHeld(name: string): Held | null {
  try {
    const held = JSON.parse(localStorage.getItem(keyOf(name)) ?? 'null') as Held | null;
    return held && Date.now() - held.at < KEPT_MS && Object.keys(held.fields).length > 0
      ? inUnitsOfNow(held)
      : null;
  } catch {
    return null;
  }
}

function writeHeld(name: string, fields: Readonly<Record<string, unknown>>): void {
  try {
    if (Object.keys(fields).length === 0) localStorage.removeItem(keyOf(name));
    else
      localStorage.setItem(
        keyOf(name),
        JSON.stringify({
          ...{ at: Date.now(), fields, units: unitsCode(currentUnits()) },
        } satisfies Held),
      );
  } catch {
    // A full or closed store takes nothing: the form still works.
  }
}

/** What each open form found when it was opened; looked up once, so that typing does not change it. */
const found = new Map<string, Held | null>();
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
function foundFor(name: string): Held | null {
  if (!found.has(name)) found.set(name, readHeld(name));
  return valueAt(found, name);
}
function discard(name: string): void {
  writeHeld(name, {});
  found.set(name, null);
  for (const listener of listeners) listener();
}

type Scope = {
  readonly held: Held | null;
  put(field: string, value: unknown, changed: boolean): void;
  clear(): void;
};
const DraftContext = createContext<Scope | null>(null);

/** Weekday and clock as this device shows them. */
const clockOf = (at: number): string =>
  new Intl.DateTimeFormat(REGION_OF[currentLanguage()], {
    weekday: 'short',
    hour: 'numeric',
    minute: '2-digit',
  }).format(at);

/** @param name which form of which thing: a draft is offered again under it */
export function DraftScope({ name, children }: { name: string; children: ReactNode }) {
  const held = useSyncExternalStore(
    subscribe,
    () => foundFor(name),
    () => null,
  );
  useEffect(
    () => () => {
      found.delete(name);
    },
    [name],
  );
  return (
    <DraftFields key={held ? `${name} ${held.at}` : name} name={name} held={held}>
      {held && (
        <p
          role="status"
          className="text-small border-l-[4px] border-ink pl-2.5 flex flex-wrap items-center gap-x-3"
          data-testid="draft"
        >
          <span>{say('controls.youTypedThisDidNot', { at: clockOf(held.at) })}</span>
          <button type="button" className="link min-h-target" onClick={() => discard(name)}>
            {say('controls.startOver')}
          </button>
        </p>
      )}
      {children}
    </DraftFields>
  );
}

function DraftFields({
  name,
  held,
  children,
}: {
  name: string;
  held: Held | null;
  children: ReactNode;
}) {
  const fields = useRef<Record<string, unknown>>({ ...held?.fields });
  const scope = useMemo<Scope>(
    () => ({
      held,
      put(field, value, changed) {
        const { [field]: _before, ...others } = fields.current;
        fields.current = changed ? { ...others, [field]: value } : others;
        writeHeld(name, fields.current);
      },
      clear() {
        fields.current = {};
        writeHeld(name, {});
        found.set(name, null);
      },
    }),
    [name, held],
  );
  return <DraftContext value={scope}>{children}</DraftContext>;
}

/** As useState, and kept as a draft while it differs from how the form opens. */
export function useTyped<T>(field: string, initial: T): [T, Dispatch<SetStateAction<T>>] {
  const scope = useContext(DraftContext);
  const [first] = useState(initial);
  const [value, setValue] = useState<T>(() =>
    scope?.held && field in scope.held.fields ? (scope.held.fields[field] as T) : initial,
  );
  const touched = useRef(false);
  useEffect(() => {
    if (!touched.current) {
      touched.current = true;
      return;
    }
    scope?.put(field, value, JSON.stringify(value) !== JSON.stringify(first));
  }, [scope, field, value, first]);
  return [value, setValue];
}

/** The same for a form of many fields, held as one value: each is kept by its own name while it differs from how it opened. */
export function useTypedFields<T extends object>(
  initial: T,
): [fields: T, set: (change: Partial<T>) => void] {
  const scope = useContext(DraftContext);
  const [first] = useState(initial);
  const [fields, setFields] = useState<T>(() => {
    const held = Object.entries(scope?.held?.fields ?? {}).filter(([name]) => name in initial);
    return { ...initial, ...Object.fromEntries(held) };
  });
  const set = useCallback(
    (change: Partial<T>) => {
      setFields((before) => ({ ...before, ...change }));
      for (const [name, value] of Object.entries(change))
        scope?.put(name, value, JSON.stringify(value) !== JSON.stringify(first[name as keyof T]));
    },
    [scope, first],
  );
  return [fields, set];
}

/** Forgets the draft of the form: it was saved. */
export function useDraftSaved(): () => void {
  const scope = useContext(DraftContext);
  return useCallback(() => scope?.clear(), [scope]);
}
