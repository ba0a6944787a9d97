import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items } from '../../../../tests/support/arbitrary';
import {
  documentOfBytes,
  mustRead,
  mustRefuse,
  quietPorts,
  readAs,
} from '../../../../tests/support/documents';
import { atOnce } from '../../base';
import { inferRead } from '../infer';
import { read } from './read';

const utf16 = (text: string, isBig: boolean): Uint8Array => {
  const bytes = new Uint8Array(text.length * 2);
  for (let i = 0; i < text.length; i += 1)
    new DataView(bytes.buffer).setUint16(i * 2, text.charCodeAt(i), !isBig);
  return bytes;
};

describe('a name that stands twice in a record', () => {
  test.each([
    ['x.json', '[{"a":1,"b":{"a":2}},\n {"a":1, "b":3, "a":4}]', { line: 2, column: 17 }],
    ['x.json', '{"data":[{"\\u0061":1,"a":"}"}]}', { line: 1, column: 22 }],
    ['x.ndjson', '{"a":1}\n{"__proto__":1,"__proto__":2}\n', { line: 2, column: 16 }],
  ])('is said where it stands: %s %s', async (name, text, place) => {
    const { findings } = await mustRead(name, text);
    expect(findings).toMatchObject([{ code: 'name-twice', place }]);
  });

  test('is no name of another record, no value, and nothing that stands in a text', async () => {
    const text = '[{"a":{"a":"a"},"b":["a","a"],"c":"{\\"a\\":1,\\"a\\":2}","d":"a"}]';
    expect((await mustRead('x.json', text)).findings).toEqual([]);
  });

  test('is found exactly where a record has fewer names than were written', async () => {
    const value = fc.constantFrom('1', '"a\\\\"', '"a\\":"', '{"a":1}', '[{"b":2}]', 'null');
    const members = fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', '\\u0063'), value), {
      maxLength: 4,
    });
    await fc.assert(
      fc.asyncProperty(fc.array(members, { minLength: 1, maxLength: 3 }), async (records) => {
        const text = `[${records.map((each) => `{${each.map(([name, of]) => `"${name}" : ${of}`).join()}}`).join()}]`;
        const { findings } = await mustRead('x.json', text);
        const isTwice = records.some(
          (each) => new Set(each.map(([name]) => JSON.parse(`"${name}"`))).size < each.length,
        );
        expect(
          findings.some(({ code }) => code === 'name-twice'),
          text,
        ).toBe(isTwice);
      }),
    );
  });
});

describe('the list is found in a document', () => {
  test.each([
    ['[{"a":1},{"a":2}]', '$[*]', 2],
    ['{"meta":{"page":1},"stock":{"skeins":[{"a":1},{"a":2},{"a":3}]}}', '$.stock.skeins[*]', 3],
    ['{"tags":["x","y","z","q"],"rows":[{"a":1}]}', '$.rows[*]', 1],
    ['{"few":[{"a":1}],"many":[{"a":1},{"a":2}]}', '$.many[*]', 2],
    ['{"first name":[{"a":1}]}', "$['first name'][*]", 1],
    ['[[{"a":1},{"a":2}]]', '$[0][*]', 2],
    ['{"a":1,"b":{"c":2}}', '$', 1],
  ])('%s', async (text, at, count) => {
    const read = await mustRead('x.json', text);
    expect([read.at, read.items.length]).toEqual([at, count]);
  });

  test('a list of plain values becomes items with a value each', async () => {
    const { items } = await mustRead('x.json', '["lace","sock"]');
    expect(items).toEqual([{ value: 'lace' }, { value: 'sock' }]);
  });

  test('a JSONPath chooses another list', async () => {
    const text = '{"few":[{"a":1}],"many":[{"a":2},{"a":3}]}';
    const chosen = await read(
      documentOfBytes('x.json', new TextEncoder().encode(text)),
      { file: 'x.json', at: '$.few' },
      { ...quietPorts, first: () => {} },
    );
    expect(chosen.ok && chosen.value.items).toEqual([{ a: 1 }]);
  });

  test.each(['$.a', '$.a[*]'])(
    'a list at %s that is empty now has no items, where it had some before',
    async (at) => {
      const empty = await read(
        documentOfBytes('x.json', new TextEncoder().encode('{"a":[],"b":1}')),
        { file: 'x.json', at, mayBeEmpty: true },
        { ...quietPorts, first: () => {} },
      );
      expect(empty.ok && empty.value.items).toEqual([]);
    },
  );

  test('a JSONPath that finds nothing or is none says so', async () => {
    expect((await mustRefuse('x.json', '{"a":[{"b":1}]}', '$.nowhere')).code).toBe(
      'path-finds-nothing',
    );
    expect((await mustRefuse('x.json', '{"a":[{"b":1}]}', '$[')).code).toBe('path-invalid');
  });
});

