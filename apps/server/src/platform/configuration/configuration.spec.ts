import { readConfiguration } from './configuration.js';

describe('the configuration', () => {
  it('has defaults on loopback', () => {
    expect(readConfiguration({})).toMatchObject({
      host: '127.0.0.1',
      port: 4300,
      publicAddress: 'http://127.0.0.1:4300',
      trustedHosts: [],
      demo: false,
      database: { socket: null, port: 3306, name: 'hapset', user: 'hapset' },
    });
  });

  it('takes trusted hosts as a list', () => {
    expect(readConfiguration({ HAPSET_TRUSTED_HOSTS: ' A.example:80 ,,b.example:443' }).trustedHosts).toEqual([
      'a.example:80',
      'b.example:443',
    ]);
  });

  it('takes proxies as a list of networks', () => {
    expect(readConfiguration({ HAPSET_PROXIES: '10.0.0.5, 10.1.0.0/24' }).proxies).toEqual(['10.0.0.5', '10.1.0.0/24']);
    expect(() => readConfiguration({ HAPSET_PROXIES: '10.0.0.5,everyone' })).toThrow('got "everyone"');
  });

  it('names the variable that is wrong', () => {
    expect(() => readConfiguration({ HAPSET_PORT: 'door' })).toThrow('HAPSET_PORT must be a port');
    expect(() => readConfiguration({ HAPSET_DB_PASSWORD_FILE: '/nowhere/at/all' })).toThrow(
      '/nowhere/at/all, which does not exist',
    );
  });
});
