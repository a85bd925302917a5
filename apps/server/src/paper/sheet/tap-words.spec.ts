import { scannerActs, type ScannerProfile } from '@hapset/core';
import { languages } from '@hapset/student-texts';
import { firstInstructions } from '../../gather/material/new-material.js';
import { isFirstInstruction, phraseLanguages, pointLine, rememberedTap, tapLine } from './tap-words.js';

const all: ScannerProfile = { id: 'a', name: 'Tablets', actsOn: scannerActs };
const wordsOnly: ScannerProfile = { id: 'b', name: 'Old phones', actsOn: [] };

describe('what a sheet says by itself', () => {
  it.each(languages.map(({ tag }) => tag))('names the tap for every kind that needs one, in %s', (tag) => {
    const taps = scannerActs.map((act) => tapLine(act, [all], tag));
    for (const tap of taps) expect(tap).toMatch(/\.$/);
    // A bare address is tapped as a link is.
    expect(new Set(taps).size).toBe(scannerActs.length - 1);
    expect(tapLine(null, [all, wordsOnly], tag)).toBe('');
    expect(pointLine(null, tag)).not.toBe(pointLine('link', tag));
  });

  it('comes with a way by hand where a scanner shows text only', () => {
    expect(tapLine('link', [wordsOnly], 'en')).toBe(
      'Then tap the address that appears. Only text appears? Copy it into the browser.',
    );
    expect(tapLine('link', [wordsOnly], 'de')).toBe(
      'Tippe dann auf die Adresse, die erscheint. Es erscheint nur Text? Kopiere ihn in den Browser.',
    );
  });

  it('takes the place of an instruction that the teacher left as it came', () => {
    for (const first of Object.values(firstInstructions)) expect(isFirstInstruction(first)).toBe(true);
    expect(isFirstInstruction('Count the limpets.')).toBe(false);
  });

  it('is in the languages that were chosen, in their order, and in English where there are no texts', () => {
    expect(phraseLanguages(['uk', 'de'])).toEqual(['uk', 'de']);
    expect(phraseLanguages(['xx'])).toEqual(['en']);
    expect(phraseLanguages([])).toEqual(['en']);
  });

  it('is remembered as sheets of before had it, so that they are not out of date for that', () => {
    expect(rememberedTap('contact', [all], firstInstructions.contact)).toBe('');
    expect(rememberedTap('network', [all, wordsOnly], firstInstructions.network)).toBe(
      'Only text appears? Name and password are in it, after S: and P:.',
    );
    expect(rememberedTap('link', [all], 'Count the limpets.')).toBe('Then tap the address that appears.');
  });
});
