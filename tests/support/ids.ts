import type { BatchId, EntryId, LoadId } from '@/core/log/ids';

/** Ids as tests write them: whatever a test calls a thing may stand for one. */
export const entryId = (text: string): EntryId => text as EntryId;
export const batchId = (text: string): BatchId => text as BatchId;
export const loadId = (text: string): LoadId => text as LoadId;
