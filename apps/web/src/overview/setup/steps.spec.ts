import type { SetupSteps } from '@hapset/contract';
import { setupSteps, type SetupStepName } from './steps.js';

const nothing: SetupSteps = {
  publicAddress: 'http://192.0.2.7:4300',
  arrival: null,
  shortLinkHost: null,
  printerTestedAt: null,
  devices: 0,
  colleagues: 0,
  students: 0,
  services: 0,
};
const done = (change: Partial<SetupSteps>): readonly SetupStepName[] =>
  setupSteps({ ...nothing, ...change }).flatMap((step) => (step.done ? [step.name] : []));
const arrivedAt = '2026-11-24T10:00:00.000Z';

describe('the steps of a setup', () => {
  it('are open while nothing is there', () => expect(done({})).toEqual([]));

  it('are done by what is there', () => {
    expect(
      done({
        shortLinkHost: 'k.school.example',
        printerTestedAt: arrivedAt,
        devices: 1,
        colleagues: 1,
        students: 1,
        services: 1,
      }),
    ).toEqual(['short-host', 'printer', 'devices', 'services', 'colleagues', 'roster']);
  });

  it('need a phone that came by the public address, not by another', () => {
    const by = (address: string) => ({ arrival: { arrivedAt, address, device: '' } });
    expect(done(by('http://192.0.2.7:4300'))).toEqual(['address']);
    expect(done(by('http://other.example'))).toEqual([]);
    const publicAddress = 'https://hapset.school.example';
    expect(done({ publicAddress, ...by('https://HAPSET.school.example') })).toEqual(['address', 'https']);
    expect(done({ publicAddress, ...by('http://hapset.school.example') })).toEqual([]);
    expect(done({ publicAddress })).toEqual([]);
  });
});
