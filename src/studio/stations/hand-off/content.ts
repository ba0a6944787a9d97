import type { PackFile } from '../../../core/handoff';

type Content = Pick<PackFile, 'text' | 'isBase64'>;

/** What is in a file, byte for byte. */
export const bytesOf = ({ text, isBase64 }: Content): Uint8Array<ArrayBuffer> =>
  isBase64 === true
    ? Uint8Array.from(atob(text), (char) => char.charCodeAt(0))
    : new TextEncoder().encode(text);

export const isSame = (one: Uint8Array, other: Uint8Array): boolean =>
  one.length === other.length && one.every((byte, at) => byte === other[at]);
