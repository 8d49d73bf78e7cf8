'use client';
import { LANGUAGE_NAMES, LANGUAGES } from '@/messages/languages';
import { currentLanguage, say } from '@/messages/say';
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
  cookie: 'zh_unit' | 'zh_volume' | 'zh_light';
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

/** In which language this device shows everything. */
function LanguageSelect() {
  const language = currentLanguage();
  return (
    <select
      aria-label={say('frame.language')}
      className="min-h-[28px] pointer-coarse:min-h-target px-1 text-note font-medium bg-soil text-soil-text border border-soil-dim rounded-[3px] focus-visible:outline-soil-text cursor-pointer"
      value={language}
      onChange={(e) => {
        remember('zh_language', e.target.value);
        forgetKept();
        location.reload();
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

/** °C or °F, m³ or yd³, light or dark, and the language: each sticks on this device. */
export function Switches({
  unit,
  volume,
  light,
}: {
  unit: string;
  volume: string;
  light: string | null;
}) {
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
      />
      <Switch
        label={say('frame.volumesIn')}
        cookie="zh_volume"
        value={volume}
        options={[
          { value: 'm3', label: 'm³' },
          { value: 'yd3', label: say('frame.yd') },
        ]}
      />
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
