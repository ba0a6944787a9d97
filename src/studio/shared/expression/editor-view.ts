import {
  acceptCompletion,
  autocompletion,
  CompletionContext,
  closeBrackets,
  closeBracketsKeymap,
  closeCompletion,
  completionKeymap,
  completionStatus,
} from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap } from '@codemirror/view';
import type { Item } from '../../../core/items';
import type { Span } from '../../../core/values';
import { type Completion, completionsAt, type Environment, type Field } from '../../../core/values';
import { setWrong, wrongMarks } from './wrong-marks';

/** What the editor needs to know, as of its latest render. */
export interface EditorWorld {
  readonly fields: readonly Field[];
  readonly environment: Environment;
  readonly item: Item | undefined;
}

export interface EditorEvents {
  world(): EditorWorld;
  changed(text: string): void;
  left(): void;
  /** F2: the path at the caret is to be called otherwise. */
  rename(offset: number): void;
}

export interface ExpressionEditor {
  readonly view: EditorView;
  setText(text: string): void;
  markWrong(spans: readonly Span[]): void;
  /** Selects a stretch and puts the caret there. */
  select(span: Span): void;
}

const looks = EditorView.theme({
  '&': { font: '13px/20px var(--font-mono)', color: 'var(--ink)' },
  '&.cm-focused': { outline: 'none' },
  '.cm-content': { padding: '3px 0', caretColor: 'var(--ink)' },
  '.cm-line': { padding: '0 8px' },
  '.cm-scroller': { font: 'inherit', maxHeight: '7.5rem' },
  '.cm-wrong': { textDecoration: 'underline wavy var(--madder) 1px', textUnderlineOffset: '3px' },
  '.cm-tooltip': {
    background: 'var(--paper)',
    color: 'var(--ink)',
    border: '1px solid var(--ash)',
    borderRadius: '6px',
  },
  '.cm-tooltip.cm-tooltip-autocomplete > ul': {
    font: '13px/20px var(--font-sans)',
    maxHeight: '13rem',
  },
  '.cm-tooltip-autocomplete ul li[aria-selected]': {
    background: 'var(--chosen)',
    color: 'var(--ink)',
  },
  '.cm-completionLabel': { fontFamily: 'var(--font-mono)' },
  '.cm-completionMatchedText': { textDecoration: 'none', fontWeight: '600' },
  '.cm-completionDetail': { color: 'var(--ash)', fontStyle: 'normal', marginInlineStart: '1rem' },
  '.cm-completionInfo': { color: 'var(--ash)', padding: '4px 8px', maxWidth: '16rem' },
  '.cm-completionIcon': { display: 'none' },
});

/** An editor for one expression: one line that grows, with completion and the marks of what is wrong. */
export function expressionEditor(
  root: ShadowRoot,
  label: string,
  text: string,
  events: EditorEvents,
): ExpressionEditor {
  let isSetting = false;
  const view = new EditorView({
    root,
    parent: root,
    state: EditorState.create({
      doc: text,
      extensions: [
        history(),
        closeBrackets(),
        wrongMarks,
        looks,
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({
          'aria-label': label,
          spellcheck: 'false',
          autocorrect: 'off',
        }),
        autocompletion({
          override: [(context) => offersIn(context, events.world())],
          icons: false,
          // What is wrong, and what mends it, is said beneath.
          aboveCursor: true,
          interactionDelay: 0,
        }),
        keymap.of([
          { key: 'Tab', run: takeFirst(events) },
          { key: 'Enter', run: takeFirst(events) },
          { key: 'F2', run: renameHere(events) },
          { key: 'Escape', run: leaveIt },
          ...closeBracketsKeymap,
          ...completionKeymap,
          ...historyKeymap,
          ...defaultKeymap,
        ]),
        // At once: the press that takes the focus away may change the very binding.
        EditorView.domEventHandlers({ blur: () => events.left() }),
        EditorView.updateListener.of((update) => {
          if (update.docChanged && !isSetting) events.changed(update.state.doc.toString());
        }),
      ],
    }),
  });
  return {
    view,
    setText(next) {
      const now = view.state.doc.toString();
      if (now === next) return;
      isSetting = true;
      view.dispatch({ changes: { from: 0, to: now.length, insert: next } });
      isSetting = false;
    },
    markWrong(spans) {
      view.dispatch({ effects: setWrong.of(spans) });
    },
    select({ from, to }) {
      const { length } = view.state.doc;
      const selection = { anchor: Math.min(from, length), head: Math.min(to, length) };
      view.dispatch({ selection, scrollIntoView: true });
      view.focus();
    },
  };
}

const renameHere = (events: EditorEvents) => (view: EditorView) => {
  events.rename(view.state.selection.main.head);
  return true;
};

/**
 * Takes what is chosen in the list of offers. Who types faster than the list comes takes the first
 * offer for what stands there now, as the list would show it.
 */
const takeFirst = (events: EditorEvents) => (view: EditorView) => {
  if (acceptCompletion(view)) return true;
  if (completionStatus(view.state) !== 'pending') return false;
  const { head } = view.state.selection.main;
  const offered = offersIn(new CompletionContext(view.state, head, false), events.world());
  const [first] = offered?.options ?? [];
  if (offered === null || first === undefined) return false;
  first.apply(view, first, offered.from, head);
  closeCompletion(view);
  return true;
};

/** Escape leaves the field, once the list of offers is gone: the keyboard is never held. */
function leaveIt(view: EditorView): boolean {
  if (completionStatus(view.state) !== null) return false;
  view.contentDOM.blur();
  return true;
}

function offersIn(context: CompletionContext, world: EditorWorld) {
  const text = context.state.doc.toString();
  const { from, offers } = completionsAt(text, context.pos, world);
  const isAsked =
    context.explicit || from < context.pos || /\.\s*$/.test(text.slice(0, context.pos));
  const isWritten = offers.length === 1 && offers[0]?.text === text.slice(from, context.pos);
  if (!isAsked || offers.length === 0 || (isWritten && !context.explicit)) return null;
  return {
    from,
    filter: false,
    options: offers.map((offer) => ({
      label: offer.text,
      detail: offer.about,
      info: offer.detail,
      apply: (view: EditorView, _: unknown, start: number, end: number) =>
        take(view, offer, start, end),
    })),
  };
}

function take(view: EditorView, { text, caret }: Completion, from: number, to: number): void {
  view.dispatch({
    changes: { from, to, insert: text },
    selection: { anchor: from + caret },
    userEvent: 'input.complete',
  });
}
