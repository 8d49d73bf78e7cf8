import { addressBlock } from './address-block';

test.each([
  ['203.0.113.9', '203.0.113.9'],
  ['::ffff:203.0.113.9', '203.0.113.9'],
  ['2001:db8:1:2::7', '2001:db8:1:2::/64'],
  ['2001:DB8:1:2:ffff:ffff:ffff:ffff', '2001:db8:1:2::/64'],
  ['2001:0db8:0001:0002:3:4:5:6', '2001:db8:1:2::/64'],
  ['::1', '0:0:0:0::/64'],
  ['fe80::1%eth0', 'fe80:0:0:0::/64'],
  ['2001:db8::', '2001:db8:0:0::/64'],
  ['', ''],
  ['not an address', 'not an address'],
])('%s is one place: %s', (address, block) => {
  expect(addressBlock(address)).toBe(block);
});
