'use client';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { enqueue } from '@/outbox/keep';
import { sendWaiting } from '@/outbox/store';
import { readyPhoto } from './photo';
import { newId } from './useWalk';

/** Takes a picture of the heap; it waits on the phone until there is a signal. */
export function PhotoButton({ heap, name, by, walk, className = '' }: { heap: string; name: string; by: string; walk: string | null; className?: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null);
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const { blob, width, height } = await readyPhoto(file);
      await enqueue([{ form: { id: newId(), batch: heap, kind: 'photo', at: null, by, data: { sha256: '', width, height, ...(walk ? { walk } : {}) } }, what: `${name}: photo`, photo: blob }]);
      setSaid({ text: `Photo kept (${Math.round(blob.size / 1000)} kB).`, bad: false });
      void sendWaiting();
    } catch (error) {
      setSaid({ text: error instanceof Error ? error.message : 'The photo could not be kept. Take it again.', bad: true });
    } finally {
      if (input.current) input.current.value = '';
    }
  };
  return (
    <div className={className}>
      <button type="button" className="btn !min-h-[56px] w-full" onClick={() => input.current?.click()}><Camera size={20} aria-hidden="true" />Photo</button>
      <input ref={input} type="file" accept="image/*" capture="environment" aria-label="Photo of the heap" className="sr-only" tabIndex={-1} onChange={(e) => void take(e.target.files?.[0])} />
      {said && <p role={said.bad ? 'alert' : 'status'} className={`text-[14px] mt-1 ${said.bad ? 'marked font-semibold' : 'q'}`}>{said.text}</p>}
    </div>
  );
}
