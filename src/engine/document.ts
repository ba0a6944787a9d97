import type { DocumentPort, Encoding, ReadPorts } from '../core/items';

/** A file or pasted words as the core's document port. */
export function documentOf(file: Blob, name: string): DocumentPort {
  return {
    name,
    sizeBytes: file.size,
    bytes: async (from, to) => new Uint8Array(await file.slice(from, to).arrayBuffer()),
    text: () => file.text(),
  };
}

/** A decoder that refuses bytes that are not of the encoding. Standard: WHATWG Encoding. */
export function strictDecoder(encoding: Encoding): ReturnType<ReadPorts['decoder']> {
  const decoder = new TextDecoder(encoding, { fatal: true });
  return (bytes, isLast) => decoder.decode(bytes, { stream: !isLast });
}
