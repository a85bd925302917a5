import { isPublicAddress } from './address-guard.js';

describe('addresses that the server may open', () => {
  it.each(['93.184.216.34', '1.1.1.1', '2606:2800:220:1::1', '[2001:4860:4860::8888]'])('%s is public', (address) => expect(isPublicAddress(address)).toBe(true));

  it.each([
    '127.0.0.1', '127.255.0.9', '0.0.0.0', '10.1.2.3', '172.16.0.1', '172.31.255.255', '192.168.1.1', '169.254.169.254', '100.64.0.1', '224.0.0.1', '255.255.255.255', '198.18.0.1', '192.0.2.1',
    '::', '::1', '[::1]', 'fe80::1', 'fe80::1%eth0', 'fc00::1', 'fd12:3456::1', 'ff02::1', '2001:db8::1',
    '::ffff:127.0.0.1', '::ffff:10.0.0.1', '::ffff:7f00:1', '64:ff9b::7f00:1', '2002:7f00:1::',
    'localhost', '', 'not an address',
  ])('%s is not', (address) => expect(isPublicAddress(address)).toBe(false));
});
