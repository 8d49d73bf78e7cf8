'use client';
import { useEffect, useState, type ComponentType } from 'react';
import type { SheetProps } from './SheetDialog';

/** A log sheet: in the middle on a laptop, from the bottom on a phone. */
export function Sheet(props: SheetProps) {
  // No page waits for the dialog, and it is there by the first press, also where the signal is gone by then.
  const [Dialog, setDialog] = useState<ComponentType<SheetProps> | null>(null);
  useEffect(() => {
    if (!Dialog)
      void import('./SheetDialog').then(
        (m) => setDialog(() => m.SheetDialog),
        () => undefined,
      );
  }, [Dialog, props.open]);
  return Dialog && <Dialog {...props} />;
}
