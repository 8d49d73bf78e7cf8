import { calendarDays, zoneOf } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';
import type { Course, ReheatTest } from '@/core/advice/course';
import type { StageCode } from '@/core/advice/stage';
import type { CourseStatus, StageStatus } from '@/core/status/batch-status';
import type { TempUnit } from '@/core/units/units';
import type { EndReason } from '@/core/log/entry';
import { listText, soonText, tempBeside, tempText } from '@/core/quantity/format';
import { END_WORDS } from '@/core/words/acts';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';

const STAGE_WORDS: Readonly<Record<StageCode, string>> = {
  get building() {
    return say('advice.beingBuilt');
  },
  get heating() {
    return say('advice.notHotYet');
  },
  get hot() {
    return say('advice.hotInside');
  },
  get cooling() {
    return say('advice.cooling');
  },
  get dormant() {
    return say('advice.dormantFrozen');
  },
  get curing() {
    return say('advice.curing');
  },
  get ready() {
    return say('advice.markedReady');
  },
  get released() {
    return say('advice.released');
  },
  get ended() {
    return say('advice.finished');
  },
};

const NO_TEST = {
  get small() {
    return say('advice.underTheSizeThatStaysHot');
  },
  get 'size-unknown'() {
    return say('advice.ofUnknownSize');
  },
  dry: 'dry',
  get 'not-squeezed'() {
    return say('advice.withoutRecentSqueezeTest');
  },
} as const;

const FIRST_PUT_RIGHT = {
  get small() {
    return say('advice.addOrJoinWithAnother');
  },
  get 'size-unknown'() {
    return say('advice.measureIt');
  },
  get dry() {
    return say('advice.waterIt2');
  },
  get 'not-squeezed'() {
    return say('advice.doASqueezeTest');
  },
} as const;

/** Whether staying cool shows that a heap has worked through, and what would show it. */
function reheatText(t: ReheatTest, { timeZone, now }: Locale): string {
  switch (t.code) {
    case 'SHOWS_NOTHING':
      return say('advice.thatStaysCoolShowsNothing', {
        why: listText(t.why.map((w) => NO_TEST[w])),
        why2: listText(t.why.map((w) => FIRST_PUT_RIGHT[w])),
      });
    case 'NOT_TURNED':
      return say('advice.turnOnceMoreTakeTemperatures');
    case 'READ_ON':
      return say('advice.turnedTakeTemperaturesUntilIf', {
        turnedAt: soonText(timeZone, t.turnedAt, now),
        until: soonText(timeZone, t.until, now),
      });
    case 'STAYED_COOL':
      return say('advice.moistBigEnoughTurnedDid', {
        turnedAt: soonText(timeZone, t.turnedAt, now),
        checks: t.checks,
      });
  }
}

/** What it was read at, over the air where that was read. */
function coreText({ coreC, airC }: Course, dangerC: number, unit: TempUnit): string {
  const air =
    airC === null
      ? ''
      : say('advice.aboveOtherAir', {
          coreC: Math.round(Math.abs(coreC - airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: coreC >= airC ? 'above' : 'other',
        });
  return `${tempBeside(coreC, dangerC, unit)}${air}`;
}

/** Whether it goes as its method expects at its age, and by what. @param reheat what staying cool would show */
export function courseText(
  { because, reading, asOf, dangerC }: Omit<CourseStatus, 'code'>,
  method: string,
  locale: Locale,
  reheat: ReheatTest | null = null,
): string {
  const { unit, timeZone, now } = locale;
  if (reading === null) return say('status.noTemperaturesYet');
  const is = coreText(reading, dangerC, unit);
  const readAt = asOf ?? now;
  const day = say('status.onDay', {
    days: calendarDays(zoneOf(timeZone), readAt - reading.ageDays * MS.day, readAt),
  });
  const band = say('advice.to', {
    lowC: tempText(reading.lowC, unit),
    highC: tempText(reading.highC, unit),
  });
  const tested = reheat ? reheatText(reheat, locale) : '';
  switch (because) {
    case 'NEVER_READ':
      return say('status.noTemperaturesYet');
    case 'UNREAD':
      return say('status.courseUnread', { at: soonText(timeZone, asOf ?? now, now), is });
    case 'WATCH':
      return say('status.courseWatch', { is, band, day });
    case 'DANGER':
      return say('status.courseTooHot', { is, band, day });
    case 'WARMING':
      return say('status.courseWarming', { is, day });
    case 'NOT_HEATING':
      return say('status.courseNotHeating', {
        is,
        band,
        day,
        late: reading.ageDays >= LATE_DAYS ? 'late' : 'other',
      });
    case 'NEEDS_MENDING':
      return say('status.courseNeedsMending', { is, band, day });
    case 'TOO_YOUNG':
      return say('advice.tooEarlyToTell', { is });
    case 'ON_COURSE':
      return say('advice.onCourseExpectedAtOn', { is, method, band, day });
    case 'HOTTER':
      return say('advice.hotterThanExpectedThisMethod', { is, band, day });
    case 'COOLER':
      return say('advice.coolerThanExpectedThisMethod', { is, band, day });
    case 'JUST_TURNED':
      return say('advice.justAfterTurningExpectedOn', { is, band, day });
    case 'NEAR_END':
      return say('advice.nearItsEndOn', { is, day, reheat: tested }).trim();
    case 'AT_AIR':
      return say('advice.asCoolAsAirOn', { is, day, reheat: tested }).trim();
  }
}

/** A mix that is not hot by then will hardly get hot by itself (common practice), days. */
const LATE_DAYS = 7;

/** Where it stands in its life, by the entry or the reading that says so. @param read whether it was read since its clock began */
export function stageText(s: StageStatus, { timeZone, now }: Locale, read: boolean): string {
  const since = soonText(timeZone, s.since, now);
  if (s.asOf !== null && s.isUnread)
    return say('status.stageWhenRead', {
      stage: STAGE_WORDS[s.code],
      at: soonText(timeZone, s.asOf, now),
    });
  if (s.code === 'heating')
    return read
      ? say('advice.started', { heating: STAGE_WORDS.heating, since })
      : say('advice.noTemperaturesYetStarted', { since });
  if (s.by !== null && (s.code === 'ready' || s.code === 'curing'))
    return say('advice.by', { stagewords: STAGE_WORDS[s.code], by: s.by, since });
  return s.reason === null
    ? say('advice.since', { stagewords: STAGE_WORDS[s.code], since })
    : say('advice.since2', {
        stagewords: STAGE_WORDS[s.code],
        since,
        endwords: s.code === 'ended' ? END_WORDS[s.reason as EndReason] : s.reason,
      });
}
