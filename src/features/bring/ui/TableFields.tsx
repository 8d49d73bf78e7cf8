'use client';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import type { BroughtHandle } from './useBrought';

const ROWS_SHOWN = 6;
const COLUMNS_SHOWN = 10;

type FieldsProps = Pick<BroughtHandle, 'options' | 'setOptions' | 'batch' | 'setBatch'>;

/** How the table is to be read. */
function ReadingFields({
  options,
  setOptions,
  zones,
}: Pick<FieldsProps, 'options' | 'setOptions'> & { zones: readonly string[] }) {
  const isZone = zones.includes(options.timeZone) || options.timeZone === 'UTC';
  return (
    <>
      <Choices
        label="How is the table laid out?"
        value={options.shape}
        onChange={(v) => v && setOptions({ ...options, shape: v })}
        options={[
          { value: 'long', label: 'A reading a row', hint: 'time, point, value' },
          { value: 'wide', label: 'A round a row', hint: 'time, then each point' },
        ]}
      />
      <Choices
        label="Temperatures in"
        value={options.unit}
        onChange={(v) => v && setOptions({ ...options, unit: v })}
        options={[
          { value: 'C', label: '°C' },
          { value: 'F', label: '°F' },
        ]}
      />
      <div>
        <Field
          label="Time zone of its clock"
          list="zones"
          value={options.timeZone}
          onChange={(e) => setOptions({ ...options, timeZone: e.target.value })}
          hint="Used where a time names no offset"
          problem={isZone ? undefined : 'Choose a zone such as Europe/London.'}
        />
        <datalist id="zones">
          {zones.map((z) => (
            <option key={z} value={z} />
          ))}
        </datalist>
      </div>
      <Choices
        label="If a date is not year first"
        value={options.dateOrder}
        onChange={(v) => v && setOptions({ ...options, dateOrder: v })}
        options={[
          { value: 'dmy', label: 'Day, month' },
          { value: 'mdy', label: 'Month, day' },
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
        label="Code"
        value={batch.code}
        maxLength={24}
        onChange={(e) => setBatch({ ...batch, code: e.target.value })}
      />
      <Field
        label="Name"
        value={batch.name}
        maxLength={60}
        onChange={(e) => setBatch({ ...batch, name: e.target.value })}
      />
      <Field
        label="When the last raw load went in"
        type="datetime-local"
        value={batch.builtLocal}
        onChange={(e) => setBatch({ ...batch, builtLocal: e.target.value })}
        hint="By the same clock; nothing before it counts"
        problem={batch.builtLocal ? undefined : 'Needed: the clock starts here.'}
      />
      <Choices
        label="How was it kept?"
        value={batch.method}
        onChange={(v) => v && setBatch({ ...batch, method: v })}
        columns={3}
        options={[
          { value: 'turned', label: 'Turned' },
          { value: 'static', label: 'Static' },
          { value: 'vessel', label: 'Vessel' },
        ]}
      />
    </>
  );
}

/** The head of the file as it was read, to see whether the columns are what they are taken for. */
const FirstRows = ({ rows }: { rows: readonly string[][] }) => (
  <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="First rows of the file">
    <table className="text-hint border-collapse">
      <caption className="text-left label">First rows of {rows.length - 1}</caption>
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
