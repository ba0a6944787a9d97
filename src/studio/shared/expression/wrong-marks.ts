import { StateEffect, StateField } from '@codemirror/state';
import { Decoration, type DecorationSet, EditorView } from '@codemirror/view';
import type { TextSpan } from '../../../core/base';

const mark = Decoration.mark({ class: 'cm-wrong' });

/** Marks these stretches as wrong, and no others. */
export const setWrong = StateEffect.define<readonly TextSpan[]>();

/** What is wrong in a text stays marked while it is edited. */
export const wrongMarks = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(before, transaction) {
    let marks = before.map(transaction.changes);
    for (const effect of transaction.effects) {
      if (!effect.is(setWrong)) continue;
      const { length } = transaction.newDoc;
      const ranges = effect.value
        .map(({ from, to }) => ({ from: Math.min(from, length), to: Math.min(to, length) }))
        .filter(({ from, to }) => from < to)
        .map(({ from, to }) => mark.range(from, to));
      marks = Decoration.set(ranges, true);
    }
    return marks;
  },
  provide: (field) => EditorView.decorations.from(field),
});
