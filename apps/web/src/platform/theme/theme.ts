/** Light or dark: as the device is set, or as somebody chose on it. The style sheet asks for `data-theme` alone. */

import type { OwnStorage } from '../storage/own-storage.js';

export type ThemeChoice = 'device' | 'light' | 'dark';
export type Theme = 'light' | 'dark';

const key = 'hapset theme';

type Listener = () => void;

export class ThemeSetting {
  private readonly listeners = new Set<Listener>();
  private chosen: ThemeChoice;

  /** @param root gets `data-theme` @param deviceDark whether the device asks for dark pages, and hears when that changes */
  constructor(
    private readonly root: Pick<HTMLElement, 'dataset'>,
    private readonly deviceDark: Pick<MediaQueryList, 'matches' | 'addEventListener'>,
    private readonly storage: Pick<OwnStorage, 'getItem' | 'setItem'>,
  ) {
    const found = storage.getItem(key);
    this.chosen = found === 'light' || found === 'dark' ? found : 'device';
    deviceDark.addEventListener('change', this.apply);
    this.apply();
  }

  choice = (): ThemeChoice => this.chosen;

  theme = (): Theme => (this.chosen === 'device' ? (this.deviceDark.matches ? 'dark' : 'light') : this.chosen);

  choose = (choice: ThemeChoice): void => {
    this.chosen = choice;
    try {
      this.storage.setItem(key, choice);
    } catch {
      // A full storage forgets the choice with the page.
    }
    this.apply();
  };

  /** Returns how to stop listening. */
  subscribe = (listener: Listener): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private apply = (): void => {
    this.root.dataset.theme = this.theme();
    for (const listener of this.listeners) listener();
  };
}
