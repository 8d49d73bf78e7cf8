'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { soonText } from '@/core/quantity/format';
import { routeWhyText } from '@/telling/status/route';
import { Field } from '@/ui/Field';
import { remember } from '@/ui/remember';
import type { OfflineRoundData, RoundHeap } from '../offline-round-data';
import { startWalk, type RoundWalk } from '../round-walk';
import { ConfirmSwitches } from './ConfirmSwitches';
import { OrderKeys, Route, useRouteOrder } from './Route';
import { serverNow, createId, type WalkHandle } from './useRoundWalk';

export const partOfDay = (data: OfflineRoundData): string => {
  const hour = Number(
    new Intl.DateTimeFormat('en-GB', {
      hour: '2-digit',
      hourCycle: 'h23',
      timeZone: data.site.timeZone,
    }).format(serverNow()),
  );
  return hour < 12
    ? say('round.morningTemperatures')
    : hour < 17
      ? say('round.afternoonTemperatures')
      : say('round.eveningTemperatures');
};

/** The thermometer that is taken unless another is chosen: the one that read last, else the first in service. */
function usualProbe({ heaps, instruments }: OfflineRoundData): string | null {
  const serving = instruments.filter((i) => i.out === undefined);
  const last = heaps.find((h) => serving.some((i) => i.name === h.probe))?.probe;
  return last ?? serving[0]?.name ?? null;
}

const RouteWhy = ({ ordering, manual }: { ordering: boolean; manual: boolean }) => (
  <p className="q text-body">
    {ordering && say('round.setOrderByHandStays')}
    {!ordering && (manual ? say('round.inOrderSetByHand') : routeWhyText())}
  </p>
);

/** Those that are due, or all. */
const WhichHeaps = ({
  all,
  due,
  inAll,
  onChange,
}: {
  all: boolean;
  due: number;
  inAll: number;
  onChange: (all: boolean) => void;
}) => (
  <ToggleGroup.Root
    type="single"
    value={all ? 'all' : 'due'}
    onValueChange={(v) => {
      if (v) onChange(v === 'all');
    }}
    aria-label={say('round.whichBatches')}
    className="grid grid-cols-2 gap-2"
  >
    <ToggleGroup.Item value="due" className="choice !min-h-glove">
      {say('round.due', { due })}
    </ToggleGroup.Item>
    <ToggleGroup.Item value="all" className="choice !min-h-glove">
      {say('round.all', { inAll })}
    </ToggleGroup.Item>
  </ToggleGroup.Root>
);

const NotInThisRound = ({ heaps }: { heaps: readonly RoundHeap[] }) => (
  <div className="text-small">
    <h2 className="!text-lead mb-1">{say('round.notInThisWalk')}</h2>
    <p className="q leading-[1.4]">
      {heaps.map((h, i) => (
        <span key={h.id}>
          {i > 0 ? ' · ' : ''}
          <b>{h.name}</b> {h.notNow}
        </span>
      ))}
    </p>
  </div>
);

type RoundInstrument = OfflineRoundData['instruments'][number];

function checkText(i: RoundInstrument): string {
  if (i.out) return say('round.outOfService', { out: i.out });
  if (i.checked === null) return say('round.neverChecked');
  return i.checkLate
    ? say('round.checkDueLast', { checked: i.checked })
    : say('round.checked', { checked: i.checked });
}

/** With which thermometer; one that is not registered is not noted. */
function ProbeChoice({
  instruments,
  probe,
  onProbe,
}: {
  instruments: readonly RoundInstrument[];
  probe: string | null;
  onProbe: (name: string | null) => void;
}) {
  const chosen = (name: string | null): string => (probe === name ? '!bg-ink !text-sheet' : '');
  return (
    <div>
      <span className="label" id="probe-label">
        {say('round.thermometer')}
      </span>
      {instruments.length === 0 ? (
        <p className="hint">
          {say('round.noneRegisteredSoNoneSaved')}{' '}
          <Link className="link" href="/instruments">
            {say('round.registerOne')}
          </Link>
        </p>
      ) : (
        <div role="group" aria-labelledby="probe-label" className="grid grid-cols-2 gap-2">
          {instruments.map((i) => (
            <button
              key={i.name}
              type="button"
              disabled={i.out !== undefined}
              aria-pressed={probe === i.name}
              onClick={() => onProbe(i.name)}
              className={`choice !min-h-[60px] flex-col ${chosen(i.name)} disabled:border-dashed`}
            >
              <span>
                {i.name} · °{i.unit}
              </span>
              <span className="text-note font-normal">{checkText(i)}</span>
            </button>
          ))}
          <button
            type="button"
            aria-pressed={probe === null}
            onClick={() => onProbe(null)}
            className={`choice !min-h-[60px] ${chosen(null)}`}
          >
            {say('round.anotherOneNotSaved')}
          </button>
        </div>
      )}
    </div>
  );
}

