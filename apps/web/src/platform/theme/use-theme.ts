import { useSyncExternalStore } from 'react';
import { ownStorage } from '../storage/own-storage.js';
import { ThemeSetting, type ThemeChoice } from './theme.js';

const deviceDark = window.matchMedia('(prefers-color-scheme: dark)');
const setting = new ThemeSetting(document.documentElement, deviceDark, ownStorage());

/** What was chosen on this device, and how to choose. */
export function useThemeChoice(): readonly [ThemeChoice, (choice: ThemeChoice) => void] {
  return [useSyncExternalStore(setting.subscribe, setting.choice), setting.choose];
}
