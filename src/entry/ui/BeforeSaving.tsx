'use client';
import { say } from '@/messages/say';
import { ConfirmBox } from '@/ui/ConfirmBox';

/** What speaks against an act at a batch, to be ticked by whoever saves it all the same. */
export const BeforeSaving = ({
  text,
  known,
  onKnown,
  testId,
}: {
  text: string;
  known: boolean;
  onKnown: (known: boolean) => void;
  testId: string;
}) => (
  <ConfirmBox
    legend={say('log.beforeYouSave')}
    text={text}
    confirm={say('log.iKnowThat')}
    checked={known}
    onChange={onKnown}
    testId={testId}
  />
);
