import { placeCentre } from './centre.js';
import { drawingSvg } from './code-svg.js';
import { drawingSize, gradientAt, plainDrawing } from './drawing.js';
import { frameForms, gradientWays } from './look.js';
import { planned, measure, draw, inPath } from '../../test/sample-look.js';

describe('a drawing', () => {
  it('in the plain look is black squares on white with the quiet zone', () => {
    const { shapes, surround } = draw({});
    expect(surround).toEqual({ left: 4, top: 4, right: 4, bottom: 4 });
    expect(draw({})).toEqual(plainDrawing(planned()));
    expect(shapes.map((shape) => (shape.kind === 'fill' ? shape.paint : null))).toEqual([
      { kind: 'colour', colour: '#ffffff' },
      { kind: 'colour', colour: '#000000' },
    ]);
  });

  it.each(frameForms)('keeps frame %s off the quiet zone, and takes whole modules', (frame) => {
    for (const caption of [
      null,
      { words: 'Point your camera here', place: 'above' },
      { words: null, place: 'below' },
    ] as const) {
      const { shapes, surround, modules } = draw({ frame, caption });
      for (const side of Object.values(surround)) expect(Number.isInteger(side) && side >= 4).toBe(true);
      const [framed] = shapes.filter((shape) => shape.kind === 'fill').slice(2);
      if (framed?.kind !== 'fill') throw new Error('a frame is filled');
      for (let along = -3.9; along < modules + 3.9; along += 0.37) {
        for (const edge of [-3.95, modules + 3.95])
          expect([inPath(framed.path, along, edge), inPath(framed.path, edge, along)]).toEqual([false, false]);
      }
    }
  });

  it('puts its words inside the picture, on one line where they fit and on two otherwise', () => {
    const baselinesOf = (words: string | null, place: 'above' | 'below'): readonly number[] => {
      const { shapes, surround, modules } = draw({ caption: { words, place } });
      const text = shapes.find((shape) => shape.kind === 'text');
      if (text?.kind !== 'text') throw new Error('no words');
      for (const [index, baseline] of text.baselines.entries()) {
        const width = measure(text.lines[index] ?? '', 'text-bold', (text.size * 72) / 25.4);
        expect(width).toBeLessThanOrEqual(modules + surround.left + surround.right);
        expect(
          place === 'above'
            ? [baseline < -4, baseline - text.size > -surround.top - 0.5]
            : [baseline - text.size > modules + 3.5, baseline < modules + surround.bottom],
        ).toEqual([true, true]);
      }
      return text.baselines;
    };
    expect(baselinesOf('Look here', 'above')).toHaveLength(1);
    expect(baselinesOf(null, 'below')).toHaveLength(1);
    expect(baselinesOf('A sentence that is so long that one line would make it small', 'below')).toHaveLength(2);
  });

  it('takes its name for words where the look says so, and none where it has none', () => {
    const words = (name: string): readonly string[] =>
      draw({ caption: { words: null, place: 'below' } }, planned(), name).shapes.flatMap((shape) =>
        shape.kind === 'text' ? shape.lines : [],
      );
    expect(words(' Riddle ')).toEqual(['Riddle']);
    expect(words('  ')).toEqual([]);
  });

  it('paints a gradient from corner to corner the way it goes', () => {
    for (const way of gradientWays)
      expect([gradientAt(way, 0, 0, 20), gradientAt(way, 20, 20, 20)].sort()).toEqual(
        way === 'outwards' ? [1, 1] : [0, 1],
      );
    expect(gradientAt('outwards', 10, 10, 20)).toBe(0);
    const [, ink] = draw({ ink: '#123a6b', inkTo: '#7a1f3d', way: 'down' }).shapes;
    expect(ink).toMatchObject({
      paint: { kind: 'linear', from: [0, 0], to: [0, 33], colours: ['#123a6b', '#7a1f3d'] },
    });
  });

  it('has its picture inside of what is left free for it, whatever its shape', () => {
    for (const aspect of [0.5, 1, 2]) {
      const centre = { kind: 'picture', pictureId: 'p', aspect, side: 0.3 } as const;
      const placed = placeCentre(planned(), centre);
      const { shapes, modules } = draw({ centre });
      const picture = shapes.find((shape) => shape.kind === 'picture');
      if (picture?.kind !== 'picture' || !placed) throw new Error('no picture');
      const [left, top] = [(modules - placed.width) / 2, (modules - placed.height) / 2];
      expect(picture.width / picture.height).toBeCloseTo(aspect);
      expect(picture.x).toBeGreaterThan(left);
      expect(picture.y).toBeGreaterThan(top);
      expect(picture.x + picture.width).toBeLessThan(left + placed.width);
      expect(picture.y + picture.height).toBeLessThan(top + placed.height);
    }
  });

  it('goes without an icon that is not known', () => {
    expect(draw({ centre: { kind: 'icon', icon: 'nothing-such', side: null } }).shapes).toHaveLength(2);
  });

  it('as SVG says the same, with gradients, pictures and a title that can’t break out', () => {
    const pictureId = '01990000-0000-7000-8000-000000000001';
    const drawing = draw({
      ink: '#123a6b',
      inkTo: '#7a1f3d',
      way: 'outwards',
      centre: { kind: 'picture', pictureId, aspect: 2, side: null },
    });
    const svg = drawingSvg(drawing, {
      width: '50mm',
      height: '50mm',
      title: '<b>"x"</b>',
      pictureAddress: (id) => `data:image/png;base64,${id}`,
    });
    const { width, height } = drawingSize(drawing);
    expect(svg).toContain(`viewBox="-4 -4 ${width} ${height}"`);
    expect(svg).toContain('<radialGradient id="g1"');
    expect(svg).toContain(`href="data:image/png;base64,${pictureId}"`);
    expect(svg).not.toContain('<b>');
    const straight = drawingSvg(draw({ ink: '#123a6b', inkTo: '#7a1f3d', way: 'across' }), {
      width: null,
      height: null,
      title: '',
      pictureAddress: () => null,
    });
    expect(straight).toContain('<linearGradient id="g1" gradientUnits="userSpaceOnUse" x1="0"');
    expect(straight).toContain('url(#g1)');
    expect(() =>
      drawingSvg(draw({ caption: { words: 'x', place: 'below' } }), {
        width: null,
        height: null,
        title: '',
        pictureAddress: () => null,
      }),
    ).toThrow('outlines');
  });
});
