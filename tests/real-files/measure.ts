import { readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { known, readSo } from '../../cli/known';
import {
  type DocumentPort,
  keyFields,
  likelyTitle,
  read as readDocument,
} from '../../src/core/items';
import { strictDecoder } from '../../src/engine';
import { type Expected, type FilesOf, files } from './expected';

/**
 * How many questions about files that nobody here wrote are answered as a person would; prints
 * JSON. The folder with the packages is the first argument.
 */
const folder = process.argv[2] ?? '.';

interface Answered {
  readonly file: string;
  readonly question: string;
  readonly wanted: string;
  readonly got: string;
  readonly isRight: boolean;
}

async function answersFor(path: string) {
  const bytes = new Uint8Array(readFileSync(path));
  const document: DocumentPort = {
    name: basename(path),
    sizeBytes: bytes.length,
    bytes: async (from: number, to: number) => bytes.slice(from, to),
  };
  const file = document.name;
  const read = await readDocument(
    document,
    { file },
    { decoder: strictDecoder, pause: async () => {}, progress: () => {}, first: () => {} },
  );
  if (!read.ok) return undefined;
  return { read: read.value, known: readSo(known(file, read.value)) };
}

async function asked(of: FilesOf, expected: Expected): Promise<readonly Answered[]> {
  const path = join(folder, of.from.replace(/@[\d.]+$/, ''), of.folder, expected.file);
  const answers = await answersFor(path);
  const [most] = [...(answers?.known.types ?? [])].sort((a, b) => b.count - a.count);
  const key = answers?.known.inference.key;
  const keyText = key === undefined ? 'none' : keyFields(key).join('+');
  const title = most && likelyTitle(most.fields, most.items)?.join('.');
  const about = (question: string, wanted: readonly string[], got: string | undefined) => ({
    ...{ file: expected.file, question, wanted: wanted.join(' or '), got: got ?? 'nothing' },
    isRight: got !== undefined && wanted.some((each) => inAnyOrder(each) === inAnyOrder(got)),
  });
  const keys = expected.key === 'none' ? ['none'] : expected.key;
  return [
    ...(expected.at === undefined ? [] : [about('where', [expected.at], answers?.read.at)]),
    ...(keys === undefined ? [] : [about('key', keys, keyText)]),
    ...(expected.typeCount === undefined
      ? []
      : [about('types', [`${expected.typeCount}`], `${answers?.known.types.length}`)]),
    ...(expected.title === undefined ? [] : [about('title', expected.title, title)]),
    ...Object.entries(expected.fields ?? {}).map(([name, type]) =>
      about(name, [type], most?.fields.find((field) => field.name === name)?.type),
    ),
  ];
}

/** A key of several fields is the same whichever comes first. */
const inAnyOrder = (key: string): string => key.split('+').sort().join('+');

const answered: Answered[] = [];
for (const of of files) for (const each of of.files) answered.push(...(await asked(of, each)));
process.stdout.write(JSON.stringify(answered));
