import { readFileSync } from 'node:fs';
import { createQrReader, createZbarReader, createZxingReader } from './index.js';
import { unreadOf } from './test/random-payloads.js';

describe('reader engines', () => {
  it('read two thousand random payloads of every kind, in every size up to version 25', async () => {
    const engines = [
      await createZxingReader({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) }),
      await createZbarReader(null),
      createQrReader(),
    ];
    expect(await unreadOf(2000, engines)).toEqual([]);
  }, 240_000);
});
