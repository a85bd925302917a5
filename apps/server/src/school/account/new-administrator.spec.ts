import { SystemClock } from '../../platform/clock/clock.js';
import { TestServer } from '../../test/test-server.js';
import { Account } from './account.entity.js';
import { createAdministrator, troubleWith } from './new-administrator.js';
import { passwordMatchesNow } from './password.js';

const wenna = { name: ' Wenna Sloe ', email: ' Wenna.Sloe@School.example ', password: 'a shell for every crab' };

describe('an administrator from the terminal', () => {
  it.each([
    ['no name', { name: '  ' }, 'The name needs'],
    ['a name that is too long', { name: 'x'.repeat(121) }, 'The name needs'],
    ['no address', { email: 'wenna' }, '"wenna" is not an e-mail address.'],
    ['two passwords that differ', { password: '' }, 'The two passwords differ'],
    ['a short password', { password: 'crab' }, 'The password needs at least 10'],
    ['a password that many use', { password: 'password123' }, 'Many people use'],
    ['a password that says who it is', { password: 'wenna.sloe1' }, 'easily guessed'],
    ['an endless password', { password: 'x'.repeat(201) }, 'The password needs at most 200'],
  ])('is refused with %s', (_, change, words) => {
    expect(troubleWith({ ...wenna, ...change })).toContain(words);
  });

  it('is created once, and an account of that address is never changed', async () => {
    const server = await TestServer.start({ demo: false });
    expect((await server.as(null, 'GET', '/api/welcome')).body).toMatchObject({ hasAccounts: false, demo: null });
    expect(troubleWith(wenna)).toBeNull();
    expect(await createAdministrator(server.dataSource, wenna, new SystemClock())).toBe(true);
    expect(
      await createAdministrator(
        server.dataSource,
        { ...wenna, email: 'WENNA.sloe@school.example', password: 'another long password' },
        new SystemClock(),
      ),
    ).toBe(false);
    const accounts = await server.dataSource.getRepository(Account).find();
    expect(accounts).toMatchObject([{ name: 'Wenna Sloe', email: 'wenna.sloe@school.example', role: 'administrator' }]);
    expect(passwordMatchesNow(wenna.password, accounts[0]?.passwordHash ?? '')).toBe(true);
    expect((await server.as(null, 'GET', '/api/welcome')).body).toMatchObject({ hasAccounts: true });
    await server.stop();
  });
});
