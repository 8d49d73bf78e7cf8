import type { Form, OutboxItem } from './item';

/** What waits on a device as a file: to be kept apart, or given back here or on another device. */
const FORMAT = 'zealous-heap/waiting';
type FileItem = Omit<OutboxItem, 'photo' | 'order'> & {
  /** Base64 of the picture. */ readonly photo?: string;
};

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}
const blobOf = (base64: string): Blob =>
  new Blob([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))]);

/** The text of such a file. @param savedAt ms */
export async function waitingFileText(
  items: readonly OutboxItem[],
  savedAt: number,
): Promise<string> {
  const given: FileItem[] = [];
  for (const { photo, order: _here, ...item } of items)
    given.push({ ...item, ...(photo ? { photo: await base64Of(photo) } : {}) });
  const file = { format: FORMAT, version: 1, savedAt: new Date(savedAt).toISOString() };
  return `${JSON.stringify({ ...file, items: given }, null, 1)}\n`;
}

const isText = (value: unknown): value is string => typeof value === 'string' && value !== '';
function isForm(value: unknown): value is Form {
  const form = value as Partial<Form> | null;
  const data: unknown = form?.data;
  return (
    isText(form?.id) &&
    isText(form.kind) &&
    typeof form.by === 'string' &&
    typeof data === 'object' &&
    data !== null
  );
}

/** What stands in such a file, to be put back; null: it is none. The server judges each entry all the same. */
export function readWaitingFile(text: string): Omit<OutboxItem, 'order'>[] | null {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return null;
  }
  const file = parsed as { format?: unknown; items?: unknown } | null;
  if (file?.format !== FORMAT || !Array.isArray(file.items)) return null;
  const items = file.items as Partial<FileItem>[];
  if (!items.every((i) => isText(i.id) && isText(i.what) && isForm(i.form))) return null;
  return items.map(({ photo, ...item }) => ({
    ...(item as Omit<OutboxItem, 'order' | 'photo'>),
    state: 'waiting' as const,
    problems: [],
    ...(typeof photo === 'string' ? { photo: blobOf(photo) } : {}),
  }));
}
