// The parts of the WHATWG URL standard that the core may use. It is built without DOM and Node types on purpose,
// so that anything else of a platform stops the type check.
declare class URL {
  constructor(url: string, base?: string);
  hash: string;
  readonly host: string;
  readonly hostname: string;
  readonly href: string;
  readonly origin: string;
  readonly pathname: string;
  readonly port: string;
  readonly protocol: string;
  readonly search: string;
}
declare class TextEncoder {
  /** UTF-8 (WHATWG Encoding). */
  encode(text: string): Uint8Array;
}
declare class TextDecoder {
  constructor(label: string, options?: { readonly fatal?: boolean });
  /** @throws TypeError for bytes that are not in the encoding, with `fatal` */
  decode(bytes: Uint8Array): string;
}
