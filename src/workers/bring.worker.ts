import '@/messages/worker';
import { previewBrought, type Brought, type BroughtPreview } from '@/core/formats/bring';
import { sha256InWorker } from './sha256';

export type BringTask = {
  readonly id: number;
  readonly brought: Brought;
  readonly unit: 'C' | 'F';
};
export type BringResult = { readonly id: number; readonly preview: BroughtPreview };

/** Half a million readings are read and judged here, so that the page stays awake. */
self.onmessage = ({ data: { id, brought, unit } }: MessageEvent<BringTask>) => {
  self.postMessage({
    id,
    preview: previewBrought(brought, unit, sha256InWorker),
  } satisfies BringResult);
};
