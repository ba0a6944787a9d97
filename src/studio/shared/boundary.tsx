import { Component, type ReactNode } from 'react';
import { Button } from './controls';
import { stepBack } from './editing';
import { useSession } from './session';

interface BoundaryProps {
  /** What is drawn in it, as in “the Templates station”. */
  readonly what: string;
  readonly children: ReactNode;
}

interface BoundaryState {
  readonly error: unknown;
  readonly hasFailed: boolean;
}

const allWell: BoundaryState = { error: undefined, hasFailed: false };

/**
 * Whatever fails while a part of the page is drawn, the rest of it lives. It is drawn anew once the
 * project is another one, so that the last step can be taken back from here.
 */
export class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state = allWell;
  private stopListening = () => {};

  static getDerivedStateFromError(error: unknown): BoundaryState {
    return { error, hasFailed: true };
  }

  override componentDidMount(): void {
    this.stopListening = useSession.subscribe((now, before) => {
      if (this.state.hasFailed && now.history?.project !== before.history?.project)
        this.setState(allWell);
    });
  }

  override componentWillUnmount(): void {
    this.stopListening();
  }

  override render(): ReactNode {
    if (!this.state.hasFailed) return this.props.children;
    const { error } = this.state;
    const reason = error instanceof Error ? error.message : String(error);
    return <Failed {...this.props} reason={reason} onAgain={() => this.setState(allWell)} />;
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
