import { describe, expect, test } from 'vitest';
import { atOnce } from '../base';
import { infer } from '../items';
import { edits } from './edits';
import { forgetRevision, type History, makeEdit, redo, startHistory, undo } from './history';
import { makeProject } from './make';

const items = [{ id: 'a' }, { id: 'b' }];
const project = makeProject(
  'boats.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'boats')),
);

/** Three changes to the items of the source, each a step. */
function changed(): History {
  let history = startHistory(project);
  for (const revision of [1, 2, 3]) {
    const made = makeEdit(history, edits.itemsChanged('boats', revision, `change ${revision}`));
    if (made.ok) history = made.value;
  }
  return history;
}

describe('items that are no longer held', () => {
  test('end what can be undone, at the step that would need them', () => {
    const left = forgetRevision(changed(), 'boats', 1);
    expect(left.done.map(({ name }) => name)).toEqual(['change 3']);
    expect(undo(undo(left)).project.sources[0]?.revision).toBe(2);
  });

  test('end what can be made again', () => {
    const back = undo(undo(undo(changed())));
    const left = forgetRevision(back, 'boats', 2);
    expect(left.undone.map(({ name }) => name)).toEqual(['change 1']);
    expect(redo(redo(left)).project.sources[0]?.revision).toBe(1);
  });

  test('of another source or change leave all steps', () => {
    const history = changed();
    expect(forgetRevision(history, 'lamps', 1)).toBe(history);
    expect(forgetRevision(history, 'boats', 9)).toBe(history);
  });
});
