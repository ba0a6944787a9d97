import { useRef } from 'react';
import { arriveFiles } from '../opening/arrivals';
import { Button } from './controls';

interface FileButtonProps {
  readonly words: string;
  /** What is asked for, for those who do not see the button's surroundings. */
  readonly label: string;
  /** Several at once, of these kinds only. */
  readonly accept?: string;
}

/** Chooses a file and brings it; the same file may be chosen again. */
export function FileButton({ words, label, accept }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={accept !== undefined}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          void arriveFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <Button onPress={() => input.current?.click()} title="Dropping a file anywhere does the same">
        {words}
      </Button>
    </>
  );
}
