import { type Edit, edits, type Project } from '../../src/core/project';
import { draftLabel } from '../../src/core/templates';

/** Items of two kinds on 10,000 shelves, as the text of a file. */
export function millionText(count: number): Blob {
  const parts: string[] = [];
  for (let at = 0; at < count; at += 1) {
    const shelf = Math.floor(at / 100);
    const own = at % 3 === 0 ? { kind: 'tool', use: 'spin' } : { kind: 'skein', grams: 50 };
    const item = { id: `m-${at}`, ...own, name: `Thing ${at}`, shelf };
    parts.push(JSON.stringify(item));
  }
  return new Blob([parts.join('\n')]);
}

/** In sections with headings that stick, an insert after every 20th row, rows of two heights. */
export function inSections(drafted: Project): Project {
  const [list] = drafted.lists;
  const [skein = '', tool = ''] = ['skein', 'tool'].map((type) => `${type}-plain`);
  const id = list?.id ?? '';
  const all: readonly Edit[] = [
    edits.insert(
      skein,
      { beside: 'title', side: 'below' },
      draftLabel('more', { expr: '`${id} on ${shelf}`' }, 'small', { share: 1 }),
    ),
    edits.divide(id, { by: 'shelf', order: 'as they come', heading: tool, sticks: true }),
    edits.insertBetween(id, { from: 3, every: 20, inEachSection: true, template: tool }),
  ];
  return all.reduce((project, edit) => {
    const made = edit.apply(project);
    if (!made.ok) throw new Error(made.error);
    return made.value;
  }, drafted);
}

/** Whether no row stands at some height of a list. */
export function hasGap(list: HTMLElement): boolean {
  const box = list.getBoundingClientRect();
  const rows = [...list.querySelectorAll('.yc-row')]
    .filter((row) => row.closest('.yc-spare') === null)
    .map((row) => row.getBoundingClientRect())
    .filter(({ bottom, top }) => bottom > box.top && top < box.bottom)
    .sort((one, other) => one.top - other.top);
  let covered = box.top;
  for (const { top, bottom } of rows) {
    if (top > covered + 1) return true;
    covered = Math.max(covered, bottom);
  }
  return covered < box.bottom - 1;
}
