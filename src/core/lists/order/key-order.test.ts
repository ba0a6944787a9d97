import fc from 'fast-check';
import { expect, test } from 'vitest';
import { inKeyOrder } from './key-order';

test('keys stand by their bytes, those that are alike as they came', () => {
  const byte = fc.constantFrom(1, 2, 3, 127, 128, 255);
  const start = fc.constantFrom(
    [],
    [1, 1, 1],
    Array.from({ length: 40 }, () => 200),
  );
  const key = fc
    .tuple(start, fc.array(byte, { maxLength: 9 }))
    .map(([first, rest]) => [...first, ...rest, 0]);
  fc.assert(
    fc.property(fc.array(key, { maxLength: 200 }), (keys) => {
      const starts = [0];
      for (const own of keys) starts.push((starts.at(-1) ?? 0) + own.length);
      const { order, begins } = inKeyOrder({
        bytes: Uint8Array.from(keys.flat()),
        starts: Int32Array.from(starts),
      });
      const compare = (one: number, other: number) =>
        Buffer.compare(Buffer.from(keys[one] ?? []), Buffer.from(keys[other] ?? []));
      const theirs = keys.map((_, at) => at).sort(compare);
      expect([...order]).toEqual(theirs);
      expect([...begins]).toEqual(
        theirs.map((own, at) => (at === 0 || compare(theirs[at - 1] ?? 0, own) !== 0 ? 1 : 0)),
      );
    }),
  );
});
