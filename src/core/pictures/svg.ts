/** More than any drawing for a row has; a few lines that use each other can stand for billions. */
const maxDrawn = 100_000;

/**
 * Whether a drawing comes to an end in a time that a row has: how many elements a viewer draws,
 * with all that is used again and again through references (`href="#…"`, `url(#…)`) counted each
 * time. Texts that define entities are never drawn. Standard: SVG 2, 5.6; XML 1.0, 4.2.
 */
export function isDrawable(svg: string): boolean {
  if (/<!ENTITY/i.test(svg)) return false;
  const groups = groupsOf(svg.replace(/<!--[\s\S]*?-->|<!\[CDATA\[[\s\S]*?\]\]>/g, ''));
  return new Weigher(groups).whole() <= maxDrawn;
}

const ownPaint =
  /(?:fill|stroke|stop-color|flood-color)\s*[=:]\s*["']?\s*(?!none\b|currentcolor\b|transparent\b|inherit\b)[^"'\s;]/i;

/** Whether a drawing leaves its colour to what stands around it (SVG 2, 13.2: `currentColor`). */
export const isSymbol = (svg: string): boolean =>
  /currentcolor/i.test(svg) && !ownPaint.test(svg) && !/<image\b/i.test(svg);

/** An element that can be referred to, with what stands in it. */
interface Group {
  count: number;
  readonly uses: string[];
}

/** The name under which everything stands. */
const whole = '';
const tag = /<(\/?)[a-zA-Z][\w:.-]*((?:"[^"]*"|'[^']*'|[^'">])*)>/g;
const reference = /(?:href\s*=\s*["']\s*#|url\(\s*["']?#)([^"')\s]+)/g;

function groupsOf(svg: string): ReadonlyMap<string, Group> {
  const groups = new Map<string, Group>([[whole, { count: 0, uses: [] }]]);
  // By element that is open, the group that it is, if it can be referred to.
  const open: (Group | undefined)[] = [groups.get(whole)];
  for (const [, slash, attributes = ''] of svg.matchAll(tag)) {
    if (slash === '/') {
      if (open.length > 1) open.pop();
      continue;
    }
    const id = /(?:^|\s)id\s*=\s*(?:"([^"]*)"|'([^']*)')/.exec(attributes);
    const own: Group | undefined = id === null ? undefined : { count: 0, uses: [] };
    if (own !== undefined) groups.set(id?.[1] ?? id?.[2] ?? '', own);
    open.push(own);
    const uses = [...attributes.matchAll(reference)].map((each) => each[1] ?? '');
    // What stands in a group stands in those around it, too.
    for (const group of open) {
      if (group === undefined) continue;
      group.count += 1;
      group.uses.push(...uses);
    }
    if (attributes.trimEnd().endsWith('/')) open.pop();
  }
  return groups;
}

class Weigher {
  private readonly known = new Map<string, number>();
  private readonly isOpen = new Set<string>();

  constructor(private readonly groups: ReadonlyMap<string, Group>) {}

  whole(): number {
    return this.weigh(whole);
  }

  private weigh(id: string): number {
    const known = this.known.get(id);
    if (known !== undefined) return known;
    const group = this.groups.get(id);
    // What refers to itself is drawn once by every viewer.
    if (group === undefined || this.isOpen.has(id)) return 0;
    this.isOpen.add(id);
    const weight = group.uses.reduce(
      (sum, use) => (sum > maxDrawn ? sum : sum + this.weigh(use)),
      group.count,
    );
    this.isOpen.delete(id);
    this.known.set(id, weight);
    return weight;
  }
}
