import type { Project } from '../../project';
import { tagOf } from './list-js';

/**
 * A page that shows the lists with the sample items, under a policy that lets nothing in from
 * elsewhere and runs no script but its own files. Standard: CSP 3, Trusted Types.
 */
export function indexPage({ name, lists }: Project): string {
  const title = escaped(name);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; require-trusted-types-for 'script'; trusted-types 'none'">
<meta name="viewport" content="width=device-width">
<title>${title}</title>
<link rel="stylesheet" href="fonts.css">
<link rel="stylesheet" href="index.css">
<script type="module" src="list.js"></script>
<script type="module" src="index.js"></script>
</head>
<body>
<h1>${title}</h1>
<main>
${lists.map(({ id, name: own }) => `<section>\n<h2>${escaped(own)}</h2>\n<${tagOf(name)} list="${id}" label="${escaped(own)}"></${tagOf(name)}>\n</section>`).join('\n')}
</main>
</body>
</html>
`;
}

export const indexStyles = `body { margin: 0; padding: 16px; font: 15px/1.4 system-ui, sans-serif; color-scheme: light dark; background: Canvas; color: CanvasText; }
h1 { font-size: 20px; margin: 0 0 12px; }
h2 { font-size: 15px; margin: 0 0 6px; }
main { display: flex; flex-wrap: wrap; gap: 20px; }
section > :last-child { inline-size: 360px; block-size: 640px; border: 1px solid color-mix(in srgb, CanvasText 20%, Canvas); }
`;

export const indexScript = ({
  name,
}: Project): string => `// Gives every list of the page the sample items.
import { items } from './sample-items.js';

await customElements.whenDefined('${tagOf(name)}');
for (const list of document.querySelectorAll('${tagOf(name)}'))
  for (const [source, own] of Object.entries(items)) list.give(source, own);
`;

const escaped = (words: string): string =>
  words.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
