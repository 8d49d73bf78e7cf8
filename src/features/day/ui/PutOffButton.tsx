'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { PutOff, type PutOffTask } from './PutOff';

/** To put off what is advised for one heap. */
export function PutOffButton({ task, by }: { task: PutOffTask; by: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="link text-small min-h-target inline-flex items-center"
        onClick={() => setOpen(true)}
      >
        {say('day.postpone')}
      </button>
      {open && <PutOff task={task} by={by} onDone={() => setOpen(false)} />}
    </>
  );
}
