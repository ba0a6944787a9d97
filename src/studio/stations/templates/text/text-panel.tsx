import { useEffect, useRef, useState } from 'react';
import {
  edits,
  partAtPlace,
  partSpan,
  readTemplateText,
  type TemplateRead,
  templateText,
  withId,
} from '../../../../core/project';
import { prefixOf } from '../../../../core/templates';
import { make } from '../../../shared/session/editing';
import { type Selection, select } from '../selection';
import { type TextEditor, textEditor } from './text-view';

/** The template's piece of the project file: what is typed shows in the rows as soon as it reads. */
export default function TextPanel({ selection }: { readonly selection: Selection }) {
  const { project, template, part } = selection;
  const host = useRef<HTMLDivElement>(null);
  const editor = useRef<TextEditor>(undefined);
  const written = withId(project.templates, template.id);
  const own = written === undefined ? '' : templateText(written);
  const [wrong, setWrong] = useState<Extract<TemplateRead, { readonly why: string }>>();
  const typing = useRef({ text: own, run: 0 });
  const latest = useRef({ id: template.id, part: part.id });
  latest.current = { id: template.id, part: part.id };

  // biome-ignore lint/correctness/useExhaustiveDependencies: one editor as long as the panel is there
  useEffect(() => {
    const element = host.current;
    if (element === null) return;
    const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' });
    root.replaceChildren();
    const made = textEditor(root, own, {
      changed: (text) => void take(text),
      caret: (at) => {
        const id = partAtPlace(made.view.state.doc.toString(), at);
        if (id !== undefined && id !== latest.current.part) select([id]);
      },
    });
    editor.current = made;
    const take = async (text: string) => {
      const run = typing.current.run + 1;
      typing.current = { text, run };
      const read = await readTemplateText(text);
      if (typing.current.run !== run) return;
      const isWrong = 'why' in read;
      setWrong(isWrong ? read : undefined);
      made.markWrong(isWrong ? [read.span] : []);
      if (!isWrong) make(edits.writeTemplate(latest.current.id, read, `text ${latest.current.id}`));
    };
    return () => made.view.destroy();
  }, [template.id]);

  // What the bench changes is in the text; what one types stays as it is typed.
  useEffect(() => {
    const isTyped = editor.current?.view.hasFocus === true && saysSame(typing.current.text, own);
    if (isTyped) return;
    editor.current?.setText(own);
    editor.current?.markWrong([]);
    setWrong(undefined);
  }, [own]);

  const isShared = prefixOf(part.id) !== '';
  useEffect(() => {
    if (editor.current === undefined || editor.current.view.hasFocus || isShared) return;
    const span = partSpan(editor.current.view.state.doc.toString(), part.id);
    if (span !== undefined) editor.current.show(span);
  }, [part.id, isShared]);

  return (
    <section aria-label="As text" className="flex min-h-0 flex-col border-t border-rule bg-paper">
      <div
        ref={host}
        className="min-h-0 flex-1 overflow-hidden focus-within:outline-2 focus-within:outline-woad"
      />
      <p
        role="status"
        className={`min-h-6 border-t border-rule px-3 py-0.5 text-sm ${wrong === undefined ? 'text-ash' : 'text-madder'}`}
      >
        {wrong?.why ?? 'It reads. A piece of the project file: the rows follow as you type.'}
      </p>
    </section>
  );
}

/** Whether a text says what another does, however it is written. */
function saysSame(text: string, other: string): boolean {
  try {
    return JSON.stringify(JSON.parse(text)) === JSON.stringify(JSON.parse(other));
  } catch {
    return false;
  }
}
