import { TestServer } from '../../test/test-server.js';
import type { ProblemError } from '../../platform/problem/problem.js';
import { accountRule, addressRule, pairRule } from './sign-in-delays.js';
import { SignInGate, type SignInTry } from './sign-in-gate.js';

describe('the gate before a sign-in', () => {
  let server: TestServer;
  let gate: SignInGate;
  beforeAll(async () => {
    server = await TestServer.start();
    gate = server.app.get(SignInGate);
  });
  afterAll(() => server.stop());

  const asked = (more: Partial<SignInTry>): SignInTry => ({
    email: 'maren@test.example',
    address: '10.0.0.1',
    sharedAddress: false,
    knownAddress: false,
    ...more,
  });
  /** Seconds to wait; 0 where the try is looked at, and counted. */
  const enter = async (more: Partial<SignInTry>): Promise<number> => {
    try {
      await gate.enter(asked(more));
      return 0;
    } catch (error) {
      return (error as ProblemError).more.retryAfterS ?? -1;
    }
  };

  it('counts each try, and takes the count back after a success', async () => {
    for (let attempt = 0; attempt < pairRule.free; attempt += 1) expect(await enter({})).toBe(0);
    expect(await enter({})).toBe(1);
    server.clock.advance(1000);
    expect(await enter({})).toBe(0);
    await gate.passed(asked({}));
    for (let attempt = 0; attempt < pairRule.free; attempt += 1) expect(await enter({})).toBe(0);
  });

  it('keeps accounts and addresses apart', async () => {
    expect(await enter({})).toBeGreaterThan(0);
    expect(await enter({ email: 'tobiah@test.example' })).toBe(0);
    expect(await enter({ address: '10.0.0.2' })).toBe(0);
  });

  it('slows down an address that tries many accounts, but never the first try of one', async () => {
    const address = '10.0.0.77';
    for (let account = 0; account < addressRule.free; account += 1)
      await enter({ email: `account-${account}`, address });
    expect(await enter({ email: 'account-0', address })).toBeGreaterThan(0);
    expect(await enter({ email: 'never-tried', address })).toBe(0);
    // Everybody behind an undeclared proxy shares its address, so that address has a higher limit.
    expect(await enter({ email: 'account-1', address, sharedAddress: true })).toBe(0);
  });

  it('slows down who tries one account from many addresses, and nobody who is signed in to it where they are', async () => {
    const email = 'wanted@test.example';
    for (let index = 0; index < accountRule.free; index += 1)
      expect(await enter({ email, address: `192.0.2.${index}` })).toBe(0);
    expect(await enter({ email, address: '198.51.100.1' })).toBeGreaterThan(0);
    expect(await enter({ email, address: '198.51.100.2', knownAddress: true })).toBe(0);
  });

  it('forgets after half an hour without a failure', async () => {
    server.clock.advance(30 * 60 * 1000);
    expect(await enter({})).toBe(0);
    expect(await enter({ email: 'wanted@test.example', address: '198.51.100.1' })).toBe(0);
  });

  it('counts a crowd one after the other', async () => {
    const waits = await Promise.all(
      Array.from({ length: 40 }, () => enter({ email: 'crowd@test.example', address: '10.0.0.9' })),
    );
    expect(waits.filter((wait) => wait === 0)).toHaveLength(pairRule.free);
  });
});
