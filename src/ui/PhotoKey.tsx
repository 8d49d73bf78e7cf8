'use client';
import { say } from '@/messages/say';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';

/** A key that opens the camera. @param take what is done with a picture, and what is said of it then; an error's message is said as it is */
export function PhotoKey({
  of,
  take,
  className = '',
}: {
  of: string;
  take: (file: File) => Promise<string>;
  className?: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null);
  const took = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      setSaid({ text: await take(file), bad: false });
    } catch (error) {
      setSaid({
        text: error instanceof Error ? error.message : say('controls.thePhotoCouldNotSaved'),
        bad: true,
      });
    }
    if (input.current) input.current.value = '';
  };
  return (
    <div className={className}>
      <button
        type="button"
        className="btn !min-h-glove w-full"
        onClick={() => input.current?.click()}
      >
        <Camera size={20} aria-hidden="true" />
        {say('controls.photo')}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label={say('controls.photoOf', { of })}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => void took(e.target.files?.[0])}
      />
      {said && (
        <p
          role={said.bad ? 'alert' : 'status'}
          className={`text-small mt-1 ${said.bad ? 'marked font-semibold' : 'q'}`}
        >
          {said.text}
        </p>
      )}
    </div>
  );
}
