import { useRef } from 'react';
import { arriveFiles } from '../opening/arrivals';
import { Button } from './controls';

interface FileButtonProps {
  readonly words: string;
  /** What is asked for, for those who do not see the button's surroundings. */
  readonly label: string;
  /** Of these kinds only. */
  readonly accept?: string;
}

/** Chooses files and brings them; the same ones may be chosen again. */
export function FileButton({ words, label, accept }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple
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
