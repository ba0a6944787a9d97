// The bundled icons (ISC licence) into public/icons/icons.json: what is drawn of each, by its name.
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './setup.mjs';

const folder = join(root, 'node_modules/lucide-react/dist/esm/icons');

/** What is drawn of each icon, by its name. */
export async function allIcons() {
  const icons = {};
  for (const file of readdirSync(folder).filter((name) => name.endsWith('.mjs'))) {
    const { __iconData: icon } = await import(pathToFileURL(join(folder, file)).href);
    // Files of older names only lead to the new ones.
    if (icon?.node !== undefined) icons[icon.name] = icon.node.map(element).join('');
  }
  return icons;
}

export async function makeIcons() {
  mkdirSync(join(root, 'public/icons'), { recursive: true });
  writeFileSync(join(root, 'public/icons/icons.json'), JSON.stringify(await allIcons()));
}

function element([name, { key: _, ...attributes }]) {
  const written = Object.entries(attributes).map(([attribute, value]) => `${attribute}="${value}"`);
  return `<${name} ${written.join(' ')}/>`;
}
