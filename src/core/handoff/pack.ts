import { writeTokens } from '../design-tokens';
import { declarations, itemsSchema } from '../items';
import {
  coloursOf,
  itemsIdOf,
  ownSet,
  type Project,
  projectFileSchema,
  rawDiscriminator,
  type Source,
  spacingOf,
  stylesOf,
  typesOf,
  writeProject,
} from '../project';
import { safeName } from './element/file-names';
import { fontFiles } from './element/font-files';
import { keysAlone, listModule, tagOf } from './element/list-js';
import { listTypes } from './element/list-types';
import { packedProject } from './element/pack-project';
import { indexPage, indexScript, indexStyles } from './element/page';
import { pictureFiles } from './element/picture-files';
import { writeExpected } from './expected/expected';
import type { PackFile } from './pack-file';
import type { PackInput } from './pack-input';
import { readme } from './readme';

/** Writes one file, or one a source. */
type Writer = (input: PackInput) => readonly PackFile[];

/** Beside the design, which names it: editors check what is typed there. */
const schemaPath = 'project.schema.json';

const design: Writer = ({ project, items, contents }) => {
  const named = { $schema: `./${schemaPath}`, ...project };
  return [
    {
      path: 'project.yarncard.json',
      about: 'the design, with the sample items',
      text: [...writeProject(named, items, contents)].join(''),
    },
    {
      path: schemaPath,
      about: 'what such a file may say, as JSON Schema 2020-12',
      text: `${JSON.stringify(projectFileSchema())}\n`,
    },
  ];
};

const schemas: Writer = ({ project }) =>
  project.sources.map((source) => ({
    path: pathFor(project, source, 'schema.json'),
    about: 'the items as JSON Schema 2020-12',
    text: inJson(itemsSchema(...shapeOf(project, source))),
  }));

/** As wide as the types are: a sample does not say what all items have. */
const types: Writer = ({ project }) =>
  project.sources.map((source) => ({
    path: pathFor(project, source, 'd.ts'),
    about: 'the items as TypeScript declarations',
    text: declarations(...shapeOf(project, source)),
  }));

const tokens: Writer = ({ project }) => {
  const [colours, styles] = [coloursOf(project), stylesOf(project)];
  const text = writeTokens({ colours, styles, spacing: spacingOf(project) }, project.tokenFile);
  return [{ path: 'tokens.json', about: 'styles, colours and spacing as design tokens', text }];
};

const sampleItems: Writer = ({ project, items }) => {
  const lists = project.sources.map(({ id }) => {
    const lines = (items.get(itemsIdOf(id, ownSet)) ?? []).map(
      (item) => `\n    ${JSON.stringify(item)}`,
    );
    return `\n  ${JSON.stringify(id)}: [${lines.join(',')}\n  ]`;
  });
  return [
    {
      path: 'sample-items.json',
      about: 'the sample items as they came, by source',
      text: `{${lists.join(',')}\n}\n`,
    },
    {
      path: 'sample-items.js',
      about: 'the same as a module: pages may be forbidden to fetch',
      text: `export const items = {${keysAlone(lists.join(','))}\n};\n`,
    },
  ];
};

const expectedRows: Writer = ({ expected }) => [
  {
    path: 'expected.json',
    about: 'what each sample item must show',
    text: writeExpected(expected),
  },
];

/** The lists as an element that runs as it is, and a page that shows it. */
const element: Writer = ({ project, contents, runtime, decoded }) => {
  const { files, addresses } = pictureFiles(project.pictures, contents, decoded);
  const module = listModule(tagOf(project.name), runtime.script, packedProject(project, addresses));
  return [
    { path: 'list.js', about: `the lists as the element <${tagOf(project.name)}>`, text: module },
    { path: 'list.d.ts', about: 'its types', text: listTypes(project) },
    { path: 'index.html', about: 'a page that shows the sample items', text: indexPage(project) },
    { path: 'index.css', about: 'its styles', text: indexStyles },
    { path: 'index.js', about: 'its script', text: indexScript(project) },
    ...files,
    ...fontFiles(project.fonts ?? [], contents, decoded),
    ...runtime.signs.map((text, at) => ({
      path: `signs/${at + 1}.svg`,
      about: 'a sign that controls have',
      text: `${text}\n`,
    })),
  ];
};

const sheets: Writer = (input) =>
  [...input.sheets].map(([template, text]) => ({
    path: `spec/${safeName(template)}.html`,
    about: `the measures of the template ${template}, to print`,
    text,
  }));

/** In the order in which files are listed, after the README that tells of them. */
const writers: readonly Writer[] = [
  design,
  schemas,
  types,
  tokens,
  sampleItems,
  expectedRows,
  element,
  sheets,
];

/** All files of a pack: the same for the same input. */
export function writePack(input: PackInput): readonly PackFile[] {
  const files = writers.flatMap((write) => write(input));
  const text = readme(input, files);
  return [{ path: 'README.md', about: 'how all of it is used', text }, ...files];
}

const shapeOf = (project: Project, source: Source) =>
  [source.name, typesOf(project, source.id), rawDiscriminator(project, source)] as const;

/** Ids of sources are letters, digits and hyphens: no path leads out of its folder. */
const pathFor = ({ sources }: Project, { id }: Source, extension: string): string =>
  sources.length === 1 ? `items.${extension}` : `items/${id}.${extension}`;

const inJson = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;
