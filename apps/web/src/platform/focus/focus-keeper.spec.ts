/** @jest-environment jsdom */
import { FocusKeeper } from './focus-keeper.js';

const settle = async (): Promise<void> => {
  for (let round = 0; round < 5; round += 1) await Promise.resolve();
};
const row = (name: string): string => `<li id="${name}"><a href="#">${name}</a><button>More for ${name}</button></li>`;

describe('the focus', () => {
  let stop = (): void => undefined;
  beforeEach(() => {
    document.body.innerHTML = `<main tabindex="-1"><ul>${['one', 'two', 'three'].map(row).join('')}</ul></main>`;
    stop = new FocusKeeper(document, () => document.querySelector('main')).start();
  });
  afterEach(() => stop());
  const has = (): string => document.activeElement?.textContent?.trim().slice(0, 20) ?? '';
  const focus = (selector: string): void => document.querySelector<HTMLElement>(selector)?.focus();

  it('goes to the same place in the next row when its row is removed, and at the end to the one before', async () => {
    focus('#two button');
    document.querySelector('#two')?.remove();
    await settle();
    expect(has()).toBe('More for three');
    document.querySelector('#three')?.remove();
    await settle();
    expect(has()).toBe('More for one');
  });

  it('goes to what takes its place, as a name does after its field', async () => {
    document.querySelector('#two')?.insertAdjacentHTML('beforeend', '<span><input></span>');
    focus('input');
    document
      .querySelector('input')
      ?.replaceWith(Object.assign(document.createElement('button'), { textContent: 'Name' }));
    await settle();
    expect(has()).toBe('Name');
  });

  it('goes to the page when nothing is left beside it', async () => {
    focus('#two a');
    document.querySelector('ul')?.remove();
    await settle();
    expect(document.activeElement?.tagName).toBe('MAIN');
  });

  it('goes to no field that was not beside it', async () => {
    document.querySelector('main')?.insertAdjacentHTML('beforeend', '<textarea></textarea>');
    focus('#one a');
    document.querySelector('ul')?.replaceChildren();
    await settle();
    expect(document.activeElement?.tagName).toBe('MAIN');
  });

  it('stays with whoever takes it, and where it was left on purpose', async () => {
    focus('#two a');
    document.querySelector('#two')?.remove();
    focus('#one a');
    await settle();
    expect(has()).toBe('one');
    (document.activeElement as HTMLElement).blur();
    document.querySelector('#three')?.remove();
    await settle();
    expect(document.activeElement).toBe(document.body);
  });
});
