import { type DocumentPort, type ItemsRead, type ReadPorts, read } from '../../src/core/items';
import { strictDecoder } from '../../src/engine';

export function documentOfBytes(name: string, bytes: Uint8Array): DocumentPort {
  return { name, sizeBytes: bytes.length, bytes: async (from, to) => bytes.subarray(from, to) };
}

export const quietPorts: ReadPorts = {
  decoder: strictDecoder,
  pause: async () => {},
  progress: () => {},
};

/** Reads a text or bytes as a file of that name. */
export function readAs(name: string, content: string | Uint8Array, at?: string) {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
  return read(documentOfBytes(name, bytes), { file: name, at }, { ...quietPorts, first: () => {} });
}

/** The items of a document that must be readable. */
export async function mustRead(
  name: string,
  content: string | Uint8Array,
  at?: string,
): Promise<ItemsRead> {
  const result = await readAs(name, content, at);
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
}

/** The finding of a document that must not be readable. */
export async function mustRefuse(name: string, content: string | Uint8Array, at?: string) {
  const result = await readAs(name, content, at);
  if (result.ok) throw new Error(`${name} was read: ${result.value.items.length} items`);
  return result.error;
}
