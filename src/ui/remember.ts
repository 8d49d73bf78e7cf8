'use client';

const YEAR_S = 31_536_000;
/** Keeps a choice on this device. */
export const remember = (
  name: 'zh_unit' | 'zh_units' | 'zh_yard' | 'zh_light' | 'zh_by' | 'zh_language',
  value: string,
): void => {
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=${YEAR_S}; samesite=lax`;
};
