'use client';
import { LANGUAGE_NAMES, LANGUAGES } from '@/messages/languages';
import { tempUnitOf, UNIT_SYSTEMS, type UnitSystem } from '@/core/units/units';
import { currentLanguage, currentUnits, say } from '@/messages/say';
import { ToggleGroup } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { remember } from '@/ui/remember';
import { forgetKept } from './DeviceBar';

type Option = { readonly value: string; readonly label: string };

function Switch({
  label,
  cookie,
  value,
  options,
  onChange,
}: {
  label: string;
  cookie: 'zh_unit' | 'zh_light';
  value: string;
  options: readonly Option[];
  onChange?: (v: string) => void;
}) {
  const router = useRouter();
  const choose = (next: string): void => {
    if (!next) return;
    remember(cookie, next);
    onChange?.(next);
    router.refresh();
  };
  return (
    <ToggleGroup.Root
      type="single"
      value={value}
      onValueChange={choose}
      aria-label={label}
      className="flex border border-soil-dim rounded-[3px]"
    >
      {options.map((o) => (
        <ToggleGroup.Item
          key={o.value}
          value={o.value}
          className="px-2.5 min-h-[26px] pointer-coarse:min-h-target pointer-coarse:px-3.5 text-note font-medium text-soil-text data-[state=on]:bg-soil-text data-[state=on]:text-soil data-[state=on]:font-bold focus-visible:outline-soil-text cursor-pointer"
        >
          {o.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

const SELECT =
  'min-h-[28px] pointer-coarse:min-h-target px-1 text-note font-medium bg-soil text-soil-text border border-soil-dim rounded-[3px] focus-visible:outline-soil-text cursor-pointer';
/** Shows everything anew: what the device has kept is in the words and units of before. */
export function sayAnew(): void {
  forgetKept();
  location.reload();
}

/** In which language this device shows everything. */
function LanguageSelect() {
  const language = currentLanguage();
  return (
    <select
      aria-label={say('frame.language')}
      className={SELECT}
      value={language}
      onChange={(e) => {
        remember('zh_language', e.target.value);
        sayAnew();
      }}
    >
      {LANGUAGES.map((l) => (
        <option key={l} value={l} lang={l}>
          {LANGUAGE_NAMES[l]}
        </option>
      ))}
    </select>
  );
}

const SYSTEM_WORDS: Readonly<Record<UnitSystem, string>> = {
  get metric() {
    return say('frame.metric');
  },
  get us() {
    return say('frame.us');
  },
  get uk() {
    return say('frame.uk');
  },
};
/** In which units this device measures; its temperatures follow, until they are chosen apart. */
function UnitSelect() {
  return (
    <select
      aria-label={say('frame.units')}
      className={SELECT}
      value={currentUnits().system}
      onChange={(e) => {
        const system = UNIT_SYSTEMS.find((x) => x === e.target.value) ?? 'metric';
        remember('zh_units', system);
        remember('zh_unit', tempUnitOf(system));
        sayAnew();
      }}
    >
      {UNIT_SYSTEMS.map((system) => (
        <option key={system} value={system}>
          {SYSTEM_WORDS[system]}
        </option>
      ))}
    </select>
  );
}

/** °C or °F, the other units, light or dark, and the language: each sticks on this device. */
export function Switches({ unit, light }: { unit: string; light: string | null }) {
  return (
    <div className="flex items-center gap-3 flex-wrap">
      <Switch
        label={say('frame.temperaturesIn')}
        cookie="zh_unit"
        value={unit}
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
        onChange={sayAnew}
      />
      <UnitSelect />
      <LanguageSelect />
      <Switch
        label={say('frame.screen')}
        cookie="zh_light"
        value={light ?? ''}
        options={[
          { value: 'sun', label: say('frame.light') },
          { value: 'shed', label: say('frame.dark') },
        ]}
        onChange={(v) => {
          document.documentElement.dataset.light = v;
        }}
      />
    </div>
  );
}
