import Hand from 'lucide-react/icons/hand';
import type { ReactNode } from 'react';

interface PaneToggleProps {
  readonly words: string;
  readonly title: string;
  /** What is seen of it; its words are heard. */
  readonly icon: ReactNode;
  readonly isOn: boolean;
  /** Where the window is narrow there is no room for what it shows. */
  readonly givesWay?: boolean;
  readonly onPress: () => void;
}

/** Something of a window that is on or off. */
export function PaneToggle({ words, title, icon, isOn, givesWay, onPress }: PaneToggleProps) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      title={title}
      className={`inline-flex h-7 items-center gap-1.5 rounded-md border border-rule bg-paper px-2 text-sm hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper ${givesWay ? 'max-[1000px]:hidden' : ''}`}
      onClick={onPress}
    >
      {icon}
      <span className="sr-only">{words}</span>
    </button>
  );
}

interface LivesButtonProps {
  /** What tells two windows apart to those who hear it. */
  readonly of?: string;
  readonly lives: boolean;
  readonly onChange: (change: { readonly lives: boolean }) => void;
}

/** Turns presses from looking at parts into what the app's user does. */
export const LivesButton = ({ of = '', lives, onChange }: LivesButtonProps) => (
  <PaneToggle
    words={`Lives${of}`}
    title="Presses are the app user’s: rows do what they would do in the app"
    icon={<Hand size={14} aria-hidden="true" />}
    isOn={lives}
    onPress={() => onChange({ lives: !lives })}
  />
);
