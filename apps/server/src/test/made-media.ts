/** Sounds, films and PDFs for tests, made here. What is in the frames does not matter: nothing decodes them. */
import {
  BufferTarget,
  EncodedAudioPacketSource,
  EncodedPacket,
  EncodedVideoPacketSource,
  MovOutputFormat,
  Mp4OutputFormat,
  Output,
  WebMOutputFormat,
  type OutputFormat,
} from 'mediabunny';
import PDFDocument from 'pdfkit';

const second = 1;

/** An AVC decoder configuration record (ISO/IEC 14496-15) with parameter sets of 16 by 16 pixels. */
const avcConfiguration = Uint8Array.from([
  1, 66, 0, 10, 0xff, 0xe1, 0, 8, 0x67, 66, 0, 10, 0xf4, 0x3c, 0xa0, 0x00, 1, 0, 4, 0x68, 0xce, 0x38, 0x80,
]);

async function film(format: OutputFormat, codec: 'avc' | 'vp8'): Promise<Buffer> {
  const target = new BufferTarget();
  const output = new Output({ format, target });
  const source = new EncodedVideoPacketSource(codec);
  output.addVideoTrack(source, { frameRate: 1 });
  await output.start();
  for (let at = 0; at < 2; at += 1)
    await source.add(new EncodedPacket(new Uint8Array(40).fill(at + 1), 'key', at, second), {
      decoderConfig: {
        codec: codec === 'avc' ? 'avc1.42000a' : 'vp8',
        codedWidth: 16,
        codedHeight: 16,
        ...(codec === 'avc' && { description: avcConfiguration }),
      },
    });
  await output.finalize();
  return Buffer.from(target.buffer ?? new ArrayBuffer(0));
}

export const madeMedia = {
  /** H.264 in MP4, two seconds. */
  mp4: (): Promise<Buffer> => film(new Mp4OutputFormat(), 'avc'),
  /** H.264 in QuickTime. */
  mov: (): Promise<Buffer> => film(new MovOutputFormat(), 'avc'),
  webm: (): Promise<Buffer> => film(new WebMOutputFormat(), 'vp8'),
  /** AAC in MP4 without a picture. */
  m4a: async (): Promise<Buffer> => {
    const target = new BufferTarget();
    const output = new Output({ format: new Mp4OutputFormat(), target });
    const source = new EncodedAudioPacketSource('aac');
    output.addAudioTrack(source);
    await output.start();
    await source.add(new EncodedPacket(new Uint8Array(20).fill(7), 'key', 0, second), {
      decoderConfig: {
        codec: 'mp4a.40.2',
        numberOfChannels: 1,
        sampleRate: 44_100,
        description: Uint8Array.from([0x12, 0x08]),
      },
    });
    await output.finalize();
    return Buffer.from(target.buffer ?? new ArrayBuffer(0));
  },
  /** A second of silence: PCM, mono, 8 bits, 8,000 samples a second. */
  wav: (): Buffer => {
    const wav = Buffer.alloc(44 + 8000, 128);
    wav.write('RIFF', 0);
    wav.writeUInt32LE(36 + 8000, 4);
    wav.write('WAVEfmt ', 8);
    wav.writeUInt32LE(16, 16);
    wav.writeUInt16LE(1, 20);
    wav.writeUInt16LE(1, 22);
    wav.writeUInt32LE(8000, 24);
    wav.writeUInt32LE(8000, 28);
    wav.writeUInt16LE(1, 32);
    wav.writeUInt16LE(8, 34);
    wav.write('data', 36);
    wav.writeUInt32LE(8000, 40);
    return wav;
  },
  /** The first bytes of a film and nothing after them: 28 bytes. */
  cutFilm: (): Buffer => Buffer.from('\u0000\u0000\u0000\u001cftypmp42\u0000\u0000\u0000\u0000mp42isomavc1', 'latin1'),
  pdf: (password?: string): Promise<Buffer> =>
    new Promise((resolve) => {
      const document = new PDFDocument({ size: 'A5', ...(password !== undefined && { userPassword: password }) });
      const parts: Buffer[] = [];
      document.on('data', (part: Buffer) => parts.push(part));
      document.on('end', () => resolve(Buffer.concat(parts)));
      document.text('Limpets cling to rocks.');
      document.end();
    }),
};
