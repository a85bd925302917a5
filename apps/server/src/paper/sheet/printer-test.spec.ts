import sharp from 'sharp';
import { Scene } from '../../test/scene.js';
import { pdfPages, pdfText } from '../../test/pdf-pages.js';

describe('a test of the printer', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  it('has scales behind the crosses, moved as the school says, and says what is set where a cross meets them', async () => {
    const school = await scene.server.ok<object>('Pell', 'GET', '/api/school');
    /** Where the upright line of the cross, or of the scale, at the right lies: mm from the left. */
    const uprightAt = async (png: Buffer): Promise<number> => {
      const { data, info } = await sharp(png).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
      const dark = Array.from({ length: info.width }, (_, x) =>
        x < info.width / 2
          ? 0
          : Array.from(
              { length: 40 },
              (__, y) => data[(Math.round(info.height * 0.6) - 20 + y) * info.width + x] ?? 255,
            ).filter((grey) => grey < 160).length,
      );
      return (dark.indexOf(Math.max(...dark)) * 25.4) / 150;
    };
    for (const duplexRightMm of [0, 3]) {
      const version = (await scene.server.ok<{ version: number }>('Pell', 'GET', '/api/school')).version;
      await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, duplexEdge: 'long', duplexRightMm, version });
      const pdf = (await scene.server.file('Maren', '/api/printer-test')).body as Buffer;
      const [front, back] = pdfPages(pdf, 150) as [Buffer, Buffer];
      // Both crosses lie as far from the middle as each other, so that the right one is mirrored onto the place of the left.
      expect(Math.abs((await uprightAt(front)) - 147)).toBeLessThan(0.4);
      expect(Math.abs((await uprightAt(back)) - 147 - duplexRightMm)).toBeLessThan(0.4);
      const text = pdfText(pdf);
      expect(text).toContain('Hold it against a window');
      expect(text).toContain(duplexRightMm === 0 ? '+10' : '+13');
    }
  });
});
