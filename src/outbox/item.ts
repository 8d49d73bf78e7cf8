import type { UnitSystem } from '@/core/units/units';
import { currentUnits } from '@/messages/say';
import type { ItemName } from '@/core/words/waiting';

/** What waits on a device until the hub has taken it. */

export type FieldProblem = { readonly path: string; readonly message: string };
/** An entry as the hub's door expects it. */
export type Form = {
  readonly id: string;
  readonly batch: string | null;
  readonly kind: string;
  readonly at: string | null;
  readonly by: string;
  readonly data: Readonly<Record<string, unknown>>;
};
export type OutboxItem = ItemName & {
  readonly id: string;
  /** Order in which entries were made on this device: they are sent in it. */
  readonly order: number;
  readonly form: Form;
  /** `refused`: the hub said no; it stays here with the reason until it is mended or let go. */
  readonly state: 'waiting' | 'refused';
  readonly problems: readonly FieldProblem[];
  /** A picture of the entry that has not gone up yet. */
  readonly photo?: Blob;
};

/** A person's account or a shared phone, as the page names it. */
export type Named = { readonly id: string; readonly name: string };
export type Device = {
  readonly enteredAt: string;
  /** The site whose page it was typed on. */
  readonly site?: string;
  /** Who had signed in on that page; or the shared phone that it was. */
  readonly person?: Named;
  readonly phone?: Named;
  /** Who sends it instead, by a press of their own. */
  readonly handedTo?: string;
  readonly clockAheadMs: number;
  readonly units?: UnitSystem;
};
const ISO = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/;
const shifted = (time: unknown, byMs: number): unknown =>
  typeof time === 'string' && ISO.test(time)
    ? new Date(Date.parse(time) + byMs).toISOString()
    : time;

/** The system that forms were typed in; metric goes without saying. */
function unitsTyped(): Pick<Device, 'units'> {
  const { system } = currentUnits();
  return system === 'metric' ? {} : { units: system };
}

/** The site whose page is open; a device may be used at several. */
function siteOpen(): Pick<Device, 'site'> {
  const page = (globalThis as { document?: Document }).document;
  const site = page?.querySelector<HTMLElement>('[data-site]')?.dataset.site;
  return site ? { site } : {};
}

/** Who uses this device, as the page that is open says: somebody who has signed in, or whoever holds a shared phone. */
export type DeviceUser = { readonly person?: Named; readonly phone?: Named };
export function deviceUser(): DeviceUser {
  const page = (globalThis as { document?: Document }).document;
  const {
    userKind,
    userId = '',
    userName = '',
  } = page?.querySelector<HTMLElement>('[data-user-kind]')?.dataset ?? {};
  return userKind === undefined ? {} : { [userKind]: { id: userId, name: userName } };
}

/** A form with the device's word on its clock, its units and its site. @param now hub's time, as far as the device knows it, ms */
export const stamped = (form: Form, now: number, clockAheadMs: number): Form => {
  const enteredAt = new Date(now).toISOString();
  return {
    ...form,
    at: form.at ?? enteredAt,
    data: {
      ...form.data,
      device: {
        ...{ enteredAt, clockAheadMs },
        ...{ ...unitsTyped(), ...siteOpen(), ...deviceUser() },
      } satisfies Device,
    },
  };
};

const deviceOf = (form: Form): Device | undefined => form.data.device as Device | undefined;

/** Whether a device took a time that has not come yet by the hub's clock: its own was set to something else since it last knew the hub's. */
export const isAheadOfHub = (form: Form, hubNow: number): boolean =>
  Date.parse(deviceOf(form)?.enteredAt ?? '') > hubNow;

/**
 * The same form stamped by another error of the clock: times that the device took move; those that a person chose stay.
 * @param hubNow what was logged has happened: no time that the device took comes after it, ms
 */
export function restamped(form: Form, clockAheadMs: number, hubNow: number): Form {
  const device = deviceOf(form);
  if (!device) return form;
  const by = Math.min(device.clockAheadMs - clockAheadMs, hubNow - Date.parse(device.enteredAt));
  const readings = form.data.readings;
  return {
    ...form,
    at: shifted(form.at, by) as string | null,
    data: {
      ...form.data,
      device: { ...device, enteredAt: shifted(device.enteredAt, by), clockAheadMs },
      ...(Array.isArray(readings)
        ? {
            readings: readings.map((r: { at?: unknown }) => ({
              ...r,
              ...(r.at === undefined ? {} : { at: shifted(r.at, by) }),
            })),
          }
        : {}),
    },
  };
}