describe('what has no items yet is a source all the same', () => {
  test.each([
    ['x.json', '[]', '$[*]', []],
    ['x.json', '{"rows":[]}', '$.rows[*]', []],
    ['x.csv', 'name,price\n', '$[*]', ['name', 'price']],
  ])('%s: %s', async (file, text, at, columns) => {
    const found = await mustRead(file, text);
    expect(found).toMatchObject({ at, items: [], columns });
    expect(found.findings).toMatchObject([{ code: 'list-empty', severity: 'warning' }]);
    const { types, key } = atOnce(inferRead(found, 'x'));
    expect(types).toMatchObject([
      { count: 0, fields: columns.map((name) => ({ name, type: 'text' })) },
    ]);
    expect(key).toBeUndefined();
  });
});

describe('an object whose values are the items', () => {
  test('gives them the name that they had, in a field that is free', async () => {
    const text = '{"skeins":{"sk-1":{"grams":100,"dye":"x"},"sk-2":{"grams":50}}}';
    const { at, items } = await mustRead('x.json', text);
    expect([at, items]).toEqual([
      '$.skeins[*]',
      [
        { key: 'sk-1', grams: 100, dye: 'x' },
        { key: 'sk-2', grams: 50 },
      ],
    ]);
    const taken = await mustRead('x.json', '{"a":{"key":1,"b":2},"c":{"key":2,"b":2}}');
    expect(taken.items[0]).toEqual({ name: 'a', key: 1, b: 2 });
  });

  test('at a path too, and read again at the path that is said', () => {
    return fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.string({ minLength: 1 }), { minLength: 2, maxLength: 5 }),
        async (names) => {
          const record = Object.fromEntries(names.map((name) => [name, { grams: 1 }]));
          const text = JSON.stringify({ skeins: record });
          const found = await mustRead('x.json', text);
          const again = await readAs('x.json', text, found.at);
          expect(again.ok && again.value.items).toEqual(found.items);
        },
      ),
    );
  });

  test('a record of one kind of thing is no list of them', async () => {
    const { at } = await mustRead('x.json', '{"maker":{"town":"Ousby"},"size":{"grams":1}}');
    expect(at).toBe('$');
  });
});

describe('a path that finds nothing says how far it got', () => {
  const text = '{"stock":{"skeins":[{"name":"Lace"}],"none":[]},"page":3}';
  test.each([
    ['$.stock.skiens[*]', '$.stock, where there is a record with skeins, none.'],
    ['$.page.items', '$.page, where there is the value 3.'],
    ['$.stock.skeins[4]', '$.stock.skeins, where there is a list of 1.'],
    ["$['stuff'][*]", '$, where there is a record with stock, page.'],
    ['$.stock.none[*]', '$.stock.none, where there is a list of 0.'],
  ])('%s', async (at, reach) => {
    const refused = await mustRefuse('x.json', text, at);
    expect(refused.message).toBe(
      `The path ${at} finds nothing in x.json. It gets as far as ${reach}`,
    );
  });
});

