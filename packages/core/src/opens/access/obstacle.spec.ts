import { findObstacle, isOnThisComputerOnly, type OwnServing } from './obstacle.js';

const fine: OwnServing = {
  shownUntil: null,
  wantedOn: '2026-12-01',
  leadsOn: true,
  ownAddress: 'https://school.example/p/x',
};

describe('what keeps students out although the material is fine', () => {
  it('is nothing where it is shown, leads on and can be reached', () => {
    expect(findObstacle(fine)).toBeNull();
    expect(findObstacle({ ...fine, shownUntil: '2026-12-01' })).toBeNull();
    expect(findObstacle({ ...fine, ownAddress: null })).toBeNull();
  });

  it('is a last day that is over when it is wanted', () => {
    expect(findObstacle({ ...fine, shownUntil: '2026-11-30' })).toBe('shown-until');
  });

  it('is told in its order: the day, the hours, the address', () => {
    const all = { ...fine, shownUntil: '2026-11-30', leadsOn: false, ownAddress: 'http://127.0.0.1:4300/p/x' };
    expect(findObstacle(all)).toBe('shown-until');
    expect(findObstacle({ ...all, shownUntil: null })).toBe('hours');
    expect(findObstacle({ ...all, shownUntil: null, leadsOn: true })).toBe('address');
  });

  it.each([
    ['http://127.0.0.1:4300/K/CD3', true],
    ['http://localhost/p/x', true],
    ['http://hapset.localhost/p/x', true],
    ['http://[::1]/p/x', true],
    ['http://0.0.0.0/p/x', true],
    ['http://192.168.1.20/p/x', false],
    ['https://hapset.school.example/p/x', false],
    ['no address', false],
  ])('knows who gets to %s', (address, only) => expect(isOnThisComputerOnly(address)).toBe(only));
});
