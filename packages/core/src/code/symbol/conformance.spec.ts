import fc from 'fast-check';
import jsQR from 'jsqr';
import { create } from 'qrcode';
import { codePixels } from '../look/pixels.js';
import { blockOfCodeword } from './codewords.js';
import { encodeSymbol } from './encode.js';
import { formatBits } from './masks.js';
import { placementOf } from './placement.js';
import { capacityBits, smallestVersion } from './fit.js';
import { planSymbol } from './plan.js';
import { writeErrorCorrection } from './reed-solomon.js';
import { dataBits, rangeOf, segmentText, type Segmentation } from './segments.js';
import {
  blockStructure,
  codewordsOf,
  errorCorrectionLevels,
  largestVersion,
  type ErrorCorrectionLevel,
} from './versions.js';

/** What another encoder makes of the same segments, version, level and mask. */
function byOther(
  { segments }: Segmentation,
  version: number,
  level: ErrorCorrectionLevel,
  mask: number,
): { readonly data: Uint8Array; readonly maskPattern: number } {
  const given = segments.map(({ mode, text }) => ({
    mode,
    data: mode === 'byte' ? new TextEncoder().encode(text) : text,
  }));
  const symbol = create(given as Parameters<typeof create>[0], {
    version,
    errorCorrectionLevel: level,
    maskPattern: mask as 0,
  });
  return {
    data: Uint8Array.from(symbol.modules.data, (module) => (module ? 1 : 0)),
    maskPattern: symbol.maskPattern ?? -1,
  };
}

const ascii = (letters: string, length: number): fc.Arbitrary<string> =>
  fc.string({ unit: fc.constantFrom(...letters), minLength: 1, maxLength: length });
const anyText = fc.oneof(
  ascii('0123456789', 300),
  ascii('ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 $%*+-./:', 250),
  fc.string({ minLength: 1, maxLength: 180 }),
  fc.stringMatching(/^https:\/\/[a-z]{3,12}\.example\/[A-Za-z0-9/?=&_-]{0,120}$/),
  fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }),
  fc
    .array(fc.oneof(ascii('0123456789', 12), ascii('ABCDEF', 8), ascii('abcxyz', 8)), { minLength: 1, maxLength: 8 })
    .map((parts) => parts.join('')),
);

