import type { Entry, RowPlan } from '../../../../core/lists';
import { bindRow, createRow, type Pictures } from '../../../../render';

/** What one row is made of. */
export interface RowMade {
  readonly elementCount: number;
  readonly textCount: number;
  readonly pictureCount: number;
}

export function madeOf(row: HTMLElement): RowMade {
  const texts = document.createTreeWalker(row, NodeFilter.SHOW_TEXT);
  let textCount = 0;
  while (texts.nextNode()) textCount += 1;
  return {
    elementCount: 1 + row.querySelectorAll('*').length,
    textCount,
    pictureCount: row.querySelectorAll('img, svg').length,
  };
}

const rowCount = 12;
const roundCount = 20;

/**
 * What a frame of scrolling takes with this row, in milliseconds: as the pool does it, elements that
 * are there get the values of other items, a screen of them, and are laid out. The median of some.
 */
export function frameWork(
  { plan, entries }: { readonly plan: RowPlan; readonly entries: readonly Entry[] },
  pictures: Pictures,
  widthPx: number,
): number {
  const host = document.createElement('div');
  Object.assign(host.style, {
    ...{ position: 'fixed', insetInlineStart: '-9999px', width: `${widthPx}px`, contain: 'strict' },
    height: '1px',
  });
  host.className = 'yc-bench';
  document.body.append(host);
  const rows = Array.from({ length: rowCount }, () => createRow(plan));
  host.append(...rows.map(({ element }) => element));
  const times = Array.from({ length: roundCount }, (_, round) => {
    const start = performance.now();
    for (const [at, row] of rows.entries()) {
      const entry = entries[(round + at) % entries.length];
      if (entry !== undefined) bindRow(row, entry, pictures);
    }
    host.getBoundingClientRect();
    rows[0]?.element.getBoundingClientRect();
    return performance.now() - start;
  });
  host.remove();
  return times.toSorted((a, b) => a - b)[roundCount / 2] ?? 0;
}
