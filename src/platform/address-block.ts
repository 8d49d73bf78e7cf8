import { isIPv6 } from 'node:net';

/** Groups of an IPv6 address, eight of them. */
function groupsOf(address: string): string[] {
  const [head = '', tail] = address.split('::');
  const [before, after] = [head, tail ?? ''].map((part) => part.split(':').filter(Boolean));
  const missing = 8 - (before?.length ?? 0) - (after?.length ?? 0);
  const between = tail === undefined ? [] : Array.from({ length: missing }, () => '0');
  return [...(before ?? []), ...between, ...(after ?? [])];
}

/**
 * What counts as one place in the network: an address of IPv4, and of IPv6 the first 64 bits, since whoever has one address there has
 * all of them (RFC 6177).
 * @example addressBlock('2001:db8:1:2::7') // => '2001:db8:1:2::/64'
 */
export function addressBlock(address: string): string {
  const mapped = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (mapped !== undefined) return mapped;
  const bare = address.split('%')[0] ?? '';
  if (!isIPv6(bare)) return address;
  const groups = groupsOf(bare).slice(0, 4);
  return `${groups.map((g) => parseInt(g, 16).toString(16)).join(':')}::/64`;
}
