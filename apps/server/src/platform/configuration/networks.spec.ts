import { isIn, isNetwork } from './networks.js';

describe('networks', () => {
  it.each(['10.20.0.0/16', '192.0.2.7', '2001:db8:5::/48', '2001:db8::1'])('takes %s', (network) =>
    expect(isNetwork(network)).toBe(true),
  );
  it.each(['0.0.0.0/0', '::/0', '10.20.0.0/33', 'school', '', '10.20', 7, null])('refuses %p', (network) =>
    expect(isNetwork(network)).toBe(false),
  );

  it('holds the addresses inside, in either way of writing them', () => {
    const networks = ['10.20.0.0/16', '2001:db8:5::/48'];
    for (const address of ['10.20.0.0', '10.20.255.255', '::ffff:10.20.3.4', '2001:db8:5:1::9'])
      expect(isIn(networks, address)).toBe(true);
    for (const address of ['10.21.0.0', '10.19.255.255', '2001:db8:6::1', '::ffff:10.21.3.4', '', 'localhost'])
      expect(isIn(networks, address)).toBe(false);
    expect(isIn([], '10.20.0.1')).toBe(false);
  });
});
