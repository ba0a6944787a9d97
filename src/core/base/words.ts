/** `1 item`, `12 items`: counts in messages, in English, without grouping. */
export function count(n: number, one: string, several = `${one}s`): string {
  return `${n} ${n === 1 ? one : several}`;
}
