import { useMemo, useRef, useState } from 'react';
import { count } from '../../../../core/base';
import { readTokens, writeTokens } from '../../../../core/design-tokens';
import { coloursOf, edits, type Project, spacingOf, stylesOf } from '../../../../core/project';
import { Button, Heading } from '../../../shared/controls/controls';
import { saveText } from '../../../shared/keeping/save-file';
import { make } from '../../../shared/session/editing';

const bare = <T extends { readonly path: readonly string[] }>(all: readonly T[]) =>
  all.map(({ path: _, ...own }) => own);

/** Looks as a file of design tokens, in and out; what of one nothing here takes is listed, and stays in it. */
export default function Tokens({ project }: { readonly project: Project }) {
  const input = useRef<HTMLInputElement>(null);
  const [why, setWhy] = useState<string>();
  const take = async (file: File) => {
    const text = await file.text();
    const read = readTokens(text);
    setWhy(read.ok ? undefined : `${file.name}: ${read.error}`);
    if (!read.ok) return;
    const { colours, styles, spacing } = read.value;
    const looks = { colours: bare(colours), styles: bare(styles), spacing: bare(spacing) };
    setWhy(make(edits.takeTokens(looks, text)));
  };
  const give = () => {
    const looks = {
      ...{ colours: coloursOf(project), styles: stylesOf(project), spacing: spacingOf(project) },
    };
    saveText(
      `${project.name}.tokens.json`,
      writeTokens(looks, project.tokenFile),
      'application/json',
    );
  };
  const { tokenFile } = project;
  const kept = useMemo(
    () => (tokenFile === undefined ? undefined : readTokens(tokenFile)),
    [tokenFile],
  );
  const others = kept?.ok ? kept.value.others : [];
  return (
    <section aria-label="Design tokens" className="py-2">
      <Heading>Design tokens</Heading>
      <input
        ref={input}
        type="file"
        accept=".json,.tokens,application/json"
        className="hidden"
        aria-label="A file of design tokens"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file !== undefined) void take(file);
          target.value = '';
        }}
      />
      <span className="flex gap-1.5">
        <Button onPress={() => input.current?.click()}>Bring in</Button>
        <Button onPress={give}>Take out</Button>
      </span>
      {why !== undefined && (
        <p role="alert" className="py-1 text-sm text-madder">
          {why}
        </p>
      )}
      {others.length > 0 && (
        <details className="py-1 text-sm text-ash">
          <summary>{count(others.length, 'token')} kept, not understood</summary>
          <ul>
            {others.slice(0, 200).map((each) => (
              <li key={each.path} className="break-words">
                <code>{each.path}</code>: {each.why}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
