import type { Sequence } from '../frame';

/** A sequence with what its asker had of it: lines and heights that were told before are not told again. */
export function withKnown(sequence: Sequence, known: Sequence | undefined): Sequence {
  const lines = sequence.lines ?? (known?.id === sequence.id ? known.lines : undefined);
  const isSame = known?.heightsId === sequence.heightsId;
  const heights = sequence.heights ?? (isSame ? known.heights : undefined);
  return { ...sequence, lines, heights };
}
