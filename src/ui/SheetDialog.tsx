'use client';
import { say } from '@/messages/say';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

export type SheetProps = {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly note?: string;
  readonly children: ReactNode;
};

/** The sheet itself, with all that keeps the focus within it. */
export function SheetDialog({ open, onOpenChange, title, note, children }: SheetProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-[#0b0a06]/50 z-20" />
        <Dialog.Content
          {...(note ? {} : { 'aria-describedby': undefined })}
          className="lift sheet-dialog"
        >
          <div className="flex justify-between items-start gap-3">
            <Dialog.Title>{title}</Dialog.Title>
            <Dialog.Close
              aria-label={say('controls.closeWithoutSaving')}
              className="btn !min-h-[40px] !px-2.5"
            >
              <X size={20} />
            </Dialog.Close>
          </div>
          {note && <Dialog.Description className="hint mt-1">{note}</Dialog.Description>}
          <div className="mt-4 flex flex-col gap-4">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
