import type { Metadata } from 'next';
import { theDb } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';

/**
 * Names the tab of a page, and its place in the history, by the batch that it is about.
 * @param what of the batch; absent: the batch itself
 * @param otherwise where there is no such batch
 */
export const titleOfBatch =
  (otherwise: () => string, what?: () => string) =>
  async ({ params }: { params: Promise<{ readonly id: string }> }): Promise<Metadata> => {
    const name = await snapshotRepo(theDb()).nameOf((await params).id);
    if (name === null) return { title: otherwise() };
    return { title: what ? `${name}: ${what()}` : name };
  };
