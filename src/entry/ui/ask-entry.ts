import { askServer } from '@/ui/ask-server';
import type { EntryPreview } from '@/ui/Effects';

/** Asks what an entry would do to each rule. @param text the entry as its form would send it, as JSON */
export const askEntry = (text: string): Promise<EntryPreview> =>
  askServer<EntryPreview>('/api/ask/entry', JSON.parse(text) as object);
