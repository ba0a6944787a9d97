import type { Finding } from '../../../core/base';

interface FindingLineProps {
  readonly finding: Finding;
  readonly text: string;
  readonly onMend: (text: string) => void;
}

const colours = { error: 'text-madder', warning: 'text-weld', note: 'text-ash' } as const;

/** What is wrong with an expression, what to write instead, and one press that does. */
export function FindingLine({ finding, text, onMend }: FindingLineProps) {
  const { message, hint, mend, severity } = finding;
  const isOnButton = hint === `${mend?.label}.`;
  return (
    <p className={`pt-0.5 text-sm ${colours[severity]}`} role="status">
      {message} {!isOnButton && <span className="text-ink">{hint} </span>}
      {mend !== undefined && (
        <button
          type="button"
          className="text-woad underline"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onMend(text.slice(0, mend.from) + mend.text + text.slice(mend.to))}
        >
          {mend.label}
        </button>
      )}
    </p>
  );
}
