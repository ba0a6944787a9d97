import bidiFactory from 'bidi-js';
import type { TextDirection } from '../../base';
import { emojiRuns } from './emoji-runs';
import { scriptRuns } from './scripts';

/** A stretch that is shaped in one go: of one script, one emoji class and one bidi level. */
export interface Run {
  readonly start: number;
  end: number;
  /** Unicode Standard Annex 9; odd: from right to left. */
  readonly level: number;
  readonly script: string;
  readonly isEmoji: boolean;
}

const bidi = bidiFactory();

const mayRunLeft =
  /[\u0590-\u08FF\u200F\u202A-\u202E\u2066-\u2069\uFB1D-\uFDFF\uFE70-\uFEFF]|[\uD802-\uD803\uD83A-\uD83B]/;

/** Whether anything in a text could run from right to left. */
export const isRtlPossible = (text: string): boolean => mayRunLeft.test(text);

/** The direction of a text by its first strong character (Unicode Standard Annex 9, P2). */
export function directionOfText(text: string): TextDirection {
  const [first] = isRtlPossible(text) ? bidi.getEmbeddingLevels(text).paragraphs : [];
  return ((first?.level ?? 0) & 1) === 1 ? 'rtl' : 'ltr';
}

/** Runs of a paragraph in the order of the text; its direction, if none is given, is that of its first strong character. */
export function runsOf(text: string, direction?: TextDirection): readonly Run[] {
  const levels =
    direction === 'rtl' || isRtlPossible(text)
      ? bidi.getEmbeddingLevels(text, direction).levels
      : undefined;
  const scripts = scriptRuns(text);
  const emoji = emojiRuns(text);
  const runs: Run[] = [];
  let script = 0;
  let symbol = 0;
  let last: { readonly run: Run; readonly script: number; readonly symbol: number } | undefined;
  for (let at = 0; at < text.length; at += 1) {
    while ((scripts[script]?.end ?? text.length) <= at) script += 1;
    while (emoji !== undefined && (emoji[symbol]?.end ?? text.length) <= at) symbol += 1;
    const level = levels?.[at] ?? 0;
    if (last?.run.level === level && last.script === script && last.symbol === symbol) {
      last.run.end = at + 1;
      continue;
    }
    const kind = emoji?.[symbol]?.kind ?? 'text';
    const run: Run = {
      start: at,
      end: at + 1,
      level,
      script: scripts[script]?.script ?? 'Zyyy',
      isEmoji: kind !== 'text',
    };
    runs.push(run);
    last = { run, script, symbol };
  }
  return runs;
}
