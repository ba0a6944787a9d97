/** Digits in groups of three, the same everywhere: `4 812`. The space does not break. */
export function grouped(n: number): string {
  return String(n).replace(/\B(?=(?:\d{3})+$)/g, '\u00a0');
}

/** `1 item`, `12 items`: counts in messages, in English, in groups of three. */
export function count(n: number, one: string, several = `${one}s`): string {
  return `${grouped(n)} ${n === 1 ? one : several}`;
}

/** A path of names as people read it: `maker.town`; a name without letters is seen, too. */
export const namesInWords = (path: readonly string[]): string =>
  path.map((name) => (name.trim() === '' ? JSON.stringify(name) : name)).join('.');
