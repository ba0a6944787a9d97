const steps = [
  { words: 'Data', about: 'Bring items; see what they are, and what is missing.' },
  { words: 'Templates', about: 'Thread values to parts; watch the real rows change.' },
  { words: 'Choices', about: 'Which item gets which template.' },
  { words: 'List', about: 'Rows or cells, gaps and edges.' },
  { words: 'Hand-off', about: 'Files that your app and your CI can use.' },
] as const;

/** The stations in a line each, on one thread. */
export function WayOfARow() {
  return (
    <aside className="border-l border-rule ps-7">
      <h2 className="pb-4 font-semibold">The way of a row</h2>
      <ol className="relative flex flex-col gap-4">
        <svg
          className="absolute inset-y-2 left-1 h-[calc(100%-16px)] w-4"
          viewBox="0 0 16 260"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          <path
            d="M8 0c6 40-6 60 0 130s5 80 0 130"
            fill="none"
            stroke="var(--madder)"
            strokeWidth="1.5"
          />
        </svg>
        {steps.map(({ words, about }, index) => (
          <li key={words} className="relative flex gap-4">
            <span className="grid size-6 shrink-0 place-items-center rounded-full border border-ash bg-wool text-sm text-ash">
              {index + 1}
            </span>
            <span>
              <b className="block">{words}</b>
              <span className="text-ash">{about}</span>
            </span>
          </li>
        ))}
      </ol>
      <p className="pt-6 text-ash">
        New here? The demo is whole and yours to change.
        <br />
        <kbd className="rounded-sm border border-rule px-1 font-sans text-sm">Ctrl K</kbd> finds
        everything, <kbd className="rounded-sm border border-rule px-1 font-sans text-sm">?</kbd>{' '}
        shows the keys.
      </p>
    </aside>
  );
}
