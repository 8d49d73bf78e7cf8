'use client';
import { say } from '@/messages/say';
import { useEffect, useState, type ChangeEvent } from 'react';
import { readDeviceRoom, type DeviceRoom } from '@/outbox/device-room';
import type { OutboxItem } from '@/outbox/item';
import { commit, listOutbox, sendWaiting } from '@/outbox/store';
import { readWaitingFile, waitingFileText } from '@/outbox/waiting-file';

/** Texts that the page brings along: the file of all texts need not hold them. */
export type DeviceMemoryTexts = Readonly<
  Record<
    | 'onThisDevice'
    | 'saveToFile'
    | 'giveBack'
    | 'saveToFileHow'
    | 'kept'
    | 'notKept'
    | 'roomPlenty'
    | 'noSuchFile',
    string
  >
>;

/** How safe what waits is on this device, and how it is saved apart and given back. */
export function DeviceMemory({
  items,
  texts,
}: {
  items: readonly OutboxItem[];
  texts: DeviceMemoryTexts;
}) {
  const [room, setRoom] = useState<DeviceRoom | null>(null);
  const [told, setTold] = useState<string | null>(null);
  useEffect(() => {
    void readDeviceRoom().then(setRoom, () => undefined);
  }, [items.length]);
  return (
    <section className="flex flex-col gap-2" aria-labelledby="device-memory">
      <h2 id="device-memory">{texts.onThisDevice}</h2>
      {room && items.length > 0 && <RoomLines room={room} texts={texts} />}
      <div className="flex gap-2.5 flex-wrap">
        {items.length > 0 && (
          <button type="button" className="btn" onClick={() => void saveFile(items)}>
            {texts.saveToFile}
          </button>
        )}
        <label className="btn">
          {texts.giveBack}
          <input
            type="file"
            accept=".json,application/json"
            className="sr-only"
            onChange={(e) => void giveBack(e, texts).then(setTold)}
          />
        </label>
      </div>
      <p className="hint">{texts.saveToFileHow}</p>
      {told !== null && <p role="status">{told}</p>}
    </section>
  );
}

/** Above so much nobody need think of it. */
const PLENTY_BYTES = 1e9;

const RoomLines = ({
  room: { isKept, freeBytes },
  texts,
}: {
  room: DeviceRoom;
  texts: DeviceMemoryTexts;
}) => (
  <>
    {isKept !== null && <p>{isKept ? texts.kept : texts.notKept}</p>}
    {freeBytes !== null && (
      <p className="q">
        {freeBytes > PLENTY_BYTES
          ? texts.roomPlenty
          : say('waiting.roomLeft', { mb: Math.floor(freeBytes / 1e6) })}
      </p>
    )}
  </>
);

/** Hands what waits to the browser as a file. */
async function saveFile(items: readonly OutboxItem[]): Promise<void> {
  const text = await waitingFileText(items, Date.now());
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const download = `waiting-${new Date().toISOString().slice(0, 10)}.json`;
  Object.assign(document.createElement('a'), { href: url, download }).click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Puts back what stands in a file and is not here. @returns what is said of it */
async function giveBack(
  { target }: ChangeEvent<HTMLInputElement>,
  texts: DeviceMemoryTexts,
): Promise<string> {
  const [file] = target.files ?? [];
  const items = file ? readWaitingFile(await file.text()) : null;
  target.value = '';
  if (items === null) return texts.noSuchFile;
  const here = new Set((await listOutbox()).map((i) => i.id));
  const fresh = items.filter((i) => !here.has(i.id));
  await commit({ out: fresh });
  void sendWaiting();
  return say('waiting.gaveBack', { n: fresh.length });
}
