import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { expect, test } from 'vitest';
import { edits, type Project, startHistory } from '../src/core/project';
import {
  dropProject,
  keptProjects,
  openProject,
  type Preview,
  writeProjectHere,
} from '../src/keeping';
import { Database, database } from '../src/keeping/database';
import { edited } from './support/edited';
import { openShop } from './support/shop';

const pause = async () => {};
const mill = { name: 'mill', mediaType: 'image/png', content: 'a-mill' } as const;
const reel = { ...mill, name: 'reel', content: 'a-reel' } as const;
const milled = new Map([['a-mill', 'bWlsbA==']]);

const keep = (
  project: Project,
  contents: ReadonlyMap<string, string> = new Map(),
  preview?: Preview,
) =>
  writeProjectHere(
    {
      record: { id: 'mills', project, itemCount: 0, writer: 'one', preview },
      items: new Map(),
      contents,
      known: new Map(),
      now: 0,
    },
    pause,
  );

const opened = async () =>
  (await openProject('mills', new Map(), { first: () => {}, pause }))?.contents;

test('what pictures show is kept once, stays without being sent again, and goes with the last that shows it', async () => {
  const bare = startHistory(openShop().project()).project;
  const one = edited(bare, edits.addPictures([mill, { ...mill, name: 'works' }]));
  await keep(one, milled);
  expect(await opened()).toEqual(milled);
  const two = edited(one, edits.addPictures([reel]), edits.removePicture('mill'));
  await keep(two, new Map([['a-reel', 'cmVlbA==']]));
  expect(await opened()).toEqual(new Map([...milled, ['a-reel', 'cmVlbA==']]));
  await keep(bare);
  expect(await opened()).toEqual(new Map());
  // Undone: what came back is sent anew.
  await keep(one, milled);
  expect(await opened()).toEqual(milled);
  await dropProject('mills');
  expect(await database.contents.where('project').equals('mills').count()).toBe(0);
});

test('the first rows of a kept project find what their pictures show, which stands there once', async () => {
  const bare = startHistory(openShop().project()).project;
  await keep(edited(bare, edits.addPictures([mill, reel])), milled, {
    plans: [],
    entries: [],
    pictures: [{ ...mill, name: 'mill' }],
  });
  // Other tests may have left projects of theirs.
  const own = (await keptProjects()).filter(({ kept }) => kept.id === 'mills');
  expect(own.map(({ contents }) => contents)).toEqual([milled]);
  expect(JSON.stringify(await database.projects.get('mills'))).not.toContain('bWlsbA');
  await dropProject('mills');
});

test('first rows that were kept before they said what their texts are set in come with the next keeping', async () => {
  const old = new Dexie('kept-by-the-second');
  old.version(2).stores({
    projects: 'id, keptAt',
    sources: '[project+source], project',
    chunks: '[project+source+part], project',
    contents: '[project+content], project',
  });
  const preview = { plans: [{ template: 'brief' }], entries: [{ key: 'a' }], pictures: [] };
  await old.table('projects').add({ id: 'mills', keptAt: 1, itemCount: 0, preview, project: {} });
  old.close();
  const now = new Database('kept-by-the-second');
  expect((await now.projects.get('mills'))?.preview).toEqual({
    plans: [],
    entries: [],
    pictures: [],
  });
  now.close();
});

test('a project that was kept by the first version opens in the form of today, pictures and all', async () => {
  const { formats: _, ...project } = openShop().project();
  const image = {
    part: 'image',
    id: 'picture',
    picture: 'mill',
    widthPx: 32,
    heightPx: 32,
    shape: 'rounded',
    fit: 'cover',
  };
  const old = new Dexie('kept-by-the-first');
  old.version(1).stores({
    projects: 'id, keptAt',
    sources: '[project+source], project',
    chunks: '[project+source+part], project',
  });
  await old.table('projects').add({
    id: 'mills',
    keptAt: 1,
    itemCount: 0,
    preview: { plans: [{}], entries: [{ texts: ['Lace'] }], pictures: [] },
    project: {
      ...project,
      yarncard: 1,
      pictures: [
        { name: 'mill', mediaType: 'image/png', base64: 'bWlsbA==' },
        { name: 'works', sameAs: 'mill' },
      ],
      templates: project.templates.map((template) => ({
        ...template,
        row: { ...template.row, children: [image] },
      })),
    },
  });
  old.close();
  const now = new Database('kept-by-the-first');
  const kept = await now.projects.get('mills');
  const [first, second] = kept?.project.pictures ?? [];
  expect([kept?.project.yarncard, first?.name, second?.name]).toEqual([2, 'mill', 'works']);
  expect(first?.content).toBe(second?.content);
  expect(await now.contents.toArray()).toEqual([
    { project: 'mills', content: first?.content, base64: 'bWlsbA==' },
  ]);
  expect(kept?.project.templates[0]?.row.children).toEqual([
    {
      part: 'image',
      id: 'picture',
      picture: 'mill',
      width: { fixed: 32 },
      height: { fixed: 32 },
      radius: 6,
      fit: 'cover',
    },
  ]);
  expect(kept?.preview.entries).toEqual([]);
  now.close();
});
