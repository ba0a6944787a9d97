import Hand from 'lucide-react/icons/hand';

interface LivesButtonProps {
  /** What tells two windows apart to those who hear it. */
  readonly of?: string;
  readonly lives: boolean;
  readonly onChange: (change: { readonly lives: boolean }) => void;
}

/** Turns presses from looking at parts into what the app's user does. */
export function LivesButton({ of = '', lives, onChange }: LivesButtonProps) {
  return (
    <button
      type="button"
      aria-pressed={lives}
      title="Presses are the app user’s: rows do what they would do in the app"
      className="inline-flex h-7 items-center gap-1.5 rounded-md border border-rule bg-paper px-2 text-sm hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
      onClick={() => onChange({ lives: !lives })}
    >
      <Hand size={14} aria-hidden="true" />
      <span className="sr-only">Lives{of}</span>
    </button>
  );
}
