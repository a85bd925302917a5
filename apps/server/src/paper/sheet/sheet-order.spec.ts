import { drawCode, plainChoices, plainSheetDesign, type SheetSetup } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import * as core from '@hapset/core';
import { measureIn } from '../../code/typeface/shaped-line.js';
import { layOut } from './sheet.work.js';
import { drawableOf, noTexts, type SheetContent } from './sheet-order.js';

const content = (payload: string, more: Partial<SheetContent> = {}): SheetContent => ({
  payload,
  title: 'Tides',
  instruction: '',
  address: null,
  more: { texts: noTexts, neededMm: 20, rehearsedMm: 20, picture: null },
  ...more,
});
const setup: SheetSetup = {
  ...plainChoices('small-card', 'A4'),
  backs: null,
  design: plainSheetDesign('small-card'),
  printerMarginMm: 5,
  head: { title: '', about: '' },
};
const drawing = { iconOf, measure: measureIn('sc') };

describe('what is drawn of a print', () => {
  it('has the sizes that drawn codes have, without drawing them', () => {
    const contents = ['a', 'https://a.example/leaf/field-guide-to-limpets', 'x'.repeat(300), '0123456789'].map(
      (payload) => content(payload),
    );
    const drawable = drawableOf({ setup, contents }, drawing);
    expect(drawable.ok).toBe(true);
    if (!drawable.ok) return;
    contents.forEach((_, index) => {
      const { modules, surround } = drawable.value.drawingOf(index);
      expect(drawable.value.composition.items[index]).toMatchObject({ modules, surround });
    });
  });

  it('keeps levels chosen by hand, and looks', () => {
    const contents = [
      content('tides', { level: 'H' }),
      content('tides', { level: 'L' }),
      content('tides', { look: { ...core.plainLook, caption: { words: 'Look here', place: 'below' } } as never }),
    ];
    const drawable = drawableOf({ setup, contents }, drawing);
    expect(drawable.ok).toBe(true);
    if (!drawable.ok) return;
    const boxes = drawable.value.composition.items.map(({ modules, surround }) => ({
      modules,
      bottom: surround.bottom,
    }));
    expect(boxes[0]?.modules).toBeGreaterThanOrEqual(boxes[1]?.modules ?? Infinity);
    expect(boxes[2]?.bottom).toBeGreaterThan(boxes[0]?.bottom ?? Infinity);
  });

  it('is laid out once for all pages of a print, and again when it became another one', () => {
    const order = (key?: string) => ({
      ...(key !== undefined && { key }),
      setup,
      contents: [content('a')],
      han: 'sc' as const,
      pictures: {},
      title: '',
      madeAt: 0,
    });
    const first = layOut(order('print 1'));
    expect(layOut(order('print 1'))).toBe(first);
    expect(layOut(order('print 2'))).not.toBe(first);
    expect(layOut(order())).not.toBe(layOut(order()));
  });

  it('refuses what no code holds', () => {
    expect(() => drawableOf({ setup, contents: [content('x'.repeat(8000))] }, drawing)).toThrow(RangeError);
    expect(typeof drawCode).toBe('function');
  });
});