describe('lines that nest deep', () => {
  const nested = (open: string, close: string, levels: number) =>
    `${open.repeat(levels)}1${close.repeat(levels)}`;

  test.each([
    ['{"a":', '}'],
    ['[', ']'],
  ])('%s is read up to the bound, and refused past it', async (open, close) => {
    const lines = (levels: number) => `{"b":1}\n${nested(open, close, levels)}\n`;
    expect((await mustRead('x.ndjson', lines(150))).items.length).toBe(2);
    expect(await mustRefuse('x.ndjson', lines(250))).toMatchObject({
      code: 'nested-too-deep',
      place: { line: 2 },
    });
  });

  test('what nests too deep is refused also behind many short lists', async () => {
    const many = Array.from({ length: 90 }, (_, at) => `"k${at}":{"a":[1,2]}`).join(',');
    const document = (levels: number) => `{${many},"deep":${nested('[', ']', levels)}}`;
    expect((await mustRead('x.json', document(150))).items.length).toBeGreaterThan(0);
    for (const levels of [250, 5_000, 200_000])
      expect(await mustRefuse('x.json', document(levels))).toMatchObject({
        code: 'nested-too-deep',
      });
  });

  test('brackets without end are told at once', async () => {
    const refused = await mustRefuse('x.ndjson', `{"a":1}\n{"b":${'['.repeat(300)} "x"\n`);
    expect(refused.code).toMatch(/nested-too-deep|not-json/);
  });
});

describe('what is no list of items is said, not read', () => {
  test.each([
    ['notes.yaml', 'name: shop\nitems:\n  - a: 1\n    b: 2\n', 'YAML'],
    ['page.html', '<!doctype html>\n<p>1, 2</p>\n', 'HTML'],
    ['feed.xml', '<?xml version="1.0"?>\n<feed><a>1</a>\n</feed>', 'XML'],
    ['rows.csv', '<rows>\n<row a="1"/>\n</rows>', 'XML'],
    ['paper.pdf', '%PDF-1.4\n1 obj\n', 'PDF'],
    [
      'letter.txt',
      'Dear all.\nThe mill opens again when the winter is over.\nCome and see it then!\n',
      'prose',
    ],
  ])('%s', async (file, text, what) => {
    const refused = await mustRefuse(file, text);
    expect(refused).toMatchObject({ code: 'not-a-table' });
    expect(refused.message).toContain(`looks like ${what}`);
  });

  test('one column is a table, and so is one of long remarks if it is called one', async () => {
    expect((await mustRead('names.txt', 'name\nMerino\nSock\n')).items.length).toBe(2);
    const remarks = 'remark\nThis one is soft and even, and I like it very much.\nNot for me.\n';
    expect((await mustRead('remarks.csv', remarks)).items.length).toBe(2);
  });

  test('the sign between cells may be said in front', async () => {
    const { items } = await mustRead('x.csv', 'sep=;\nid;words\n1;a, b, c\n2;d, e, f\n');
    expect(items).toEqual([
      { id: '1', words: 'a, b, c' },
      { id: '2', words: 'd, e, f' },
    ]);
  });

  test('few faulty lines are left out and told, with their place; many refuse the document', async () => {
    const lines = Array.from({ length: 40 }, (_, at) => `{"id":${at}}`);
    const { items, findings } = await mustRead(
      'x.ndjson',
      lines.with(7, '{"id":7').with(30, 'oops').join('\n'),
    );
    expect(items.length).toBe(38);
    expect(findings).toMatchObject([{ code: 'lines-left-out', place: { line: 8 } }]);
    expect(findings[0]?.message).toContain('2 lines');
    const again = await read(
      documentOfBytes('x.ndjson', new TextEncoder().encode(lines.with(7, '{"id":7').join('\n'))),
      { file: 'x.ndjson', mayBeEmpty: true },
      { ...quietPorts, first: () => {} },
    );
    expect(again).toMatchObject({ ok: false, error: { code: 'not-json', place: { line: 8 } } });
    const most = lines.map((line, at) => (at % 2 === 0 ? line : 'oops')).join('\n');
    expect(await mustRefuse('x.ndjson', most)).toMatchObject({ code: 'not-json' });
  });

  test('rows of cells are a table, under the columns beside them or in their first row', async () => {
    const named = {
      columns: ['id', 'name'],
      rows: [
        [1, 'a'],
        [2, 'b'],
      ],
    };
    expect(await mustRead('x.json', JSON.stringify(named))).toMatchObject({
      at: '$.rows[*]',
      items: [
        { id: 1, name: 'a' },
        { id: 2, name: 'b' },
      ],
    });
    const titled = {
      fields: [{ title: 'id' }, { title: '__proto__' }],
      data: [
        [1, 'a'],
        [2, 'b'],
      ],
    };
    const [first] = (await mustRead('x.json', JSON.stringify(titled))).items;
    expect(Object.entries(first ?? {})).toEqual([
      ['id', 1],
      ['__proto__', 'a'],
    ]);
    const bare = [
      ['id', 'name'],
      [1, 'a'],
      [2, 'b'],
    ];
    expect((await mustRead('x.json', JSON.stringify(bare))).items).toEqual([
      { id: 1, name: 'a' },
      { id: 2, name: 'b' },
    ]);
  });
});

