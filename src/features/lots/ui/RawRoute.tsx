'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { dateOnlyText } from '@/core/quantity/format';
import { harvestAfter } from '@/core/release/raw-route';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';

/** What may be done with compost that was never proven: each way with its caution, and the earliest day of harvest. */
export function RawRoute({ ways }: { ways: readonly string[] }) {
  const [day, setDay] = useState('');
  const [touches, setTouches] = useState<'yes' | 'no' | ''>('yes');
  const earliest = day === '' || touches === '' ? null : harvestAfter(day, touches === 'yes');
  return (
    <details className="py-1" data-testid="raw-route">
      <summary className="min-h-target link">{say('lots.notProven')}</summary>
      <ul className="list-disc pl-6">
        {ways.map((way) => (
          <li key={way} className="py-0.5">
            {way}
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-2 gap-3 max-w-[560px] mt-2 max-sm:grid-cols-1">
        <Field
          label={say('lots.spreadOn')}
          type="date"
          value={day}
          onChange={(e) => setDay(e.target.value)}
        />
        <Choices
          label={say('lots.touchesSoil')}
          value={touches}
          onChange={setTouches}
          options={[
            { value: 'yes', label: say('store.yes') },
            { value: 'no', label: say('store.no') },
          ]}
        />
      </div>
      {earliest && (
        <p className="font-semibold mt-1" data-testid="earliest-harvest">
          {say('lots.harvestFrom', { earliest: dateOnlyText(earliest) })}
        </p>
      )}
    </details>
  );
}
