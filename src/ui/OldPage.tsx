'use client';
import { say } from '@/messages/say';
import { durationText } from '@/core/quantity/format';
import { useKeptHours } from './kept-page';

/** How long ago the page was made, where it is an old one: before anything is decided on it. */
export function OldPage() {
  const hours = useKeptHours();
  return hours === null ? null : (
    <p role="alert" className="caution" data-testid="old-page">
      {say('controls.oldPage', { age: durationText(hours) })}
    </p>
  );
}
