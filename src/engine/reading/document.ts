import type { DocumentPort, Encoding, Paging, ReadPorts } from '../../core/items';

/** A document to read: a file, words that were pasted or typed, or an address to fetch from. */
export type SourceDocument =
  | { readonly file: Blob; readonly name: string; readonly at?: string }
  | { readonly address: string; readonly at?: string; readonly pages?: Paging };

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
