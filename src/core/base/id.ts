/** Words for people become an id for files: lower case letters, digits and single hyphens. */
export function slug(words: string): string {
  const plain = words
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40);
  if (plain === '') return 'unnamed';
  return /^[a-z]/.test(plain) ? plain : `n-${plain}`;
}

/** The wished id, or the first of `id-2`, `id-3` … that is not taken. */
export function freeId(wish: string, taken: Iterable<string>): string {
  const used = new Set(taken);
  if (!used.has(wish)) return wish;
  let n = 2;
  while (used.has(`${wish}-${n}`)) n += 1;
  return `${wish}-${n}`;
}
