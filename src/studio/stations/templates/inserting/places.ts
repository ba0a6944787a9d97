import { type Landing, prefixOf } from '../../../../core/templates';
import { drawnRow } from '../bench/drawn';
import type { Selection } from '../selection';

/** Somewhere that a new part can go, and the key that leads there. */
export interface Place {
  readonly words: string;
  readonly key: string;
  readonly landing: Landing;
}

/** Round the selected part, in it, at the ends of the row. */
export function placesIn({ part, template: { row } }: Selection): readonly Place[] {
  const isRow = part.id === row.id;
  const name = isRow ? 'the row' : part.id.slice(prefixOf(part.id).length);
  const [before, after] =
    drawnRow()?.isFromRight === true ? ['ArrowRight', 'ArrowLeft'] : ['ArrowLeft', 'ArrowRight'];
  const beside = (side: 'below' | 'after' | 'above' | 'before'): Landing => ({
    beside: part.id,
    side,
  });
  const start = isRow ? 'at the start of it' : `before ${name}`;
  return [
    { words: `under ${name}`, key: 'ArrowDown', landing: beside('below') },
    { words: isRow ? 'at the end of it' : `after ${name}`, key: after, landing: beside('after') },
    { words: `above ${name}`, key: 'ArrowUp', landing: beside('above') },
    { words: start, key: before, landing: beside('before') },
    ...(part.part === 'stack' && !isRow
      ? [{ words: `in ${name}`, key: 'i', landing: { within: part.id, at: part.children.length } }]
      : []),
    ...(isRow
      ? []
      : [
          { words: 'at the start of the row', key: 'Home', landing: rowEnd(row.id, 'before') },
          { words: 'at the end of the row', key: 'End', landing: rowEnd(row.id, 'after') },
        ]),
  ];
}

const rowEnd = (row: string, side: 'before' | 'after'): Landing => ({ beside: row, side });
