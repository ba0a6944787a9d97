import css from '../render/render.css';

/** What rows have of themselves, and may be given otherwise by the page. */
const own = `
:host { display: block; position: relative; block-size: 100%; color-scheme: light dark;
  --row-face: var(--list-font, "Noto Sans", system-ui, sans-serif);
  --row-ground: var(--list-ground, light-dark(#ffffff, #1e1c22));
  --row-ink: var(--list-ink, light-dark(#25222c, #efe9dd));
  --row-ash: var(--list-ash, light-dark(#625c6b, #a8a1ae));
  --row-rule: var(--list-rule, light-dark(#e6dfd2, #3d3944));
  --row-blank: var(--list-soft, light-dark(#f1ebdf, #35323c));
  --row-missing: light-dark(#a23a2c, #e58a78);
  --row-at-hand: light-dark(#e8eef4, #2c3540);
  --row-mark: light-dark(#2b5b87, #86b8e2); }
:host([hidden]) { display: none; }
:host([scheme="light"]) { color-scheme: light; }
:host([scheme="dark"]) { color-scheme: dark; }
.list { block-size: 100%; color: var(--row-ink); background: var(--row-ground); }
.told { position: absolute; inline-size: 1px; block-size: 1px; overflow: hidden; clip-path: inset(50%); }
.measuring { position: absolute; inset: 0 0 auto; block-size: 0; visibility: hidden; }
`;

const sheets = new Map<string, CSSStyleSheet>();

/** One sheet for all elements of a pack, whose signs are among its files. `base`: where those are. */
export function sheet(base: string): CSSStyleSheet {
  const known = sheets.get(base);
  if (known !== undefined) return known;
  registerProperties();
  const made = new CSSStyleSheet();
  const address = (sign: string) => new URL(`signs/${sign}.svg`, base).href;
  made.replaceSync(css.replace(/url\("?sign:(\d+)"?\)/g, (_, n) => `url("${address(n)}")`) + own);
  sheets.set(base, made);
  return made;
}

/** Rules of `@property` count in the page alone (CSS Properties and Values 1, 2): sheets of shadow trees say theirs by script. */
function registerProperties(): void {
  for (const [, name = '', body = ''] of css.matchAll(/@property (--[\w-]+)\s*\{([^}]*)\}/g)) {
    const said = (key: string) => new RegExp(`${key}:\\s*("?)([^";]+)\\1`).exec(body)?.[2] ?? '';
    try {
      CSS.registerProperty({
        name,
        syntax: said('syntax'),
        inherits: said('inherits') === 'true',
        initialValue: said('initial-value'),
      });
    } catch {
      // Another list of the page did so before.
    }
  }
}