describe('what was written is what is read', () => {
  test('JSON, at any place and spacing', () => {
    return fc.assert(
      fc.asyncProperty(items, fc.constantFrom(0, 1, 2, '\t'), async (some, indent) => {
        // A list of one might as well be a record around the list in it.
        const list = [...some, { id: 'last' }];
        const text = JSON.stringify(
          { before: [1, 2], here: { it: list }, after: 'x' },
          null,
          indent,
        );
        expect((await mustRead('x.json', text)).items).toEqual(list);
      }),
    );
  });

  test('more values under names, or rows of a list, than a query could take', async () => {
    const many = Array.from({ length: 150_000 }, (_, at) => [`k${at}`, at] as const);
    const named = await mustRead('x.json', JSON.stringify(Object.fromEntries(many)));
    expect([named.at, named.items.length]).toEqual(['$[*]', 150_000]);
    expect(named.items[149_999]).toEqual({ key: 'k149999', value: 149_999 });
    const text = JSON.stringify({ found: { rows: many.map(([id]) => ({ id })) } });
    const chosen = await mustRead('x.json', text, '$.found.rows[*]');
    expect(chosen.items.length).toBe(150_000);
  });

  test('the first rows are of the list that all are of', async () => {
    const early = Array.from({ length: 900 }, (_, at) => ({ note: `what was noted on day ${at}` }));
    const late = Array.from({ length: 9_000 }, (_, at) => ({ id: at, name: `Wool ${at}` }));
    const bytes = new TextEncoder().encode(JSON.stringify({ early, late }));
    const firsts: string[] = [];
    const all = await read(
      documentOfBytes('x.json', bytes),
      { file: 'x.json' },
      { ...quietPorts, first: ({ at }) => firsts.push(at) },
    );
    expect(all.ok && all.value.at).toBe('$.late[*]');
    expect(firsts.filter((at) => at !== '$.late[*]')).toEqual([]);
  });

  test('NDJSON, with blank lines and either line end', () => {
    return fc.assert(
      fc.asyncProperty(items, fc.constantFrom('\n', '\r\n', '\n\n'), async (list, end) => {
        const text = list.map((each) => JSON.stringify(each) + end).join('');
        expect((await mustRead('x.ndjson', text)).items).toEqual(list);
      }),
    );
  });

  test('a list of several slices, with lookalikes of its seams inside texts and child lists', async () => {
    const list = Array.from({ length: 9_000 }, (_, i) => ({
      id: i,
      text: `},{"id":${i},[{"id"`,
      children: [
        { id: 1, words: 'x'.repeat(120) },
        { id: 2, words: '\\"' },
      ],
    }));
    const { items, at } = await mustRead('x.json', JSON.stringify({ data: list, more: 1 }));
    expect(at).toBe('$.data[*]');
    expect(items).toEqual(list);
  });

  test('the first items come from the head alone, and they are the first of all', async () => {
    const list = Array.from({ length: 20_000 }, (_, i) => ({ id: i, name: `Merino ${i}` }));
    const bytes = new TextEncoder().encode(JSON.stringify(list));
    let first: readonly unknown[] = [];
    const all = await read(
      documentOfBytes('x.json', bytes),
      { file: 'x.json' },
      {
        ...quietPorts,
        first: (read) => {
          first = read.items;
        },
      },
    );
    expect(first.length).toBeGreaterThan(500);
    expect(first.length).toBeLessThan(list.length);
    expect(all.ok && all.value.items.slice(0, first.length)).toEqual(first);
  });
});

