import { useRef } from 'react';
import { arrive } from './arrivals';
import { Button } from './controls';

interface FileButtonProps {
  readonly words: string;
  /** What is asked for, for those who do not see the button's surroundings. */
  readonly label: string;
}

/** Chooses a file and brings it; the same file may be chosen again. */
export function FileButton({ words, label }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) void arrive({ file, name: file.name });
          event.target.value = '';
        }}
      />
      <Button onPress={() => input.current?.click()} title="Dropping a file anywhere does the same">
        {words}
      </Button>
    </>
  );
}
