import { printedAddress, typedAddress } from './printed-address.js';

describe('an address on paper', () => {
  it.each([
    ['https://a.example/leaf', 'a.example/leaf'],
    ['HTTP://A.example/', 'A.example'],
    ['a.example/leaf?x=1', 'a.example/leaf?x=1'],
    ['k.fernhollow.example/ CD3 F7K M', 'k.fernhollow.example/ CD3 F7K M'],
  ])('%s is typed as %s', (address, typed) =>
    expect([typedAddress(address), printedAddress(address)]).toEqual([typed, typed]),
  );

  it('is left out where nobody would type it without a mistake', () => {
    expect(printedAddress(`https://${'a'.repeat(40)}`)).toBe('a'.repeat(40));
    expect(printedAddress(`https://${'a'.repeat(41)}`)).toBe('');
    // Letters in groups are made to be typed, however long the host is.
    expect(printedAddress(`${'a'.repeat(45)}/ CD3 F7K M`)).toContain('CD3');
  });
});
