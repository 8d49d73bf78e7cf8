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
      className="switch"
    >
      {options.map((o) => (
        <ToggleGroup.Item key={o.value} value={o.value} className="switch-item">
          {o.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Shows everything anew: what the device has kept is in the words and units of before. */
export function sayAnew(): void {
  forgetKept();
  location.reload();
}

/** A choice out of a list; everything is shown anew with it. */
function ChoiceList({
  label,
  value,
  options,
  choose,
}: {
  label: string;
  value: string;
  options: readonly Option[];
  choose: (value: string) => void;
}) {
  return (
    <select
      aria-label={label}
      className="switch-list"
      value={value}
      onChange={(e) => {
        choose(e.target.value);
        sayAnew();
      }}
    >
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {o.label}
        </option>
      ))}
    </select>
  );
}

/** In which language this device shows everything. */
const LanguageSelect = () => (
  <ChoiceList
    label={say('frame.language')}
    value={currentLanguage()}
    options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
    choose={(language) => remember('zh_language', language)}
  />
);

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
const UnitSelect = () => (
  <ChoiceList
    label={say('frame.units')}
    value={currentUnits().system}
    options={UNIT_SYSTEMS.map((value) => ({ value, label: SYSTEM_WORDS[value] }))}
    choose={(chosen) => {
      const system = UNIT_SYSTEMS.find((x) => x === chosen) ?? 'metric';
      remember('zh_units', system);
      remember('zh_unit', tempUnitOf(system));
    }}
  />
);

/** °C or °F, the other units, light or dark, and the language: each sticks on this device. */
export function Switches({ unit, light }: { unit: string; light: string | null }) {
  return (
    <div className="flex items-center gap-3 flex-wrap">
      <Switch
        label={say('bring.temperaturesIn')}
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
