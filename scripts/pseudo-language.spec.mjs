import { pseudoText } from './pseudo-language.mjs';

test('the made-up language leaves what is filled in, and is 40 % longer', () => {
  const text = 'Add {{count}} stations to <0>{{name}}</0>';
  const pseudo = pseudoText(text);
  expect(pseudo).toContain('{{count}}');
  expect(pseudo).toContain('<0>{{name}}</0>');
  expect(pseudo).toContain('státïöns');
  const shown = (each) => each.replace(/\{\{\w+\}\}|<\/?\d+\/?>/g, '').length;
  expect(shown(pseudo) / shown(text)).toBeGreaterThan(1.35);
  expect(shown(pseudo) / shown(text)).toBeLessThan(1.6);
});