/** Who reads, and with what. */
function ReaderFields({
  instruments,
  probe,
  by,
  onProbe,
  onBy,
}: {
  instruments: readonly RoundInstrument[];
  probe: string | null;
  by: string;
  onProbe: (name: string | null) => void;
  onBy: (name: string) => void;
}) {
  return (
    <div className="px-4 sm:px-5 pt-1 lg:pt-4 pb-3 flex flex-col gap-3">
      <ProbeChoice instruments={instruments} probe={probe} onProbe={onProbe} />
      <Field
        label={say('round.whoTakesTheTemperatures')}
        value={by}
        onChange={(e) => {
          onBy(e.target.value);
          remember('zh_by', e.target.value);
        }}
        maxLength={60}
        autoComplete="name"
        hint={by.trim() === '' ? say('round.yourNameSavedWithReadings') : undefined}
      />
    </div>
  );
}

/** Begins the round; or says what it still takes. */
function StartKey({
  first,
  by,
  onStart,
}: {
  first: RoundHeap | undefined;
  by: string;
  onStart: () => void;
}) {
  const isNamed = by.trim() !== '';
  const label = first ? say('round.startWith', { name: first.name }) : say('round.nothingToRead');
  return (
    <div className="max-lg:sticky max-lg:bottom-0 bg-paper lg:bg-sheet max-lg:border-t-2 border-ink px-4 sm:px-5 py-3 max-lg:mt-auto">
      <button
        type="button"
        className="btn key w-full !min-h-[76px] !text-head"
        disabled={!first || !isNamed}
        onClick={onStart}
      >
        {first && !isNamed ? say('round.sayWhoTakesTemperatures') : label}
      </button>
    </div>
  );
}

/** What the round is, and which heaps it takes in. */
function Intro({
  data,
  handle,
  ordering,
  children,
}: {
  data: OfflineRoundData;
  handle: WalkHandle;
  ordering: boolean;
  children: React.ReactNode;
}) {
  const { openSince, id } = data.walk;
  const joined = openSince !== null && !handle.ended.includes(id);
  return (
    <div className="px-4 sm:px-5 pt-4 flex flex-col gap-3">
      <div className="flex justify-between items-start gap-3">
        <h1>{partOfDay(data)}</h1>
        <Link href="/" className="btn !min-h-choice sm:hidden">
          {say('round.batches')}
        </Link>
      </div>
      <RouteWhy ordering={ordering} manual={data.manualOrder} />
      {joined && (
        <p className="marked font-semibold">
          {say('round.somebodyStartedAtYouJoin', {
            openSince: soonText(data.site.timeZone, openSince, serverNow()),
          })}
        </p>
      )}
      {children}
    </div>
  );
}

/** Where a round starts: which heaps, in what order, with which thermometer. */
export function Start({
  handle,
  sheet: data,
  also,
  onStart,
}: {
  handle: WalkHandle;
  sheet: OfflineRoundData;
  /** What else is to be read on the way. */ also: React.ReactNode;
  onStart: (walk: RoundWalk) => void;
}) {
  const [all, setAll] = useState(data.heaps.every((h) => !h.due));
  const [by, setBy] = useState(data.by);
  const [probe, setProbe] = useState(() => usualProbe(data));
  const route = useRouteOrder(data, by, handle.refresh);
  const { heaps, ordering } = route;
  const chosen = ordering ? heaps : heaps.filter((h) => all || h.due);
  const notNow = heaps.filter((h) => !h.due);
  const largest = Math.max(...data.heaps.map((h) => h.picture.volume), 1);
  const begin = (): void => {
    const order = chosen.map((h) => h.id);
    const how = { order, probe, by: by.trim(), single: false, ended: handle.ended };
    onStart(startWalk(data, serverNow(), how, createId));
  };
  return (
    <div className="flex-1 flex flex-col w-full lg:grid lg:grid-cols-[minmax(0,1fr)_minmax(320px,392px)]">
      <div className="min-w-0">
        <Intro data={data} handle={handle} ordering={ordering}>
          {!ordering && notNow.length > 0 && notNow.length < heaps.length && (
            <WhichHeaps
              all={all}
              due={heaps.length - notNow.length}
              inAll={heaps.length}
              onChange={setAll}
            />
          )}
        </Intro>
        <Route heaps={chosen} largest={largest} route={route} />
        {also}
        <div className="px-4 sm:px-5 pt-3 pb-3 flex flex-col gap-3">
          <div className="flex gap-2 flex-wrap">
            <OrderKeys route={route} manual={data.manualOrder} />
          </div>
          {!ordering && !all && notNow.length > 0 && <NotInThisRound heaps={notNow} />}
        </div>
      </div>
      <aside
        className="max-lg:contents lg:bg-sheet lg:border-l-[1.6px] lg:border-ink lg:flex lg:flex-col"
        aria-label={say('round.whoReadsWithWhat')}
      >
        <ReaderFields
          {...{ instruments: data.instruments, probe, by, onProbe: setProbe, onBy: setBy }}
        />
        <ConfirmSwitches />
        {!ordering && <StartKey first={chosen[0]} by={by} onStart={begin} />}
      </aside>
    </div>
  );
}
