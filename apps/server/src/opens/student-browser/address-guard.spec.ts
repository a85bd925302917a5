import { GuardedAddressError, guardedLookup, isPublicAddress, type LookUpAll } from './address-guard.js';

describe('addresses that the server may open', () => {
  it.each(['93.184.216.34', '1.1.1.1', '2606:2800:220:1::1', '[2001:4860:4860::8888]'])('%s is public', (address) =>
    expect(isPublicAddress(address)).toBe(true),
  );

  it.each([
    '127.0.0.1',
    '127.255.0.9',
    '0.0.0.0',
    '10.1.2.3',
    '172.16.0.1',
    '172.31.255.255',
    '192.168.1.1',
    '169.254.169.254',
    '100.64.0.1',
    '224.0.0.1',
    '255.255.255.255',
    '198.18.0.1',
    '192.0.2.1',
    '::',
    '::1',
    '[::1]',
    'fe80::1',
    'fe80::1%eth0',
    'fc00::1',
    'fd12:3456::1',
    'ff02::1',
    '2001:db8::1',
    '::ffff:127.0.0.1',
    '::ffff:10.0.0.1',
    '::ffff:7f00:1',
    '64:ff9b::7f00:1',
    '2002:7f00:1::',
    'localhost',
    '',
    'not an address',
  ])('%s is not', (address) => expect(isPublicAddress(address)).toBe(false));
});

describe('names', () => {
  const answering =
    (...answers: string[][]): LookUpAll =>
    (_hostname, _options, callback) =>
      callback(
        null,
        (answers.shift() ?? []).map((address) => ({ address, family: address.includes(':') ? 6 : 4 })),
      );
  const ask = (lookup: ReturnType<typeof guardedLookup>): Promise<unknown> =>
    new Promise((resolve, reject) =>
      lookup('a.example', { all: true }, (error, addresses) => (error ? reject(error) : resolve(addresses))),
    );

  it('with several addresses of which one is private are refused whole', async () => {
    for (const addresses of [['93.184.216.34', '10.0.0.1'], ['::ffff:192.168.0.1', '1.1.1.1'], []])
      await expect(ask(guardedLookup(answering(addresses)))).rejects.toThrow(GuardedAddressError);
  });

  it('are connected to at the very addresses that were judged, and judged again for the next connection', async () => {
    const lookup = guardedLookup(answering(['93.184.216.34', '2606:2800:220:1::1'], ['127.0.0.1']));
    expect(await ask(lookup)).toEqual([
      { address: '93.184.216.34', family: 4 },
      { address: '2606:2800:220:1::1', family: 6 },
    ]);
    await expect(ask(lookup)).rejects.toThrow(GuardedAddressError);
  });
});
