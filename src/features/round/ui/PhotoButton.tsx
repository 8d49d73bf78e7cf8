'use client';
import { say } from '@/messages/say';
import { nameForHeap } from '@/core/words/waiting';
import { enqueue } from '@/outbox/keep';
import { readyPhoto } from '@/outbox/photo';
import { sendWaiting } from '@/outbox/store';
import { PhotoKey } from '@/ui/PhotoKey';
import { createId } from './useRoundWalk';

/** Takes a picture of the heap; it waits on the phone until there is a signal. */
export function PhotoButton({
  heap,
  name,
  by,
  walk,
  className = '',
}: {
  heap: string;
  name: string;
  by: string;
  walk: string | null;
  className?: string;
}) {
  const take = async (file: File): Promise<string> => {
    const { blob, width, height } = await readyPhoto(file);
    await enqueue([
      {
        form: {
          id: createId(),
          batch: heap,
          kind: 'photo',
          at: null,
          by,
          data: { sha256: '', width, height, ...(walk ? { walk } : {}) },
        },
        ...nameForHeap(name, 'photo'),
        photo: blob,
      },
    ]);
    void sendWaiting();
    return say('round.photoSavedKb', { size: Math.round(blob.size / 1000) });
  };
  return <PhotoKey of="the heap" take={take} className={className} />;
}
