import type { Device, DeviceUser, Form, Named, OutboxItem } from './item';

/** Whose the entries are that wait on a device which several people use. */

const deviceOf = (form: Form): Device | undefined => form.data.device as Device | undefined;

/** Whose an entry is that waits, if somebody else uses the device now: it waits for them. Null: it is whoever's uses it. */
export function waitsFor(form: Form, user: DeviceUser): Named | null {
  const { person, phone, handedTo } = deviceOf(form) ?? {};
  if (handedTo !== undefined && handedTo === user.person?.id) return null;
  const [whose, now] = person ? [person, user.person] : [phone, user.phone];
  return whose === undefined || whose.id === now?.id ? null : whose;
}

/** The names of those whose entries wait, each once. */
export const whoseItems = (items: readonly OutboxItem[]): string[] => [
  ...new Set(items.map(({ form }) => deviceOf(form)?.person?.name ?? form.by)),
];

/** An entry that somebody else sends who has signed in here. @param to the id of their account */
export const handedOver = (form: Form, to: string): Form => ({
  ...form,
  data: { ...form.data, device: { ...deviceOf(form), handedTo: to } },
});
