import { structuredPatch } from 'diff';
import { useMemo, useState } from 'react';
import { count } from '../../../core/base';
import { ChoiceChips } from '../../shared/controls/controls';
import type { HandedFile } from './use-pack';

const maxLines = 2_000;

/** A file of the pack: what is otherwise than at the last hand-off, or all of it. */
export function FileView({ file }: { readonly file: HandedFile | undefined }) {
  const [shown, setShown] = useState<'difference' | 'file'>('difference');
  const differs = file?.state === 'changed' || file?.state === 'gone';
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
      tabIndex={0}
      data-pane="file"
      aria-label="The file"
      className="overflow-auto bg-paper py-2"
    >
      {file !== undefined && (
        <div className="flex items-center gap-2 px-3 pb-2 text-sm text-ash">
          <span>{file.about}</span>
          {differs && (
            <span className="ms-auto">
              <ChoiceChips
                label="What is shown of it"
                options={['difference', 'file']}
                chosen={shown}
                onChoose={setShown}
              />
            </span>
          )}
        </div>
      )}
      {file?.isBase64 === true && (
        <p className="px-3 text-ash">A picture is no text that could be shown.</p>
      )}
      {file !== undefined &&
        file.isBase64 !== true &&
        (differs && shown === 'difference' ? (
          <Difference before={file.before ?? ''} now={file.text} />
        ) : (
          <Lines text={file.text} />
        ))}
    </section>
  );
}

function Lines({ text }: { readonly text: string }) {
  const lines = text.split('\n', maxLines + 1);
  const shown = lines.slice(0, maxLines);
  if (shown.at(-1) === '') shown.pop();
  return (
    <>
      <ol className="font-mono text-sm leading-5">
        {shown.map((line, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line of a text is its number
          <Line key={index} number={index + 1} words={line} />
        ))}
      </ol>
      {lines.length > maxLines && <p className="px-3 py-2 text-ash">… and so on to its end.</p>}
    </>
  );
}

type Sign = ' ' | '+' | '-';
const looks: Readonly<Record<Sign, string>> = {
  ' ': '',
  '+': 'bg-moss/15',
  '-': 'bg-madder/15',
};
const told: Readonly<Record<Sign, string>> = { ' ': '', '+': 'added: ', '-': 'removed: ' };

interface LineProps {
  readonly number: number | undefined;
  readonly words: string;
  readonly sign?: Sign;
}

const longest = 300;

function Line({ number, words, sign = ' ' }: LineProps) {
  return (
    <li className={`flex gap-3 px-3 whitespace-pre ${looks[sign]}`}>
      <span aria-hidden="true" className="w-3 shrink-0 text-end select-none">
        {sign === '-' ? '−' : sign}
      </span>
      <span className="w-9 shrink-0 text-end text-ash select-none">{number}</span>
      <span>
        <span className="sr-only">{told[sign]}</span>
        {words.length > longest ? `${words.slice(0, longest)} …` : words}
      </span>
    </li>
  );
}

/** So long is looked for the fewest lines that differ; texts that have hardly anything in common take for ever. */
const mostMs = 1_000;

interface DifferenceProps {
  readonly before: string;
  readonly now: string;
}

function Difference({ before, now }: DifferenceProps) {
  const hunks = useMemo(
    () =>
      structuredPatch('', '', before, now, '', '', { context: 3, timeout: mostMs })?.hunks ??
      undefined,
    [before, now],
  );
  if (hunks === undefined)
    return <p className="px-3 text-ash">Too much of it is otherwise to show what.</p>;
  let left = maxLines;
  return (
    <>
      {hunks.map(({ newStart, lines }) => {
        if (left <= 0) return null;
        const shown = lines.slice(0, left);
        left -= shown.length;
        let number = newStart - 1;
        return (
          <ol
            key={newStart}
            className="border-b border-rule py-1 font-mono text-sm leading-5 last:border-0"
          >
            {shown.map((line, index) => {
              const sign = signOf(line);
              if (sign !== '-') number += 1;
              return (
                <Line
                  // biome-ignore lint/suspicious/noArrayIndexKey: a line of a difference is its place
                  key={index}
                  number={sign === '-' ? undefined : number}
                  words={line.slice(1)}
                  sign={sign}
                />
              );
            })}
          </ol>
        );
      })}
      {left <= 0 && (
        <p className="px-3 py-2 text-ash">
          {count(maxLines, 'line')} are shown of those that differ.
        </p>
      )}
    </>
  );
}

const signOf = (line: string): Sign => (line[0] === '+' || line[0] === '-' ? line[0] : ' ');
