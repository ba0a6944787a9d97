import { count, type Json } from '../../../../core/base';
import { edits, type Source, withId } from '../../../../core/project';
import { fieldAtPath, typeInWords } from '../../../../core/values';
import type { Misfit } from '../../../../engine';
import { Button } from '../../../shared/controls/controls';
import { handItem } from '../../../shared/session/at-hand';
import { makeForeseen } from '../../../shared/session/foreseeing';
import { engine, surveyOf, useKept, useProject } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';

interface MisfitsProps {
  readonly source: Source;
  /** The path, with dots, of the only field whose misfits are shown. */
  readonly field?: string | undefined;
}

/** Values that are not of their field's type: counted, listed, and what can be done about them. */
export function Misfits({ source, field }: MisfitsProps) {
  const all = useMisfits(source.id);
  const own = all.filter(({ path }) => field === undefined || path.join('.') === field);
  return own.map((misfit) => (
    <Line key={`${misfit.type} ${misfit.path.join('.')}`} misfit={misfit} />
  ));
}

/** Looked for only where the counts over all items say that there are some. */
function useMisfits(source: string): readonly Misfit[] {
  const hasSome = useKept((session) =>
    surveyOf(session).findings.some(({ code }) => code === 'field-of-other-type'),
  );
  return useAnswer(hasSome ? source : undefined, (asked) => engine().misfits(asked)) ?? [];
}

function Line({ misfit: { type, path, itemCount, some } }: { readonly misfit: Misfit }) {
  const project = useProject();
  const known = fieldAtPath(withId(project?.types ?? [], type)?.fields ?? [], path);
  if (known === undefined) return null;
  const name = path.join('.');
  const isPlain = some.every(({ value }) => typeof value !== 'object');
  return (
    <div role="status" className="flex flex-wrap items-start gap-x-2 py-0.5 text-sm">
      <details className="min-w-0">
        <summary className="cursor-default text-weld">
          <b>{name}</b> stays {typeInWords(known)}: {count(itemCount, 'item')}{' '}
          {itemCount === 1 ? 'has' : 'have'} something else, which no row shows
        </summary>
        <ul className="max-h-32 overflow-auto ps-4">
          {some.map(({ item, key, value }) => (
            <li key={item}>
              <button type="button" className="underline" onClick={() => void handItem(item)}>
                {key}
              </button>{' '}
              <code className="font-mono">{short(value)}</code>
            </li>
          ))}
          {itemCount > some.length && <li>and {count(itemCount - some.length, 'other')}</li>}
        </ul>
      </details>
      {isPlain && known.type !== 'record' && known.type !== 'list' && (
        <Button onPress={() => makeForeseen(edits.retypeField({ type, path }, 'text'))}>
          Make {name} text
        </Button>
      )}
    </div>
  );
}

const short = (value: Json): string => JSON.stringify(value).slice(0, 60);
