import { useEffect, useRef, useState } from 'react';
import type { Finding } from '../../../core/base';
import { loadHabits, type Span } from '../../../core/values';
import { fetched } from '../controls/on-demand';
import { useSession } from '../session/session';
import { rowsStand } from '../window/rows-stand';
import type { ExpressionEditor as Editor, EditorWorld } from './editor-view';

interface ExpressionEditorProps {
  readonly label: string;
  readonly text: string;
  readonly world: EditorWorld;
  readonly findings: readonly Finding[];
  readonly onChange: (text: string) => void;
  readonly onLeave: () => void;
  readonly onRename: (offset: number) => void;
  /** A stretch to select, each time that it is another object. */
  readonly selected?: Span | undefined;
}

const frame =
  'min-h-7 w-full rounded-md border border-rule bg-paper focus-within:border-woad focus-within:outline-2 focus-within:outline-woad';

/**
 * A field for an expression. The editor stands in a shadow root, where its styles are sheets made
 * by script, which the security policy allows. Until it is loaded, the words stand there.
 */
export function ExpressionEditor(props: ExpressionEditorProps) {
  const { label, text, findings } = props;
  const host = useRef<HTMLDivElement>(null);
  const editor = useRef<Editor>(undefined);
  const latest = useRef(props);
  latest.current = props;
  const [isReady, setReady] = useState(false);
  const hasRows = useSession((session) => session.view !== undefined);

  useEffect(() => {
    if (!hasRows) return;
    let isLeft = false;
    void afterRows().then(({ expressionEditor }) => {
      const element = host.current;
      if (isLeft || element === null) return;
      const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' });
      root.replaceChildren();
      editor.current = expressionEditor(root, label, latest.current.text, {
        world: () => latest.current.world,
        changed: (next) => latest.current.onChange(next),
        left: () => latest.current.onLeave(),
        rename: (offset) => latest.current.onRename(offset),
      });
      setReady(true);
    });
    return () => {
      isLeft = true;
      editor.current?.view.destroy();
      editor.current = undefined;
    };
  }, [label, hasRows]);

  useEffect(() => {
    if (isReady) editor.current?.setText(text);
  }, [text, isReady]);

  useEffect(() => {
    if (isReady) editor.current?.markWrong(findings.flatMap(spanOf));
  }, [findings, isReady]);

  const { selected } = props;
  useEffect(() => {
    if (isReady && selected !== undefined) editor.current?.select(selected);
  }, [selected, isReady]);

  return (
    <>
      <div ref={host} className={`${frame} ${isReady ? '' : 'hidden'}`} />
      {!isReady && <div className={`${frame} truncate px-2 py-1 font-mono text-sm`}>{text}</div>}
    </>
  );
}

let loading: Promise<typeof import('./editor-view')> | undefined;

/** Rows come first: nobody types before there is something to see. */
function afterRows(): Promise<typeof import('./editor-view')> {
  loading ??= rowsStand().then(async () => {
    const [view] = await Promise.all([fetched(() => import('./editor-view')), loadHabits()]);
    return view;
  });
  return loading;
}

const spanOf = ({ place }: Finding): readonly Span[] =>
  place.in === 'expression' ? [{ from: place.from, to: place.to }] : [];
