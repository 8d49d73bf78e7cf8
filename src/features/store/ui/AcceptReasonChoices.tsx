'use client';
import { say } from '@/messages/say';
import { ACCEPT_REASONS, type AcceptReason } from '@/core/log/store-shapes';
import { Choices } from '@/ui/Choices';

/** Why something is accepted that the site asks about or refuses. */
export const AcceptReasonChoices = ({
  value,
  onChange,
}: {
  value: AcceptReason | '';
  onChange: (reason: AcceptReason | '') => void;
}) => (
  <Choices
    label={say('store.whyItIsAccepted')}
    value={value}
    onChange={onChange}
    columns={3}
    options={ACCEPT_REASONS.map((reason) => ({
      value: reason,
      label: say('store.acceptedBecause', { reason }),
    }))}
  />
);
