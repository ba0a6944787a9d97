/** The tables of a font file, by their tags. Standard: OpenType, table directory. */
export function tablesOf(font: Uint8Array): ReadonlyMap<string, Buffer> {
  const view = Buffer.from(font);
  return new Map(
    Array.from({ length: view.readUInt16BE(4) }, (_, at) => {
      const entry = 12 + 16 * at;
      const start = view.readUInt32BE(entry + 8);
      const bytes = view.subarray(start, start + view.readUInt32BE(entry + 12));
      return [view.toString('latin1', entry, entry + 4), bytes];
    }),
  );
}
