import { deviceNameOf } from './device-name.js';

describe('a device', () => {
  it.each([
    ['Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:140.0) Gecko/20100101 Firefox/140.0', 'Firefox on Windows'],
    [
      'Mozilla/5.0 (iPad; CPU OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1',
      'Safari on iOS',
    ],
    [
      'Mozilla/5.0 (Linux; Android 10; K) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/141.0.0.0 Mobile Safari/537.36',
      'Chrome on Android',
    ],
    ['', ''],
    [undefined, ''],
  ])('is named after browser and system: %s', (agent, name) => expect(deviceNameOf(agent)).toBe(name));

  it('has a short name, whatever it says', () => {
    expect(deviceNameOf(`<script>${'x'.repeat(5000)}/1.0`).length).toBeLessThanOrEqual(80);
  });
});
