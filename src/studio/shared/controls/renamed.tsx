import { useState } from 'react';

/** Words that are a name: pressed, they can be written anew. */
export function Renamed({
  label,
  words,
  onRename,
}: {
  readonly label: string;
  readonly words: string;
  readonly onRename: (words: string) => string | undefined;
}) {
  const [text, setText] = useState(words);
  return (
    <input
      aria-label={label}
      className="h-7 min-w-0 rounded-md bg-transparent px-1 font-semibold hover:bg-paper focus:bg-paper"
      style={{ width: `${Math.max(5, text.length + 2)}ch` }}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        if (text !== words && onRename(text) !== undefined) setText(words);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setText(words);
      }}
    />
  );
}
