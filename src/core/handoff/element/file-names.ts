/** Letters and digits of a name; of two that are alike on some systems, one is numbered. */
export function freeName(name: string, taken: Set<string>): string {
  const letters = name.replace(/[^A-Za-z0-9_@~-]+/g, '-').slice(0, 60) || 'picture';
  const wish = safeName(letters);
  let own = wish;
  for (let n = 2; taken.has(own.toLowerCase()); n += 1) own = `${wish}-${n}`;
  taken.add(own.toLowerCase());
  return own;
}

/** Windows keeps some names for itself. */
export const safeName = (name: string): string =>
  /^(?:con|prn|aux|nul|com\d|lpt\d)$/i.test(name) ? `${name}-` : name;
