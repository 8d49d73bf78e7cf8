'use client';
import { say } from '@/messages/say';
import { useEffect, useState } from 'react';
import type { OutboxItem } from '@/outbox/item';
import { whoseItems } from '@/outbox/whose';
import { listOutbox } from '@/outbox/store';

/** Whose entries wait on this device, for whoever is about to sign in on it; nothing, where none does. */
export function WaitingHere() {
  const [items, setItems] = useState<readonly OutboxItem[]>([]);
  useEffect(() => {
    void listOutbox().then(setItems, () => undefined);
  }, []);
  if (items.length === 0) return null;
  const names = whoseItems(items).join(', ');
  return (
    <p className="hint" data-testid="waiting-here">
      {say('waiting.othersWait', { n: items.length, names })}
    </p>
  );
}
