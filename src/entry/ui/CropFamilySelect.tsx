import { CROP_FAMILIES, type CropFamily } from '@/core/log/kinds/vocabulary';
import { CROP_FAMILY_WORDS } from '@/core/words/lots';
import { upperFirst } from '@/core/quantity/format';

/** Which family of crops; none is a choice too. */
export const CropFamilySelect = ({
  label,
  none,
  value,
  onChange,
}: {
  label: string;
  none: string;
  value: CropFamily | '';
  onChange: (family: CropFamily | '') => void;
}) => (
  <label className="label max-w-[340px]">
    {label}
    <select
      className="field mt-1"
      value={value}
      onChange={(e) => onChange(e.target.value as CropFamily | '')}
    >
      <option value="">{upperFirst(none)}</option>
      {CROP_FAMILIES.map((f) => (
        <option key={f} value={f}>
          {upperFirst(CROP_FAMILY_WORDS[f])}
        </option>
      ))}
    </select>
  </label>
);
