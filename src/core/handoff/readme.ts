import type { Action } from '../actions';
import { count, ownValue } from '../base';
import { keyFields } from '../items';
import { allChosen, type List, listSources, templatesIn } from '../lists';
import { type ItemType, type Project, type Source, typesOf } from '../project';
import { type Field, heldFields, typeInWords } from '../values';
import { tagOf } from './element/list-js';
import type { PackFile } from './pack-file';
import type { PackInput } from './pack-input';

/** How a pack is used, told of this project: Markdown (CommonMark 0.31, with the tables of GFM). */
export function readme(
  { project, expected }: PackInput,
  files: readonly Pick<PackFile, 'path' | 'about'>[],
): string {
  const { actions = [], looks = [] } = project;
  const sections: readonly (readonly string[])[] = [
    [
      `# ${plain(project.name)}`,
      'How the items of this app appear as rows: the design, some items, and what must be seen of them.',
    ],
    [
      '## Files',
      table(
        ['file', 'is'],
        told(files).map(({ path, about }) => [code(path), plain(about)]),
      ),
    ],
    ['## In a page', ...inPage(project)],
    ['## Items', ...project.sources.flatMap((source) => sourceInWords(project, source))],
    ['## Lists', bulleted(project.lists.map((list) => listInWords(project, list)))],
    looks.length === 0 ? [] : ['## Looks', bulleted(looks.map(nameLine))],
    actions.length === 0
      ? []
      : ['## Actions', table(['action', 'name', 'hands over'], actions.map(actionLine))],
    [
      '## Is your renderer right?',
      ...testing,
      bulleted(expected.settings.map(({ id }) => code(id))),
    ],
    ['## In your CI', ...inCi],
  ];
  const written = sections.filter((section) => section.length > 0);
  return `${written.map((section) => section.join('\n\n')).join('\n\n')}\n`;
}

/** What folders of many files hold, in a line each. */
const folders: Readonly<Record<string, string>> = {
  fonts: 'fonts of the project’s own',
  pictures: 'the pictures that rows show',
  signs: 'signs that controls have',
  spec: 'a sheet for each template, with its measures, to print',
};

function told(
  files: readonly Pick<PackFile, 'path' | 'about'>[],
): Pick<PackFile, 'path' | 'about'>[] {
  const lines = new Map(
    files.map(({ path, about }) => {
      const folder = path.split('/')[0] ?? '';
      const words = path.includes('/') ? ownValue(folders, folder) : undefined;
      const line = words === undefined ? { path, about } : { path: `${folder}/`, about: words };
      return [line.path, line] as const;
    }),
  );
  return [...lines.values()];
}

function inPage({ name, lists, sources }: Project): readonly string[] {
  const tag = tagOf(name);
  const [list] = lists;
  const others = sources.filter(({ id }) => id !== list?.source).map(({ id }) => code(id));
  return [
    `${code('list.js')} defines the element ${code(`<${tag}>`)}. It takes the items as they come, draws the rows that are in sight, and fetches nothing but pictures.`,
    fenced(
      `<script type="module" src="list.js"></script>\n<${tag} list="${list?.id ?? ''}"></${tag}>`,
      'html',
    ),
    fenced(
      `const list = document.querySelector('${tag}');\nlist.items = await (await fetch('/your/items')).json();\nlist.addEventListener('press', ({ detail: { key, item } }) => …);`,
      'js',
    ),
    ...(others.length === 0
      ? []
      : [
          `Items of other sources (${others.join(', ')}) are given by ${code('list.give(source, items)')}.`,
        ]),
    `It is as high as what it stands in. ${code('list.d.ts')} tells its attributes and methods; colours of the page’s own by the custom properties ${code('--list-ground')}, ${code('--list-ink')}, ${code('--list-ash')}, ${code('--list-rule')}, ${code('--list-soft')}, its font by ${code('--list-font')}. ${code('index.html')} shows all lists with the sample items, from any server of files.`,
  ];
}

