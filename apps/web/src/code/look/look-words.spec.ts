import { plainLook } from '@hapset/core';
import { htmlLine } from '../../paper/picture/html-line.js';
import { colourName, suggestedName } from './suggested-name.js';

describe('a name for a look', () => {
  it.each([
    ['#000000', 'black'],
    ['#ffffff', 'white'],
    ['#808890', 'grey'],
    ['#c01818', 'red'],
    ['#5a2d00', 'brown'],
    ['#f08000', 'orange'],
    ['#1d6f5b', 'green'],
    ['#123a6b', 'blue'],
    ['#4a2b7b', 'violet'],
    ['#c01878', 'pink'],
    ['#e8cc00', 'yellow'],
    ['#ff0010', 'red'],
  ])('says %s as people do: %s', (hex, name) => expect(colourName(hex)).toBe(name));

  it('is one that is not taken', () => {
    expect(suggestedName({ ...plainLook, modules: 'pebbles', ink: '#1d6f5b' }, [])).toBe('Pebbles in green');
    expect(suggestedName(plainLook, ['Squares in black', 'Squares in black 2'])).toBe('Squares in black 3');
  });
});

describe('the line for a web page', () => {
  it('has the address, the size and what is read aloud, and nothing breaks out of it', () => {
    expect(
      htmlLine({ webWidthPx: 270, webHeightPx: 318 }, 'https://hapset.example/c/x.png', 'Tides "<b>" & more'),
    ).toBe(
      '<img src="https://hapset.example/c/x.png" alt="QR code: Tides &#34;&#60;b&#62;&#34; &#38; more" width="270" height="318">',
    );
  });
});
