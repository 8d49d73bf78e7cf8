'use client';
import { say } from '@/messages/say';
import { sayAnew } from './Switches';
import { useRouter } from 'next/navigation';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { keyHelp, placeByKey, PLACES } from '@/core/words/places';
import { remember } from '@/ui/remember';
import { Sheet } from '@/ui/Sheet';
import { keysOff, switchKeys, useKeys, usePlaceKeys } from '@/ui/useKeys';

const Palette = dynamic(() => import('./Palette').then((m) => m.Palette), { ssr: false });

const placeKeys = () => keyHelp();
const listKeys = () =>
  [
    [say('frame.n1To90'), say('frame.theBatchInBay0')],
    [placeKeys().keys, placeKeys().places],
    ['U', say('frame.cOrF')],
    ['/', say('frame.searchKey')],
    ['Ctrl K', say('frame.goToDoOrFind')],
    ['?', say('frame.thisList')],
    ['R T W A J S N', say('frame.onBatchTemperaturesTurnedWatered')],
    ['C', say('frame.onBatchBeingBuiltFinish')],
    ['D', say('frame.onBatchReadingsAsTable')],
    ['← →', say('frame.onChartFromCheckCheck')],
    [say('frame.esc'), say('frame.backWithoutSaving')],
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
  const [palette, setPalette] = usePaletteKey();
  usePlaceKeys((key) => {
    const place = placeByKey(key);
    if (place) router.push(place.href);
  });
  useKeys((key, event) => {
    if (key === 'u') {
      remember('zh_unit', unit === 'C' ? 'F' : 'C');
      sayAnew();
    } else if (key === '/') {
      // Else the letter is typed into the field that takes the focus.
      event.preventDefault();
      router.push(PLACES.find.href);
    } else if (key === '?') setOpen(true);
    else {
      const heap = bayKeys[key];
      if (heap) router.push(`/batch/${heap}`);
    }
  });
  return (
    <>
      <button type="button" className="soil-link" onClick={() => setOpen(true)}>
        {say('frame.keyboardShortcuts')}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title={say('frame.keyboardShortcuts')}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
          {listKeys().map(([key, what]) => (
            <div key={key} className="contents">
              <dt className="disp font-bold whitespace-nowrap">{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <OffSwitch />
      </Sheet>
      {palette !== null && <Palette open={palette} onOpenChange={setPalette} />}
    </>
  );
}

/** Whether the palette is open; null: it was never asked for, and is not loaded. */
function usePaletteKey(): [boolean | null, (open: boolean) => void] {
  const [open, setOpen] = useState<boolean | null>(null);
  useEffect(() => {
    const listen = (e: KeyboardEvent): void => {
      if (e.key.toLowerCase() !== 'k' || !(e.ctrlKey || e.metaKey) || e.altKey) return;
      e.preventDefault();
      setOpen((was) => !was);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return [open, setOpen];
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
      {say('frame.singleKeyShortcutsOnFor')}
    </label>
  );
}