function sourceInWords(project: Project, source: Source): readonly string[] {
  const key = keyFields(source.key).map(code).join(', ');
  const types = typesOf(project, source.id);
  const apart =
    source.discriminator === null ? '' : ` ${code(source.discriminator)} tells their types apart.`;
  const told = key === '' ? 'Nothing tells them apart but their place.' : `Told apart by ${key}.`;
  return [`### ${plain(source.name)}`, `${told}${apart}`, ...types.flatMap(typeInTables)];
}

function typeInTables({ name, value, fields }: ItemType): readonly string[] {
  const held = heldFields(fields);
  const computed = fields.filter((field) => field.expr !== undefined);
  const title = value === null ? plain(name) : `${plain(name)} (${code(value)})`;
  return [
    `**${title}**: ${count(held.length, 'field')}`,
    ...(held.length === 0 ? [] : [fieldTable(held)]),
    ...(computed.length === 0
      ? []
      : [
          table(
            ['computed', 'is'],
            computed.map(({ name: own, expr = '' }) => [code(own), code(expr)]),
          ),
        ]),
  ];
}

/** Where items call fields otherwise, it says how. */
function fieldTable(fields: readonly Field[]): string {
  const isRenamed = ({ name, from = name }: Field) => from !== name;
  const hasRenamed = fields.some(isRenamed);
  const lines = fields.map((field) => [
    code(field.name),
    `${typeInWords(field)}${field.required ? '' : ', may be missing'}`,
    ...(hasRenamed ? [isRenamed(field) ? code(field.from ?? '') : ''] : []),
  ]);
  return table(['field', 'type', ...(hasRenamed ? ['in the items'] : [])], lines);
}

function listInWords(project: Project, list: List): string {
  const templates = [...new Set(allChosen(list).flatMap(templatesIn))];
  const sources = listSources(list).map(code).join(', ');
  const named = templates.map((id) => {
    const name = project.templates.find((template) => template.id === id)?.name;
    return name === undefined || name === id ? code(id) : `${code(id)} (${plain(name)})`;
  });
  return `${code(list.id)}, ${plain(list.name)}: a ${list.arrangement.kind} of ${sources}; templates ${named.join(', ')}`;
}

const nameLine = ({ id, name }: { readonly id: string; readonly name: string }): string =>
  `${code(id)}: ${plain(name)}`;

function actionLine({ id, words, payload = 'item' }: Action): readonly string[] {
  const handed =
    payload === 'item' ? 'the whole item' : payload === 'key' ? 'its key' : code(payload.expr);
  return [code(id), plain(words ?? id), handed];
}

const testing = [
  `${code('expected.json')} says for each of the sample items which words, lines and boxes its row must have, in CSS px. Draw ${code('sample-items.json')} in each setting, write what came of it in the same form, and hold it against what is expected:`,
  fenced('yarncard compare expected.json actual.json'),
  'The settings: list, width, text size, locale, look.',
];

const inCi = [
  'Whether today’s items fit the design, and whether this folder is as the design says:',
  fenced(
    `yarncard check project.yarncard.json --items today.json\nyarncard pack project.yarncard.json --out . && git diff --exit-code .`,
  ),
];

function fenced(text: string, language = 'sh'): string {
  return `\`\`\`${language}\n${text}\n\`\`\``;
}

const bulleted = (lines: readonly string[]): string => lines.map((each) => `- ${each}`).join('\n');

const table = (heads: readonly string[], rows: readonly (readonly string[])[]): string =>
  [heads, heads.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');

/** Words that Markdown and HTML make nothing of. */
const plain = (words: string): string =>
  oneLine(words).replace(/[\\`*_{}[\]()#+!|<>&~]/g, (sign) => `\\${sign}`);

/** As it is written, also in a table. Standard: CommonMark 0.31, 6.1; a bar in a cell: GFM, 4.10. */
function code(text: string): string {
  const line = oneLine(text).replaceAll('|', '\\|');
  const longest = Math.max(0, ...[...line.matchAll(/`+/g)].map(([ticks]) => ticks.length));
  const fence = '`'.repeat(longest + 1);
  const room = line.startsWith('`') || line.endsWith('`') || line === '' ? ' ' : '';
  return `${fence}${room}${line}${room}${fence}`;
}

function oneLine(words: string): string {
  return words.replace(/[\p{C}\s]+/gu, ' ').trim();
}
