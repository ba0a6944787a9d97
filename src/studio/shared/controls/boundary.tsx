import { Component, type ReactNode } from 'react';
import { stepBack } from '../session/editing';
import { useSession } from '../session/session';
import { Button } from './controls';
import { Attempt } from './on-demand';

interface BoundaryProps {
  /** What is drawn in it, as in “the Templates station”. */
  readonly what: string;
  readonly children: ReactNode;
}

interface BoundaryState {
  readonly attempt: number;
  readonly error: unknown;
  readonly hasFailed: boolean;
}

const allWell = { error: undefined, hasFailed: false };
let attempts = 0;

/** No attempt has the number of another one, wherever on the page it is. */
function again(): BoundaryState {
  attempts += 1;
  return { ...allWell, attempt: attempts };
}

/**
 * Whatever fails while a part of the page is drawn, the rest of it lives. It is drawn anew once the
 * project is another one, so that the last step can be taken back from here.
 */
export class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { ...allWell, attempt: 0 };
  private stopListening = () => {};

  static getDerivedStateFromError(error: unknown): Omit<BoundaryState, 'attempt'> {
    return { error, hasFailed: true };
  }

  override componentDidMount(): void {
    this.stopListening = useSession.subscribe((now, before) => {
      if (this.state.hasFailed && now.history?.project !== before.history?.project)
        this.setState(again());
    });
  }

  override componentWillUnmount(): void {
    this.stopListening();
  }

  override render(): ReactNode {
    const { attempt, error, hasFailed } = this.state;
    if (!hasFailed) return <Attempt value={attempt}>{this.props.children}</Attempt>;
    const reason = error instanceof Error ? error.message : String(error);
    return <Failed {...this.props} reason={reason} onAgain={() => this.setState(again())} />;
  }
}

interface FailedProps {
  readonly what: string;
  readonly reason: string;
  readonly onAgain: () => void;
}

function Failed({ what, reason, onAgain }: FailedProps) {
  const last = useSession((session) => session.history?.done.at(-1)?.name);
  return (
    <section role="alert" aria-label={`${what} failed`} className="h-full overflow-auto p-4">
      <h2 className="font-semibold text-madder">Drawing {what} failed</h2>
      <p className="py-1">
        The project is whole, and the rest of the page works. What went wrong:{' '}
        <code className="font-mono text-sm break-words">{reason.slice(0, 200)}</code>
      </p>
      <span className="flex flex-wrap gap-1.5">
        {last !== undefined && (
          <Button isMain onPress={stepBack}>
            Undo: {last}
          </Button>
        )}
        <Button onPress={onAgain}>Try again</Button>
      </span>
    </section>
  );
}
