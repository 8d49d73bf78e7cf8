'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { METHODS, type Method } from '@/core/evidence/types';
import { remember } from '@/ui/remember';
import {
  NO_FILTER,
  ORDERS,
  queryOf,
  SHOWS,
  type YardOrder,
  type Show,
  type YardFilter,
} from '../filter';

const SHOW_WORDS: Readonly<Record<Show, () => string>> = {
  all: () => say('yard.showAll'),
  attention: () => say('yard.showAttention'),
  unread: () => say('yard.showUnread'),
  building: () => say('yard.showBuilding'),
  heating: () => say('yard.showHeating'),
  met: () => say('yard.showMet'),
  curing: () => say('yard.showCuring'),
};
const ORDER_WORDS: Readonly<Record<YardOrder, () => string>> = {
  place: () => say('yard.orderPlace'),
  urgency: () => say('yard.orderUrgency'),
  youngest: () => say('yard.orderYoungest'),
  oldest: () => say('yard.orderOldest'),
  'unread-longest': () => say('yard.orderUnread'),
};
const METHOD_WORDS: Readonly<Record<Method, () => string>> = {
  turned: () => say('yard.methodTurned'),
  static: () => say('yard.methodStatic'),
  vessel: () => say('yard.methodVessel'),
};

const Chosen = ({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) => (
  <label className="flex items-center gap-1.5 text-small">
    <span className="q">{label}</span>
    <select
      className="border-[1.3px] border-ink rounded-[3px] bg-sheet px-1 min-h-[34px] pointer-coarse:min-h-target"
      value={value}
      onChange={(e) => onChange(e.target.value)}
    >
      {children}
    </select>
  </label>
);

/** What is chosen from a list. */
const Selects = ({
  filter,
  choose,
}: {
  filter: YardFilter;
  choose: (change: Partial<YardFilter>) => void;
}) => (
  <>
    <Chosen
      label={say('yard.show')}
      value={filter.show}
      onChange={(v) => choose({ show: SHOWS.find((x) => x === v) ?? NO_FILTER.show })}
    >
      {SHOWS.map((x) => (
        <option key={x} value={x}>
          {SHOW_WORDS[x]()}
        </option>
      ))}
    </Chosen>
    <Chosen
      label={say('yard.order')}
      value={filter.order}
      onChange={(v) => choose({ order: ORDERS.find((x) => x === v) ?? NO_FILTER.order })}
    >
      {ORDERS.map((x) => (
        <option key={x} value={x}>
          {ORDER_WORDS[x]()}
        </option>
      ))}
    </Chosen>
    <Chosen
      label={say('yard.method')}
      value={filter.method ?? ''}
      onChange={(v) => choose({ method: METHODS.find((x) => x === v) ?? null })}
    >
      <option value="">{say('yard.anyMethod')}</option>
      {METHODS.map((x) => (
        <option key={x} value={x}>
          {METHOD_WORDS[x]()}
        </option>
      ))}
    </Chosen>
  </>
);

/** Which batches are shown, and in which order. It sticks on this device, and its address can be handed on. */
export function FilterBar({
  filter,
  shown,
  of,
}: {
  filter: YardFilter;
  shown: number;
  of: number;
}) {
  const router = useRouter();
  const [place, setPlace] = useState(filter.place);
  const choose = (change: Partial<YardFilter>): void => {
    const query = queryOf({ ...filter, place: place.trim(), ...change });
    remember('zh_yard', query);
    router.push(query === '' ? '/' : `/?${query}`, { scroll: false });
    router.refresh();
  };
  const isFiltered = queryOf(filter) !== '';
  return (
    <form
      className="flex flex-wrap gap-x-4 gap-y-1.5 items-center px-3.5 py-2"
      aria-label={say('round.whichBatches')}
      onSubmit={(e) => {
        e.preventDefault();
        choose({});
      }}
    >
      <Selects filter={filter} choose={choose} />
      <label className="flex items-center gap-1.5 text-small">
        <span className="q">{say('yard.placeIs')}</span>
        <input
          className="border-[1.3px] border-ink rounded-[3px] bg-sheet px-2 w-[110px] min-h-[34px] pointer-coarse:min-h-target"
          value={place}
          maxLength={40}
          onChange={(e) => setPlace(e.target.value)}
          onBlur={() => place.trim() !== filter.place && choose({})}
        />
      </label>
      {isFiltered && (
        <p className="text-small" role="status">
          <b>{say('yard.shownOf', { shown, of })}</b>{' '}
          <button
            type="button"
            className="link min-h-[34px] pointer-coarse:min-h-target"
            onClick={() => {
              setPlace('');
              choose(NO_FILTER);
            }}
          >
            {say('yard.showAllAgain')}
          </button>
        </p>
      )}
    </form>
  );
}
