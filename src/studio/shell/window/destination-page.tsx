import ArrowLeft from 'lucide-react/icons/arrow-left';
import { useEffect, useRef } from 'react';
import { Button } from '../../shared/controls/controls';
import { useTold } from '../../shared/living/events';

/** Says what the window did to those who do not see it. */
export function Announced() {
  const said = useTold((told) => told.said);
  return (
    <p className="sr-only" aria-live="assertive" data-testid="announced">
      {said}
    </p>
  );
}

/** A page of the app, as plain as can be: what it was handed, and the way back. */
export function DestinationPage() {
  const page = useTold((told) => told.page);
  const back = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (page !== undefined) back.current?.querySelector('button')?.focus();
  }, [page]);
  if (page === undefined) return null;
  const { to, event } = page;
  return (
    <section
      aria-label={to}
      className="absolute inset-0 z-10 flex flex-col bg-(--row-ground) text-(--row-ink)"
      onKeyDown={({ key }) => key === 'Escape' && useTold.setState({ page: undefined })}
    >
      <div ref={back} className="flex items-center gap-2 border-b border-(--row-rule) p-2">
        <Button onPress={() => useTold.setState({ page: undefined })}>
          <ArrowLeft size={14} aria-hidden="true" className="rtl:-scale-x-100" /> Back
        </Button>
        <h2 className="min-w-0 truncate font-semibold">{to}</h2>
      </div>
      <div className="min-h-0 flex-1 overflow-auto p-3">
        <p className="pb-2 text-sm text-(--row-ash)">
          {event.payloadType} of {event.key}
        </p>
        <pre className="font-mono text-xs whitespace-pre-wrap">
          {event.payload === undefined ? 'no value' : JSON.stringify(event.payload, undefined, 2)}
        </pre>
      </div>
    </section>
  );
}
