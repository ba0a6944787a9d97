declare namespace Intl {
  /** Chromium's own finder of breaks; workers have it too. */
  class v8BreakIterator {
    constructor(locale: string, options: { readonly type: 'line' });
    adoptText(text: string): void;
    first(): number;
    next(): number;
  }
}
