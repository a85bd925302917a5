/** @jest-environment jsdom */
import { textOfHtml } from './rich-text.js';

describe('text of rich text', () => {
  it.each([
    [
      'a link with its label',
      '<p>Look: <a href="https://a.example/1">Tides</a></p>',
      'Look: [Tides](https://a.example/1)',
    ],
    ['a link without one of its own', '<a href="https://a.example/">a.example</a>', 'https://a.example/'],
    ['brackets in pairs', '<a href="https://a.example/x_(y)">Y</a>', '[Y](https://a.example/x_(y))'],
    ['a lone bracket', '<a href="https://a.example/x)">Y</a>', '[Y](https://a.example/x%29)'],
    ['a label with brackets', '<a href="https://a.example/1">[PDF] Tides</a>', '[PDF Tides](https://a.example/1)'],
    [
      'blocks',
      '<ul><li><a href="https://a.example/1">A</a></li><li>B<br>C</li></ul>',
      '[A](https://a.example/1)\nB\nC',
    ],
    [
      'a table',
      '<table><tr><th>Link</th><th>Title</th></tr><tr><td>x y</td><td>z</td></tr></table>',
      'Link\tTitle\nx y\tz',
    ],
    ['other links', '<a href="#part">Part</a> <a href="mailto:a@b.example">Ann</a>', 'Part [Ann](mailto:a@b.example)'],
    ['scripts', '<script>alert(1)</script><a href="https://a.example/1">A</a>', '[A](https://a.example/1)'],
  ])('keeps %s', (_, html, text) => expect(textOfHtml(html)).toBe(text));

  it('reads what is nested without end as its text', () => {
    const deep = `${'<div>'.repeat(5000)}<a href="https://a.example/1">A</a>${'</div>'.repeat(5000)}`;
    expect(textOfHtml(deep)).toMatch(/A/);
  });

  it.each([
    ['without links or tables', '<p><b>Words</b></p>'],
    ['that leads nowhere', '<a name="x">Words</a>'],
    ['with nothing in it', '<a href="https://a.example/1"></a>'.replace('https://a.example/1', '#')],
    ['that is too long', `<a href="https://a.example/1">A</a>${' '.repeat(500_000)}`],
    ['that is empty', ''],
  ])('is null for text %s', (_, html) => expect(textOfHtml(html)).toBeNull());
});
