import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import type { TextSpan } from '../../../../core/base';
import { setWrong, wrongMarks } from '../../../shared/expression/wrong-marks';

export interface TextEvents {
  readonly changed: (text: string) => void;
  /** The caret went elsewhere, without a change. */
  readonly caret: (at: number) => void;
}

export interface TextEditor {
  readonly view: EditorView;
  setText(text: string): void;
  markWrong(spans: readonly TextSpan[]): void;
  /** Brings a stretch into sight. */
  show(span: TextSpan): void;
}

const looks = EditorView.theme({
  '&': { font: '12.5px/19px var(--font-mono)', color: 'var(--ink)', height: '100%' },
  '&.cm-focused': { outline: 'none' },
  '.cm-content': { padding: '6px 0', caretColor: 'var(--ink)' },
  '.cm-scroller': { font: 'inherit', overflow: 'auto' },
  '.cm-gutters': { background: 'transparent', color: 'var(--ash)', border: 'none' },
  '.cm-wrong': { textDecoration: 'underline wavy var(--madder) 1px', textUnderlineOffset: '3px' },
});

/** An editor for a template's text, in a shadow root as the security policy wants. */
export function textEditor(root: ShadowRoot, text: string, events: TextEvents): TextEditor {
  let isSetting = false;
  const view = new EditorView({
    root,
    parent: root,
    state: EditorState.create({
      doc: text,
      extensions: [
        history(),
        lineNumbers(),
        wrongMarks,
        looks,
        EditorView.contentAttributes.of({
          'aria-label': 'The template as text',
          spellcheck: 'false',
        }),
        keymap.of([...historyKeymap, ...defaultKeymap]),
        EditorView.updateListener.of((update) => {
          if (isSetting) return;
          if (update.docChanged) events.changed(update.state.doc.toString());
          else if (update.selectionSet && update.view.hasFocus)
            events.caret(update.state.selection.main.head);
        }),
      ],
    }),
  });
  // What scrolls can be scrolled by keyboard, the caret in it or not.
  view.scrollDOM.tabIndex = 0;
  return {
    view,
    setText(next) {
      const now = view.state.doc.toString();
      if (now === next) return;
      isSetting = true;
      view.dispatch({ changes: { from: 0, to: now.length, insert: next } });
      isSetting = false;
    },
    markWrong: (spans) => view.dispatch({ effects: setWrong.of(spans) }),
    show({ from, to }) {
      isSetting = true;
      view.dispatch({
        selection: { anchor: from, head: to },
        effects: EditorView.scrollIntoView(from, { y: 'start', yMargin: 20 }),
      });
      isSetting = false;
    },
  };
}
