import { readSettings, requireSettings } from './settings.mjs';

describe('settings', () => {
  const trusted = (environment) => readSettings(environment).trustedHosts.split(',');

  it('trust hosts of the school’s own besides the stand-ins of the demo', () => {
    expect(trusted({})).toHaveLength(7);
    expect(trusted({ HAPSET_TRUSTED_HOSTS: 'files.school.example:8080, ,wiki.school.example:443' })).toEqual([
      ...trusted({}),
      'files.school.example:8080',
      'wiki.school.example:443',
    ]);
  });

  it('trust nothing of the demo without it', () => {
    expect(readSettings({ HAPSET_DEMO: '0' }).trustedHosts).toBe('');
    expect(trusted({ HAPSET_DEMO: '0', HAPSET_TRUSTED_HOSTS: 'a.example:1' })).toEqual(['a.example:1']);
  });

  it('let the stand-ins send plain pages where there is no browser', () => {
    expect(readSettings({ HAPSET_CHROMIUM: '' }).neighboursPages).toBe('plain');
    expect(readSettings({ HAPSET_NEIGHBOURS_PAGES: 'drawn', HAPSET_CHROMIUM: '' }).neighboursPages).toBe('drawn');
  });

  it('that a service needs are asked for all at once', () => {
    const wanted = { HAPSET_DATA: 'a folder', HAPSET_PUBLIC_ADDRESS: 'an address' };
    expect(() => requireSettings(wanted, { HAPSET_DATA: '' })).toThrow(
      'Set before the start:\n  HAPSET_DATA: a folder\n  HAPSET_PUBLIC_ADDRESS: an address',
    );
    expect(() => requireSettings(wanted, { HAPSET_DATA: '/x', HAPSET_PUBLIC_ADDRESS: 'y' })).not.toThrow();
  });
});
