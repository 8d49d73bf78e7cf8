'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { keyHelp, placeByKey } from '@/core/words/places';
import { remember } from '@/ui/remember';
import { Sheet } from '@/ui/Sheet';
import { keysOff, switchKeys, useKeys, usePlaceKeys } from '@/ui/useKeys';

const PLACE_KEYS = keyHelp();
const LIST = [
  ['1 to 9, 0', 'the heap in that bay; 0 is bay 10'],
  [PLACE_KEYS.keys, PLACE_KEYS.places],
  ['U', '°C or °F'],
  ['?', 'this list'],
  ['R T W A J S N', 'on a heap: a round, turned, watered, added, joined, felt and smelled, a note'],
  ['C', 'on a heap that is building: close it'],
  ['D', 'on a heap: the readings as a table'],
  ['← →', 'on the chart: from round to round'],
  ['Esc', 'back, without keeping'],
] as const;
/** Keys that work on every page, and the sheet that names them all. */
export function Keys({
  bayKeys,
  unit,
}: {
  /** The heap that a digit leads to. */ bayKeys: Readonly<Record<string, string>>;
  unit: string;
}) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  usePlaceKeys((key) => {
    const place = placeByKey(key);
    if (place) router.push(place.href);
  });
  useKeys((key) => {
    if (key === 'u') {
      remember('zh_unit', unit === 'C' ? 'F' : 'C');
      router.refresh();
    } else if (key === '?') setOpen(true);
    else {
      const heap = bayKeys[key];
      if (heap) router.push(`/batch/${heap}`);
    }
  });
  return (
    <>
      <button
        type="button"
        className="text-note text-soil-text underline underline-offset-3 min-h-[26px] cursor-pointer focus-visible:outline-soil-text"
        onClick={() => setOpen(true)}
      >
        {say('frame.keys')}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title={say('frame.keys')}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
          {LIST.map(([key, what]) => (
            <div key={key} className="contents">
              <dt className="disp font-bold whitespace-nowrap">{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <OffSwitch />
      </Sheet>
    </>
  );
}

function OffSwitch() {
  const [on, setOn] = useState(() => !keysOff());
  return (
    <label className="flex items-center gap-3 min-h-target font-semibold">
      <input
        type="checkbox"
        className="size-5"
        checked={on}
        onChange={(e) => {
          setOn(e.target.checked);
          switchKeys(!e.target.checked);
        }}
      />
      {say('frame.singleKeysDoSomethingOnThisDevice')}
    </label>
  );
}
