/**
 * Cuts text by script as Chromium does: Unicode Standard Annex 24 with script extensions, where a
 * character that several scripts share stays with its neighbours.
 */

// In the order of ICU, which decides among several extensions; Latin comes after all of them.
const names: Readonly<Record<string, string>> = {
  Arab: 'Arabic',
  Armn: 'Armenian',
  Beng: 'Bengali',
  Bopo: 'Bopomofo',
  Copt: 'Coptic',
  Cyrl: 'Cyrillic',
  Deva: 'Devanagari',
  Ethi: 'Ethiopic',
  Geor: 'Georgian',
  Goth: 'Gothic',
  Grek: 'Greek',
  Gujr: 'Gujarati',
  Guru: 'Gurmukhi',
  Hani: 'Han',
  Hang: 'Hangul',
  Hebr: 'Hebrew',
  Hira: 'Hiragana',
  Knda: 'Kannada',
  Kana: 'Katakana',
  Khmr: 'Khmer',
  Laoo: 'Lao',
  Mlym: 'Malayalam',
  Mong: 'Mongolian',
  Mymr: 'Myanmar',
  Orya: 'Oriya',
  Runr: 'Runic',
  Sinh: 'Sinhala',
  Syrc: 'Syriac',
  Taml: 'Tamil',
  Telu: 'Telugu',
  Thaa: 'Thaana',
  Thai: 'Thai',
  Tibt: 'Tibetan',
  Yiii: 'Yi',
  Adlm: 'Adlam',
  Cari: 'Carian',
  Dogr: 'Dogra',
  Gran: 'Grantha',
  Java: 'Javanese',
  Lina: 'Linear_A',
  Mand: 'Mandaic',
  Nkoo: 'Nko',
  Phag: 'Phags_Pa',
  Rohg: 'Hanifi_Rohingya',
  Tale: 'Tai_Le',
  Latn: 'Latin',
};
const common = 'Zyyy';
const inherited = 'Zinh';

const tests = Object.entries(names).map(([tag, name]) => ({
  // Both kinds of kana are one script to who shapes.
  tag: tag === 'Kana' ? 'Hira' : tag,
  isOwn: new RegExp(`\\p{Script=${name}}`, 'u'),
  isExtension: new RegExp(`\\p{Script_Extensions=${name}}`, 'u'),
}));
const isOfCommon = /\p{Script=Common}/u;
const isInherited = /\p{Script=Inherited}/u;

const known = new Map<number, readonly string[]>();

/** The scripts that a character may be of, its own one first. */
function scriptsOf(char: number): readonly string[] {
  let scripts = known.get(char);
  if (scripts === undefined) {
    scripts = lookUp(String.fromCodePoint(char));
    known.set(char, scripts);
  }
  return scripts;
}

/** Whether a character is of any script, whatever stands beside it. */
export const isCommon = (char: number): boolean => {
  const [own, extension] = scriptsOf(char);
  return own === common && extension === undefined;
};

function lookUp(char: string): readonly string[] {
  const extensions = tests.filter(({ isExtension }) => isExtension.test(char));
  const tags = [...new Set(extensions.map(({ tag }) => tag))];
  if (isOfCommon.test(char)) return extensions.length > 1 ? tags : [common, ...tags];
  if (isInherited.test(char)) return [inherited, ...tags];
  const own = tests.find(({ isOwn }) => isOwn.test(char))?.tag ?? 'Zzzz';
  return [own, ...tags.filter((tag) => tag !== own)];
}

const isShared = (script: string | undefined): boolean => script === common || script === inherited;

const pairs =
  '() [] {} （） ［］ ｛｝ 「」 『』 【】 〈〉 《》 〔〕 〖〗 〘〙 〚〛 ｢｣ ｟｠ ⟨⟩ ⁅⁆ ⸨⸩ ❨❩ ﹙﹚ ༺༻ ⁽⁾'.split(
    ' ',
  );
const openOf = new Map(pairs.map((pair) => [pair[1] ?? '', pair[0] ?? '']));
const opening = new Set(openOf.values());

export interface ScriptRun {
  readonly start: number;
  readonly end: number;
  /** ISO 15924 tag. */
  readonly script: string;
}

interface OpenBracket {
  readonly char: string;
  script: string;
}

/** The stretches of one script each. A closing bracket is of the script that its opening one had. */
export function scriptRuns(text: string): readonly ScriptRun[] {
  const runs: ScriptRun[] = [];
  const brackets: OpenBracket[] = [];
  /** Brackets that were opened in this run: their script is known once it ends. */
  let unsettled = 0;
  let current: readonly string[] | undefined;
  let preferred = common;
  let start = 0;
  const settled = () => {
    const script = current?.[0] ?? common;
    return script === common ? preferred : script;
  };
  const endRun = (at: number, isOpening: boolean) => {
    const script = settled();
    runs.push({ start, end: at, script });
    let left = Math.min(unsettled, brackets.length);
    let bracket = brackets.length - 1;
    if (isOpening) {
      bracket -= 1;
      left -= 1;
    }
    unsettled = isOpening ? 1 : 0;
    for (; left > 0; left -= 1, bracket -= 1) {
      const open = brackets[bracket];
      if (open !== undefined) open.script = script;
    }
    start = at;
    preferred = common;
  };
  for (let at = 0; at < text.length; ) {
    const char = text.codePointAt(at) ?? 0;
    const unit = text[at] ?? '';
    let next = scriptsOf(char);
    // Most characters are of the script that their neighbours are of.
    if (current === next && next.length === 1 && !isShared(next[0])) {
      at += char > 0xffff ? 2 : 1;
      continue;
    }
    const isOpening = opening.has(unit);
    const open = openOf.get(unit);
    if (isOpening) {
      brackets.push({ char: unit, script: common });
      unsettled += 1;
    } else if (open !== undefined && current !== undefined) {
      const at = brackets.findLastIndex((bracket) => bracket.char === open);
      const found = brackets[at];
      if (found !== undefined) {
        next = [found.script];
        unsettled = Math.max(0, unsettled - (brackets.length - 1 - at));
        brackets.length = at + 1;
      }
    }
    const joined = current === undefined ? next : join(current, next);
    if (joined === undefined) {
      endRun(at, isOpening);
      current = next;
    } else {
      const [only, extension] = next;
      const isFree = current === undefined || (isShared(current[0]) && preferred === common);
      if (isShared(only) && next.length === 2 && isFree) preferred = extension ?? common;
      current = joined;
    }
    at += char > 0xffff ? 2 : 1;
  }
  if (text.length > 0) runs.push({ start, end: text.length, script: settled() });
  return runs;
}

/** What text of both may be of; undefined: nothing in common. */
function join(current: readonly string[], next: readonly string[]): readonly string[] | undefined {
  if (isShared(next[0])) return current;
  if (isShared(current[0])) return next;
  const both = current.filter((script) => next.includes(script));
  return both.length > 0 ? both : undefined;
}
