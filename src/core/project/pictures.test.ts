import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { openShop, shop } from '../../../tests/support/shop';
import type { Result } from '../base';
import { draftImage } from '../templates';
import { edits } from './edits';
import { readProject } from './file/read';
import { writeProject } from './file/write';
import type { Project } from './project';

const refusal = (made: Result<Project, string>): string => (made.ok ? '' : made.error);

describe('pictures of a project', () => {
  const mill = { name: 'mill', mediaType: 'image/png', content: 'a-mill' } as const;
  const reel = { ...mill, name: 'reel', content: 'a-reel' };
  const shown = (project: Project) => project.pictures.map((each) => [each.name, each.content]);

  test('take the place of one of that name; who shows the same keeps it', () => {
    const project = edited(
      openShop().project(),
      edits.addPictures([mill, { ...mill, name: 'works' }]),
      edits.addPictures([{ ...reel, name: 'mill' }]),
    );
    expect(shown(project)).toEqual([
      ['mill', 'a-reel'],
      ['works', 'a-mill'],
    ]);
    expect(shown(edited(project, edits.removePicture('mill')))).toEqual([['works', 'a-mill']]);
  });

  test('are renamed where a part names them', () => {
    const project = edited(
      openShop().project(),
      edits.addPictures([mill, { ...mill, name: 'works' }]),
      edits.insert(
        'stock-plain',
        { beside: 'title', side: 'before' },
        draftImage('picture', 'mill'),
      ),
      edits.renamePicture('mill', 'old mill'),
    );
    expect(shown(project)[0]).toEqual(['old mill', 'a-mill']);
    expect(JSON.stringify(project.templates)).toContain('"picture":"old mill"');
    expect(refusal(edits.renamePicture('works', 'old mill').apply(project))).toMatch(/already/);
  });

  test('have what they show once in the file, for every name; what no picture shows stays out', async () => {
    const project = edited(
      openShop().project(),
      edits.addPictures([mill, { ...mill, name: 'works' }, reel]),
    );
    const contents = new Map([
      ['a-mill', 'bWlsbA=='],
      ['a-reel', 'cmVlbA=='],
      ['a-boat', 'Ym9hdA=='],
    ]);
    const text = [...writeProject(project, new Map([['stock', shop]]), contents)].join('');
    expect(text.split('bWlsbA==')).toHaveLength(2);
    expect(text).not.toContain('a-boat');
    const read = await readProject(text, 'x.yarncard.json');
    if (!read.ok) throw new Error(read.error.message);
    expect([read.value.project, read.value.findings]).toEqual([project, []]);
    const again = [...writeProject(read.value.project, read.value.items, read.value.contents)];
    expect(again.join('')).toBe(text);
  });

  test('stand in the file beside the files of fonts, which are told of where they are not there', async () => {
    const project = edited(
      openShop().project(),
      edits.addPictures([mill]),
      edits.addFonts([{ name: 'Hand', content: 'a-hand' }]),
    );
    const contents = new Map([
      ['a-mill', 'bWlsbA=='],
      ['a-hand', 'aGFuZA=='],
    ]);
    const text = [...writeProject(project, new Map([['stock', shop]]), contents)].join('');
    const read = await readProject(text, 'x.yarncard.json');
    if (!read.ok) throw new Error(read.error.message);
    expect([read.value.project, read.value.contents]).toEqual([project, contents]);
    const without = await readProject(text.replace(/,\s+"a-hand": "[^"]*"/, ''), 'x');
    expect(without.ok && without.value.findings).toMatchObject([
      { code: 'font-without-content', place: { path: 'fonts/Hand' } },
    ]);
  });

  test('that show nothing are said, and a content that is none is refused with its place', async () => {
    const project = edited(openShop().project(), edits.addPictures([mill]));
    const text = (shows: string) =>
      [...writeProject(project, new Map([['stock', shop]]), new Map([['a-mill', shows]]))].join('');
    const without = [...writeProject(project, new Map([['stock', shop]]))].join('');
    const read = await readProject(without, 'x.yarncard.json');
    expect(read.ok && read.value.findings).toMatchObject([{ code: 'picture-without-content' }]);
    const bent = await readProject(text('no base64!'), 'x.yarncard.json');
    expect(bent.ok ? '' : bent.error.message).toContain('contents.a-mill');
  });
});
