import type { z } from 'zod';
import { describeKind, type EntryKindDescription, type EntryMark, type LogText } from './kind';

/** What is alike in every kind that speaks of compost after the heat: no verdict reads it, and it can be struck. */
export const describeLotKind = <S extends z.ZodType>(own: {
  readonly schema: S;
  readonly mark: EntryMark;
  tell(data: z.output<S>): LogText;
}): EntryKindDescription<S, 'strike', null, 'lots'> =>
  describeKind({
    ...own,
    scope: 'lots',
    correction: 'strike',
    inherited: false,
    fileEvent: null,
    clocks: 'none',
    snapshots: 'none',
    record: () => null,
  });
