import { UNIT_SYSTEMS, type TempUnit, type UnitSystem } from '../core/units/units';

/** What a device keeps of the units that were chosen on it. */

const cookieOf = (cookies: string | undefined, name: string): string | undefined =>
  new RegExp(`(?:^|;\\s*)${name}=([\\w-]+)`).exec(cookies ?? '')?.[1];

/** The system of units that was chosen on a device; null: none. @param cookies the Cookie header */
export function systemAsked(cookies: string | undefined): UnitSystem | null {
  const chosen = cookieOf(cookies, 'zh_units');
  return UNIT_SYSTEMS.find((system) => system === chosen) ?? null;
}

/** The unit of temperatures that was chosen on a device; null: none. @param cookies the Cookie header */
export function tempUnitAsked(cookies: string | undefined): TempUnit | null {
  const chosen = cookieOf(cookies, 'zh_unit');
  return chosen === 'C' || chosen === 'F' ? chosen : null;
}
