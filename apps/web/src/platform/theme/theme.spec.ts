import { ThemeSetting } from './theme.js';

function scene(stored: string | null = null, deviceIsDark = false) {
  const root = { dataset: {} as DOMStringMap };
  const listeners: (() => void)[] = [];
  const device = {
    matches: deviceIsDark,
    addEventListener: (_: string, listener: () => void) => void listeners.push(listener),
  };
  const kept = new Map(stored === null ? [] : [['hapset theme', stored]]);
  const setting = new ThemeSetting(root, device as unknown as MediaQueryList, {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
  });
  const darken = (): void => {
    device.matches = true;
    for (const listener of listeners) listener();
  };
  return { root, kept, setting, darken };
}

describe('light or dark', () => {
  it('follows the device, also while the page is open', () => {
    const { root, setting, darken } = scene();
    const heard: string[] = [];
    const stop = setting.subscribe(() => heard.push(setting.theme()));
    expect(root.dataset.theme).toBe('light');
    darken();
    expect([root.dataset.theme, heard]).toEqual(['dark', ['dark']]);
    stop();
    setting.choose('light');
    expect(heard).toHaveLength(1);
  });

  it('is what was chosen, whatever the device says, and is found again', () => {
    const { root, kept, setting, darken } = scene();
    setting.choose('light');
    darken();
    expect([root.dataset.theme, setting.choice(), kept.get('hapset theme')]).toEqual(['light', 'light', 'light']);
    expect(scene('dark').root.dataset.theme).toBe('dark');
    expect(scene('purple', true).setting.choice()).toBe('device');
  });

  it('can be chosen where nothing can be stored', () => {
    const full = (): never => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    const device = { matches: false, addEventListener: () => undefined };
    const root = { dataset: {} as DOMStringMap };
    new ThemeSetting(root, device, { getItem: () => null, setItem: full }).choose('dark');
    expect(root.dataset.theme).toBe('dark');
  });
});
