'use client';
import { say } from '@/messages/say';
import { submitOrQueue } from '@/outbox/keep';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';
import type { LoadPage } from '../view';

export type FormOf = {
  load: LoadPage;
  by: string;
  unit: 'C' | 'F';
  /** Whether whoever is here may accept what the site asks about or refuses. */ mayAccept: boolean;
  onDone: () => void;
};

export function useChange(load: LoadPage, device: string, onDone: () => void) {
  const kept = useSubmit(device);
  const save = (data: object): void =>
    kept.keep(
      () =>
        submitOrQueue(
          {
            id: kept.id,
            batch: null,
            kind: 'load-change',
            at: null,
            by: kept.by,
            data: { load: load.id, ...data },
          },
          say('store.changed', { name: load.name }),
        ),
      onDone,
    );
  return { ...kept, save };
}

export const Foot = ({
  kept,
  label,
  missing,
  onKeep,
}: {
  kept: ReturnType<typeof useSubmit>;
  label: string;
  missing: string | null;
  onKeep: () => void;
}) => (
  <>
    <Field
      label={say('store.who')}
      value={kept.by}
      maxLength={60}
      autoComplete="name"
      onChange={(e) => kept.setBy(e.target.value)}
    />
    <Problems list={kept.problems} />
    <SaveButton
      label={label}
      busy={kept.busy}
      missing={missing ?? whoIsMissing(kept.by)}
      onSave={onKeep}
    />
  </>
);
