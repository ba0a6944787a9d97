import { useState } from 'react';

type Scheme = 'light' | 'dark';

const now = (): Scheme =>
  document.documentElement.dataset['scheme'] === 'dark' ? 'dark' : 'light';

/** The studio's scheme and how to change to the other; `public/scheme.js` applies it at the next load. */
export function useScheme(): readonly [Scheme, () => void] {
  const [scheme, setScheme] = useState(now);
  return [
    scheme,
    () => {
      const next = scheme === 'dark' ? 'light' : 'dark';
      document.documentElement.dataset['scheme'] = next;
      try {
        localStorage.setItem('yarn-card/scheme', next);
      } catch {
        // Where nothing may be kept, it holds until the page is left.
      }
      setScheme(next);
    },
  ];
}
