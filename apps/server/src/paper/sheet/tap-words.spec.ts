import { scannerActs, type ScannerProfile } from '@hapset/core';
import { firstInstructions } from '../../gather/material/new-material.js';
import { tapLine } from './tap-words.js';

const all: ScannerProfile = { id: 'a', name: 'Tablets', actsOn: scannerActs };
const wordsOnly: ScannerProfile = { id: 'b', name: 'Old phones', actsOn: [] };

describe('what to tap', () => {
  it('is named for every kind that needs a tap, where the instruction is the teacher’s own', () => {
    for (const act of scannerActs) expect(tapLine(act, [all], 'Count the limpets.')).toMatch(/^Then tap the .+\.$/);
    expect(tapLine(null, [all, wordsOnly], 'Count the limpets.')).toBe('');
  });
  it('is not said twice', () => expect(tapLine('contact', [all], firstInstructions.contact)).toBe(''));
  it('comes with a way by hand where a scanner shows text only', () => {
    expect(tapLine('network', [all, wordsOnly], firstInstructions.network)).toBe(
      'Only text appears? Name and password are in it, after S: and P:.',
    );
    expect(tapLine('link', [wordsOnly], 'Look.')).toBe(
      'Then tap the address that appears. Only text appears? Copy it into the browser.',
    );
  });
});