describe('the encoder, module by module', () => {
  const versions = Array.from({ length: largestVersion }, (_, index) => index + 1);
  it.each(versions)('agrees with another one in version %i, at every level and in every mask', (version) => {
    for (const [index, level] of errorCorrectionLevels.entries()) {
      const text = 'Tide 7: HIGH WATER AT 0913, low at 1534. '
        .repeat(80)
        .slice(0, Math.max(1, Math.floor(capacityBits(version, level) / 8) - 12 - version));
      const segmentation = segmentText(text, rangeOf(version));
      for (const mask of [index * 2, index * 2 + 1]) {
        const own = encodeSymbol(segmentation, version, level, mask);
        expect([
          level,
          mask,
          Buffer.from(own.matrix).equals(Buffer.from(byOther(segmentation, version, level, mask).data)),
        ]).toEqual([level, mask, true]);
      }
    }
  });

  it('agrees with it on any text without special characters', () => {
    fc.assert(
      fc.property(
        anyText.filter((text) => /^[\x20-\x7e]+$/.test(text)),
        fc.constantFrom(...errorCorrectionLevels),
        fc.integer({ min: 0, max: 7 }),
        (text, level, mask) => {
          const version = smallestVersion(text, level);
          if (version === null) return;
          const segmentation = segmentText(text, rangeOf(version));
          expect(
            Buffer.from(encodeSymbol(segmentation, version, level, mask).matrix).equals(
              Buffer.from(byOther(segmentation, version, level, mask).data),
            ),
          ).toBe(true);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('is read back by a reader that the application does not ship', () => {
    fc.assert(
      fc.property(anyText, (text) => {
        const planned = planSymbol(text);
        if (!planned.ok) return;
        const { widthPx, grey } = codePixels(planned.value, 4);
        const rgba = new Uint8ClampedArray(grey.length * 4);
        grey.forEach((value, index) => rgba.set([value, value, value, 255], index * 4));
        const read = jsQR(rgba, widthPx, widthPx, { inversionAttempts: 'dontInvert' });
        expect(read?.data).toBe(text);
      }),
      { numRuns: 60 },
    );
  });
});

describe('its parts', () => {
  it('the error correction codewords of annex I', () => {
    const ecc = new Uint8Array(10);
    writeErrorCorrection(
      Uint8Array.of(0x10, 0x20, 0x0c, 0x56, 0x61, 0x80, 0xec, 0x11, 0xec, 0x11, 0xec, 0x11, 0xec, 0x11, 0xec, 0x11),
      ecc,
    );
    expect([...ecc]).toEqual([0xa5, 0x24, 0xd4, 0xc1, 0xed, 0x36, 0xc7, 0x87, 0x2c, 0x55]);
  });

  it('format information of the standard’s example: M, mask 5', () =>
    expect(formatBits('M', 5).toString(2).padStart(15, '0')).toBe('100000011001110'));

  it('every module of the data area belongs to one bit', () => {
    for (let version = 1; version <= largestVersion; version += 1) {
      const { order, reserved, modules } = placementOf(version);
      expect(order.length).toBe(codewordsOf(version) * 8);
      expect(new Set(order).size).toBe(order.length);
      const free = reserved.reduce((sum, taken) => sum + (1 - taken), 0);
      expect([version, free - order.length]).toEqual([
        version,
        modules * modules - reserved.reduce((sum, taken) => sum + taken, 0) - order.length,
      ]);
      expect(free - order.length).toBeLessThan(8);
    }
  });

  it('every codeword belongs to a block, of the length that the block has', () => {
    for (const level of errorCorrectionLevels) {
      for (let version = 1; version <= largestVersion; version += 1) {
        const { blocks, shortBlocks, shortData, eccPerBlock } = blockStructure(version, level);
        const owners = blockOfCodeword(version, level);
        const lengths = Array.from({ length: blocks }, (_, block) => owners.filter((owner) => owner === block).length);
        expect(lengths).toEqual(lengths.map((_, block) => shortData + eccPerBlock + (block < shortBlocks ? 0 : 1)));
      }
    }
  });
});

describe('segments', () => {
  it('join to the text, in modes that hold it, and are counted right', () => {
    fc.assert(
      fc.property(anyText, fc.constantFrom(0 as const, 1 as const, 2 as const), (text, range) => {
        const { segments, bits, eci } = segmentText(text, range);
        expect(segments.map((segment) => segment.text).join('')).toBe(text);
        for (const { mode, text: part } of segments)
          expect([
            mode,
            mode === 'numeric'
              ? /^\d+$/.test(part)
              : mode === 'alphanumeric'
                ? /^[0-9A-Z $%*+\-./:]+$/.test(part)
                : true,
          ]).toEqual([mode, true]);
        const heads = { numeric: [14, 16, 18], alphanumeric: [13, 15, 17], byte: [12, 20, 20] } as const;
        expect(bits).toBe(
          segments.reduce((sum, segment) => sum + heads[segment.mode][range] + dataBits(segment), eci ? 12 : 0),
        );
      }),
      { numRuns: 200 },
    );
  });

  it('never take more bits than any single mode, nor than what another encoder cuts', () => {
    fc.assert(
      fc.property(
        anyText.filter((text) => /^[\x20-\x7e]+$/.test(text)),
        (text) => {
          expect(segmentText(text, 0).bits).toBeLessThanOrEqual(12 + 8 * text.length);
          const other = create(text, { errorCorrectionLevel: 'M' });
          expect(smallestVersion(text, 'M')).toBeLessThanOrEqual(other.version);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('announce UTF-8 where the text is not ASCII, and only there', () => {
    expect(segmentText('Rätsel 12345678', 0)).toMatchObject({
      eci: true,
      segments: [
        { mode: 'byte', text: 'Rätsel ' },
        { mode: 'numeric', text: '12345678' },
      ],
    });
    expect(segmentText('plain', 0).eci).toBe(false);
  });
});

describe('the plan', () => {
  it('raises no level that is chosen by hand, and counts growth at it', () => {
    const low = planSymbol('7', 'L');
    expect(low.ok && [low.value.level, low.value.version]).toEqual(['L', 1]);
    const high = planSymbol('a'.repeat(20), 'H');
    expect(high.ok && [high.value.level, high.value.version]).toEqual(['H', 3]);
  });

  it('fills a version to its last bit', () => {
    for (const level of errorCorrectionLevels) {
      const digits = '7'.repeat(Math.floor(((capacityBits(40, level) - 18) * 3) / 10));
      expect(smallestVersion(digits, level)).toBe(40);
      expect(smallestVersion(`${digits}77`, level)).toBeNull();
    }
  });
});
