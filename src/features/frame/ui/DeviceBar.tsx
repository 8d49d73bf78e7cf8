'use client';
import { REGION_OF } from '@/messages/languages';
import { currentLanguage, say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { Mark } from '@/charts/marks';
import { clockText, durationText } from '@/core/quantity/format';
import { notePageIsFresh, useKeptHours } from '@/ui/kept-page';
import { deviceClock, subscribeToOutbox, recallClock } from '@/outbox/store';
import { forgetPages, keepPages } from '@/outbox/keep-pages';
import { forgetRestore, witnessHead, type LogSeen } from '@/outbox/witness';
import { refreshKeptHeaps } from '@/outbox/kept-heaps';
import { useOutbox } from '@/outbox/useOutbox';
import { deviceUser, type OutboxItem } from '@/outbox/item';
import { waitsFor } from '@/outbox/whose';

/** Clocks that differ by more are told of. */
const CLOCK_OFF_MS = 120_000;
/** The page in hand goes first, keeping others for later after it. */
const AFTER_MS = 1000;
/** An entry that is not taken by then waits. */
const SLOW_MS = 4000;

/** What this device has not told the hub yet, and whether it can: one line over every page, or nothing. */
export function DeviceBar({
  site,
  madeAt,
  head,
  keep,
  whenOut,
}: {
  site: string;
  madeAt: number;
  /** What it says where nobody has signed in any more; the page brings it along. */
  whenOut: ReactNode;
  /** Where the log ended when the page was made. */ head: string;
  /** Pages to keep on this device for when there is no signal. */ keep: readonly string[];
}) {
  const router = useRouter();
  const refresh = useCallback(() => router.refresh(), [router]);
  const { items, online, signedOut } = useOutbox(refresh);
  const keptHours = useKeptHours();
  useFreshPage(madeAt, keptHours !== null, refresh);
  const [ahead, setAhead] = useState(0);
  useEffect(() => {
    const look = (): void => {
      void recallClock().then(
        () => setAhead(deviceClock.ahead()),
        () => undefined,
      );
    };
    look();
    return subscribeToOutbox(look);
  }, []);
  useEffect(() => {
    const timer = setTimeout(() => {
      registerWorker();
      keepPages('places', keep);
      keepHeaps();
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, [keep]);
  const [logSeen, readOfRestore] = useWitness(site, head);
  const out = items.filter((i) => i.state === 'waiting');
  const [held, refused] = [out.length, items.length - out.length];
  // With a signal an entry is gone in a moment: a line that comes and goes would move the keys under the finger.
  const [slow, setSlow] = useState(false);
  const any = held > 0;
  useEffect(() => {
    const timer = setTimeout(() => setSlow(any), any ? SLOW_MS : 0);
    return () => clearTimeout(timer);
  }, [any]);
  const waiting = slow || !online ? held : 0;
  const off = Math.abs(ahead) > CLOCK_OFF_MS;
  const isOld = online && keptHours !== null;
  if ([!online, isOld, waiting, refused, off, signedOut].every((x) => !x) && logSeen === 'as-seen')
    return null;
  return (
    <div role="status" className="device-bar print:hidden" data-testid="device-bar">
      <Mark name="flag" size={17} />
      {logSeen === 'other' && <b>{say('frame.otherLog')}</b>}
      {logSeen === 'restored' && (
        <span>
          <b>{say('frame.backupCameBack')}</b>{' '}
          <button type="button" className="bar-link" onClick={readOfRestore}>
            {say('frame.backupRead')}
          </button>
        </span>
      )}
      {signedOut && whenOut}
      {isOld && <b>{say('frame.oldPage', { age: durationText(keptHours) })}</b>}
      {!online && <NoSignal madeAt={madeAt} />}
      {waiting > 0 && (
        <span>
          {say('frame.entryEntriesWaitingSendAndwill', {
            waiting,
            online: howTheyGo(out, online),
          })}
        </span>
      )}
      {refused > 0 && <b>{say('frame.entryWasEntriesWereRefused', { refused })}</b>}
      {off && (
        <span>{say('frame.thisDevicesClockTimesCorrected', { ahead: clockText(ahead) })}</span>
      )}
      {waiting + refused > 0 && (
        <a href="/waiting" className="bar-link">
          {say('frame.seeItSeeThem', { waiting: waiting + refused })}
        </a>
      )}
    </div>
  );
}

const ASK_AGAIN_MS = 20_000;
/** Asks for the page until the server gives it, however long that takes: only then is the old one replaced. */
async function untilAnswered(isWanted: () => boolean): Promise<void> {
  while (isWanted()) {
    const isThere = await fetch(location.href, { cache: 'no-store' }).then(
      (response) => response.ok,
      () => false,
    );
    if (isThere) return;
    await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS));
  }
}

/** A page in view is asked for anew so often: what it says of times moves with them. */
const ANEW_EVERY_MS = 5 * 60_000;
/** One that was made so long ago is asked for as soon as somebody looks at it again. */
const ANEW_SEEN_MS = 2 * 60_000;

/**
 * Asks for the page anew: at once where it came out of the device's memory, when somebody comes back to it, and every few minutes
 * in view. What is typed stays.
 */
function useFreshPage(madeAt: number, isOld: boolean, refresh: () => void): void {
  const shown = useRef(madeAt);
  useEffect(() => {
    if (shown.current !== madeAt) notePageIsFresh();
    shown.current = madeAt;
  }, [madeAt]);
  useEffect(() => {
    if (!isOld) return undefined;
    let current = true;
    void untilAnswered(() => current).then(() => {
      if (current) refresh();
    });
    return () => {
      current = false;
    };
  }, [isOld, refresh]);
  useEffect(() => {
    const openedAt = Date.now();
    const askIf = (age: number): void => {
      if (document.visibilityState === 'visible' && Date.now() - openedAt > age) refresh();
    };
    const seen = (): void => askIf(ANEW_SEEN_MS);
    const timer = setInterval(() => askIf(0), ANEW_EVERY_MS);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [madeAt, refresh]);
}

/** Whether what waits goes by itself: without a signal it does not, and what somebody else logged waits for them. */
const howTheyGo = (waiting: readonly OutboxItem[], online: boolean): 'andWill' | 'other' =>
  online && waiting.every((i) => waitsFor(i.form, deviceUser()) === null) ? 'andWill' : 'other';

/** What this device makes of the log, asked once for each end of it; and what is done when somebody has read of a restore. */
function useWitness(site: string, head: string): readonly [LogSeen, () => void] {
  const [seen, setSeen] = useState<LogSeen>('as-seen');
  useEffect(() => {
    void witnessHead(site, head).then(setSeen, () => undefined);
  }, [site, head]);
  const readOfRestore = useCallback(() => {
    forgetRestore(site);
    setSeen('as-seen');
  }, [site]);
  return [seen, readOfRestore];
}

const NoSignal = ({ madeAt }: { madeAt: number }) => (
  <>
    <b>{say('frame.noSignal')}</b>
    <AsOf at={madeAt} />
  </>
);

/** When the page was made: without a signal it may be of yesterday. */
function AsOf({ at }: { at: number }) {
  return (
    <span suppressHydrationWarning>
      {say('frame.pageAsOf', {
        at: new Intl.DateTimeFormat(REGION_OF[currentLanguage()], {
          weekday: 'short',
          hour: 'numeric',
          minute: '2-digit',
        }).format(at),
      })}
    </span>
  );
}

/** The worker keeps pages for when there is no signal; browsers allow it on https and on this machine alone. */
function registerWorker(): void {
  if (process.env.NODE_ENV === 'production' && 'serviceWorker' in navigator)
    void navigator.serviceWorker
      .register('/sw.js', { scope: '/', updateViaCache: 'none' })
      .catch(() => undefined);
}

const HEAPS_KEPT_AT = 'zh_heaps_kept';
const KEEP_HEAPS_EVERY_MS = 5 * 60_000;
/** Keeps how the heaps stand, for when there is no signal. */
function keepHeaps(): void {
  const last = Number(localStorage.getItem(HEAPS_KEPT_AT) ?? 0);
  if (!navigator.onLine || Date.now() - last < KEEP_HEAPS_EVERY_MS) return;
  localStorage.setItem(HEAPS_KEPT_AT, String(Date.now()));
  // With no answer it is tried again with the next page.
  refreshKeptHeaps().catch(() => localStorage.removeItem(HEAPS_KEPT_AT));
}

/** What is kept on this device is kept anew with the next page: its words are those of another language. */
export function forgetKept(): void {
  forgetPages();
  localStorage.removeItem(HEAPS_KEPT_AT);
}
