import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** What speaks against evidence was looked into by a named person, who says why it is settled: it stays readable, and is not open any more. */
export const questionClosedKind = describeKind({
  schema: z.looseObject({
    /** As core/status/open-questions.ts names it. */ question: z.string().min(1).max(200),
    reason: z.string().trim().min(1).max(2000),
  }),
  scope: 'site',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: ({ reason }) => ({ title: say('log.questionClosed'), detail: reason }),
  record: () => null,
});