describe('encodings', () => {
  const text = '[{"name":"Smörgås"}]';
  test.each([
    ['UTF-8', new TextEncoder().encode(text)],
    ['UTF-8 with a byte-order mark', new TextEncoder().encode(`\uFEFF${text}`)],
    ['UTF-16, little end first', utf16(text, false)],
    ['UTF-16, big end first, with a mark', utf16(`\uFEFF${text}`, true)],
    ['Windows-1252', Uint8Array.from(text, (char) => char.charCodeAt(0))],
  ])('%s', async (_, bytes) => {
    expect((await mustRead('x.json', bytes)).items).toEqual([{ name: 'Smörgås' }]);
  });

  test.each([
    ['UTF-8 with a mark', new TextEncoder().encode('\uFEFF[{"name":"Smörgås"}]')],
    ['Windows-1252', Uint8Array.from('[{"name":"Smörgås"}]', (char) => char.charCodeAt(0))],
  ])('%s, where the surroundings read text by themselves', async (_, bytes) => {
    const document = {
      ...documentOfBytes('x.json', bytes),
      text: async () => new TextDecoder('utf-8', { ignoreBOM: true }).decode(bytes),
    };
    const result = await read(document, { file: 'x.json' }, { ...quietPorts, first: () => {} });
    expect(result.ok && result.value.items).toEqual([{ name: 'Smörgås' }]);
  });

  test('a guess is said', async () => {
    const { findings } = await mustRead(
      'x.csv',
      Uint8Array.from('name\nSmörgås', (char) => char.charCodeAt(0)),
    );
    expect(findings.map((finding) => finding.code)).toEqual(['encoding-guessed']);
  });
});

describe('CSV', () => {
  test('quotes, line breaks in cells, any delimiter', async () => {
    const { items } = await mustRead(
      'x.csv',
      'name;note\n"Lace; fine";"two\nlines"\nSock;"say ""hi"""\n',
    );
    expect(items).toEqual([
      { name: 'Lace; fine', note: 'two\nlines' },
      { name: 'Sock', note: 'say "hi"' },
    ]);
  });

  test('every row of a long table, once and in order', async () => {
    const ids = Array.from({ length: 12_345 }, (_, i) => String(i));
    const { items } = await mustRead(
      'x.csv',
      `id,name\n${ids.map((id) => `${id},Merino`).join('\n')}`,
    );
    expect(items.map((item) => item['id'])).toEqual(ids);
  });

  test('ragged rows keep every cell and are said with their line', async () => {
    const { items, findings } = await mustRead('x.csv', 'a,b\n1,2\n3\n4,5,6\n');
    expect(items).toEqual([{ a: '1', b: '2' }, { a: '3' }, { a: '4', b: '5', 'column 3': '6' }]);
    expect(findings[0]).toMatchObject({ code: 'rows-ragged', place: { line: 3 } });
  });

  test('an open quote is said with the line of its row', async () => {
    const { findings } = await mustRead('x.csv', 'a,b\n1,2\n"3,4\n5,6\n');
    expect(findings.at(-1)).toMatchObject({ code: 'quote-open', place: { line: 3 } });
  });

  test('columns named alike or not at all, or like members of every object', async () => {
    const { items, findings } = await mustRead('x.csv', 'a,a,,__proto__\n1,2,3,4\n');
    expect(JSON.stringify(items)).toBe('[{"a":"1","a 2":"2","column 3":"3","__proto__":"4"}]');
    expect(findings[0]?.code).toBe('heading-repeats');
  });
});

