'use client';
import { say } from '@/messages/say';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import type { BroughtHandle } from './useBrought';

const ROWS_SHOWN = 6;
const COLUMNS_SHOWN = 10;

type FieldsProps = Pick<BroughtHandle, 'options' | 'setOptions' | 'batch' | 'setBatch'>;

type ReadingProps = Pick<FieldsProps, 'options' | 'setOptions'> & { zones: readonly string[] };

/** The time zone of a clock that does not say its own. */
function ZoneField({ options, setOptions, zones }: ReadingProps) {
  const isZone = zones.includes(options.timeZone) || options.timeZone === 'UTC';
  return (
    <div>
      <Field
        label={say('bring.timeZoneClock')}
        list="zones"
        value={options.timeZone}
        onChange={(e) => setOptions({ ...options, timeZone: e.target.value })}
        hint={say('bring.usedWhereTimeHasNo')}
        problem={isZone ? undefined : say('bring.chooseZoneSuchAsEurope')}
      />
      <datalist id="zones">
        {zones.map((z) => (
          <option key={z} value={z} />
        ))}
      </datalist>
    </div>
  );
}

/** How the table is to be read. */
export function ReadingFields({ options, setOptions, zones }: ReadingProps) {
  return (
    <>
      <Choices
        label={say('bring.howTableLaidOut')}
        value={options.shape}
        onChange={(v) => v && setOptions({ ...options, shape: v })}
        options={[
          {
            value: 'long',
            label: say('bring.oneReadingPerRow'),
            hint: say('bring.timePointValue'),
          },
          {
            value: 'wide',
            label: say('bring.oneCheckPerRow'),
            hint: say('bring.timeThenEachPoint'),
          },
        ]}
      />
      <Choices
        label={say('bring.temperaturesIn')}
        value={options.unit}
        onChange={(v) => v && setOptions({ ...options, unit: v })}
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
      />
      <ZoneField options={options} setOptions={setOptions} zones={zones} />
      <Choices
        label={say('bring.ifDateDoesNotStart')}
        value={options.dateOrder}
        onChange={(v) => v && setOptions({ ...options, dateOrder: v })}
        options={[
          { value: 'dmy', label: say('bring.dayMonth') },
          { value: 'mdy', label: say('bring.monthDay') },
        ]}
      />
    </>
  );
}

/** What the table does not say of its batch. */
function BatchFields({ batch, setBatch }: Pick<FieldsProps, 'batch' | 'setBatch'>) {
  return (
    <>
      <Field
        label={say('bring.code')}
        value={batch.code}
        maxLength={24}
        onChange={(e) => setBatch({ ...batch, code: e.target.value })}
      />
      <Field
        label={say('bring.name')}
        value={batch.name}
        maxLength={60}
        onChange={(e) => setBatch({ ...batch, name: e.target.value })}
      />
      <Field
        label={say('bring.whenLastRawMaterialWent')}
        type="datetime-local"
        value={batch.builtLocal}
        onChange={(e) => setBatch({ ...batch, builtLocal: e.target.value })}
        hint={say('bring.bySameClockNothingBefore')}
        problem={batch.builtLocal ? undefined : say('bring.neededClockStartsHere')}
      />
      <Choices
        label={say('bring.method')}
        value={batch.method}
        onChange={(v) => v && setBatch({ ...batch, method: v })}
        columns={3}
        options={[
          { value: 'turned', label: say('bring.turned') },
          { value: 'static', label: say('bring.static') },
          { value: 'vessel', label: say('bring.inVessel') },
        ]}
      />
    </>
  );
}

/** The head of the file as it was read, to see whether the columns are what they are taken for. */
export const FirstRows = ({ rows }: { rows: readonly (readonly string[])[] }) => (
  <div
    className="relative overflow-x-auto"
    tabIndex={0}
    role="group"
    aria-label={say('bring.firstRowsFile')}
  >
    <table className="text-hint border-collapse">
      <caption className="text-left label">
        {say('bring.firstRowsOf', { rows: rows.length - 1 })}
      </caption>
      <tbody>
        {rows.slice(0, ROWS_SHOWN).map((row, i) => (
          <tr key={i} className="border-b border-rule">
            <th className="pr-3 q font-normal text-right">{i + 1}</th>
            {row.slice(0, COLUMNS_SHOWN).map((cell, k) => (
              <td
                key={k}
                className={`pr-4 py-1 whitespace-nowrap ${i === 0 ? 'font-semibold' : ''}`}
              >
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** A table of readings: how to read it, what it does not say, its first rows. */
export const TableFields = ({
  rows,
  zones,
  ...fields
}: FieldsProps & { rows: readonly string[][]; zones: readonly string[] }) => (
  <>
    <div className="grid sm:grid-cols-2 gap-4">
      <ReadingFields {...fields} zones={zones} />
      <BatchFields {...fields} />
    </div>
    <FirstRows rows={rows} />
  </>
);