describe('bad documents are refused in words, with the place', () => {
  const deep = 20_000;
  test.each([
    ['truncated', 'x.json', '[{"a":1},\n{"a":', 'not-json', { line: 2, column: 6 }],
    ['a comma too many', 'x.json', '[{"a":1},]', 'not-json', { line: 1, column: 10 }],
    [
      'a wrong word',
      'x.json',
      '{"rows":[{"a":1}],\n "b": tru}',
      'not-json',
      { line: 2, column: 7 },
    ],
    ['wrong after the list', 'x.json', '{"rows":[{"a":1}]} x', 'not-json', { line: 1, column: 20 }],
    [
      'a faulty line of NDJSON',
      'x.ndjson',
      '{"a":1}\n{"a":}\n',
      'not-json',
      { line: 2, column: 6 },
    ],
    [
      '20,000 brackets',
      'x.json',
      '['.repeat(deep) + ']'.repeat(deep),
      'nested-too-deep',
      { line: 1 },
    ],
    [
      '20,000 brackets in an item',
      'x.json',
      `[{"a":${'['.repeat(deep)}${']'.repeat(deep)}}]`,
      'nested-too-deep',
      { line: 1 },
    ],
    ['a number', 'x.json', '42', 'json-scalar', {}],
    ['no list', 'x.json', '{}', 'no-list', {}],
    ['nothing', 'x.json', '', 'file-empty', {}],
    ['one word', 'x.csv', 'a\n', 'no-list', {}],
    [
      'a picture',
      'x.json',
      Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0),
      'file-is-picture',
      {},
    ],
    ['a program', 'x.bin', Uint8Array.of(0x7f, 0x45, 0, 0, 1, 2, 3, 4), 'file-is-binary', {}],
  ])('%s', async (_, name, content, code, place) => {
    expect(await mustRefuse(name, content)).toMatchObject({
      code,
      place: { file: name, ...place },
    });
  });

  test('a document past the limit is refused before it is read', async () => {
    const document = {
      name: 'x.json',
      sizeBytes: 500_000_000,
      bytes: () => Promise.reject(new Error('read')),
    };
    const result = await read(document, { file: 'x.json' }, { ...quietPorts, first: () => {} });
    expect(result.ok ? '' : result.error.code).toBe('file-too-large');
  });

  test('whatever the bytes, there is an answer', () => {
    return fc.assert(
      fc.asyncProperty(
        fc.uint8Array({ maxLength: 200 }),
        fc.constantFrom('x.json', 'x.ndjson', 'x.csv', 'x'),
        async (bytes, name) => {
          await read(
            documentOfBytes(name, bytes),
            { file: name },
            { ...quietPorts, first: () => {} },
          );
        },
      ),
      { numRuns: 400 },
    );
  });

  test('whatever is cut out of a document, there is an answer', () => {
    const text = JSON.stringify({
      stock: [
        { a: 'x\\"', b: [1, { c: null }] },
        { a: '', b: [] },
      ],
    });
    return fc.assert(
      fc.asyncProperty(fc.nat(text.length), fc.nat(6), async (from, length) => {
        const cut = text.slice(0, from) + text.slice(from + length);
        const result = await read(
          documentOfBytes('x.json', new TextEncoder().encode(cut)),
          { file: 'x.json' },
          { ...quietPorts, first: () => {} },
        );
        let isJson = true;
        try {
          JSON.parse(cut);
        } catch {
          isJson = false;
        }
        if (!isJson && cut !== '') expect(result.ok).toBe(false);
      }),
    );
  });
});

describe('numbers keep their digits', () => {
  test.each([
    ['9007199254740993', '"9007199254740993"'],
    ['-12345678901234567890', '"-12345678901234567890"'],
    ['0.1234567890123456789', '"0.1234567890123456789"'],
    ['1e400', '"1e400"'],
    ['9007199254740992', '9007199254740992'],
    ['0.30000000000000004', '0.30000000000000004'],
    ['1e21', '1e+21'],
    ['"9007199254740993"', '"9007199254740993"'],
  ])('%s', async (written, kept) => {
    const { items } = await mustRead('x.json', `[{"n":${written}}]`);
    expect(JSON.stringify(items)).toBe(`[{"n":${kept}}]`);
  });

  test('and it is said how many', async () => {
    const { findings } = await mustRead(
      'x.json',
      '[{"n":9007199254740993},{"n":1},{"n":9007199254740995}]',
    );
    expect(findings).toMatchObject([{ code: 'number-too-long' }]);
    expect(findings[0]?.message).toMatch(/^2 numbers/);
  });
});

test('a CSV of a million columns is refused in words, and at once', async () => {
  const heading = Array.from({ length: 1_000_000 }, (_, i) => `c${i}`).join(',');
  const error = await mustRefuse('wide.csv', `${heading}\n${heading}\n`);
  expect(error.code).toBe('columns-too-many');
});
