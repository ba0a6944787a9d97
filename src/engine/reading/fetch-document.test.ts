import { afterEach, describe, expect, test, vi } from 'vitest';
import { serving, stopServing } from '../../../tests/support/server';
import { fetchDocument, nextInLink } from './fetch-document';

afterEach(() => {
  vi.useRealTimers();
});

const fetching = (address: string, signal = new AbortController().signal) =>
  fetchDocument(address, signal, () => {});

async function refusal(address: string) {
  const fetched = await fetching(address);
  return fetched.ok ? undefined : fetched.error;
}

describe('an address', () => {
  test('is fetched by GET, without cookies, and read like a file', async () => {
    let asked: Record<string, unknown> = {};
    const address = await serving((request, response) => {
      asked = { method: request.method, cookie: request.headers.cookie };
      response.setHeader('content-type', 'application/json').end('[{"a":1}]');
    });
    const fetched = await fetching(address);
    expect(asked).toEqual({ method: 'GET', cookie: undefined });
    expect(fetched.ok && [fetched.value.name, await fetched.value.file.text()]).toEqual([
      address,
      '[{"a":1}]',
    ]);
  });

  test.each(['stock.json', 'file:///etc/passwd', 'javascript:alert(1)', 'ftp://a/b'])(
    'that is none: %s',
    async (address) => {
      expect(await refusal(address)).toMatchObject({ code: 'address-wrong' });
    },
  );

  test('that fails says with what', async () => {
    const address = await serving((_, response) => response.writeHead(503).end());
    const refused = await refusal(address);
    expect(refused).toMatchObject({ code: 'address-refused' });
    expect(refused?.message).toContain('503 Service Unavailable');
  });

  test('that answers with a web page', async () => {
    const address = await serving((_, response) =>
      response.setHeader('content-type', 'text/html; charset=utf-8').end('<!doctype html>'),
    );
    expect(await refusal(address)).toMatchObject({ code: 'address-is-page' });
  });

  test('that leads elsewhere is followed, and said', async () => {
    const address = await serving((request, response) => {
      if (request.url === '/new.json') response.end('[{"a":1}]');
      else response.writeHead(302, { location: '/new.json' }).end();
    });
    const fetched = await fetching(address);
    expect(fetched.ok && fetched.value.findings).toMatchObject([
      { code: 'address-redirected', severity: 'note' },
    ]);
  });

  test('that leads round in circles, or nowhere, cannot be reached', async () => {
    const address = await serving((_, response) =>
      response.writeHead(302, { location: '/stock.json' }).end(),
    );
    expect(await refusal(address)).toMatchObject({ code: 'address-unreachable' });
    stopServing();
    expect(await refusal(address)).toMatchObject({ code: 'address-unreachable' });
  });

  test('that announces or sends too much is left', async () => {
    const announced = await serving((_, response) => {
      response.writeHead(200, { 'content-length': 900_000_000 });
      response.write('[');
    });
    expect(await refusal(announced)).toMatchObject({ code: 'address-too-large' });
  });

  test('that stops in the middle is given up', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    let hasStarted = () => {};
    const started = new Promise<void>((resolve) => {
      hasStarted = resolve;
    });
    const address = await serving((_, response) => {
      response.writeHead(200, { 'content-type': 'application/json' });
      response.write('[{"a":');
      hasStarted();
    });
    const fetched = fetching(address);
    await started;
    await vi.advanceTimersByTimeAsync(30_000);
    const result = await fetched;
    expect(result.ok ? undefined : result.error).toMatchObject({ code: 'address-stalled' });
  });

  test('is left when the person has had enough', async () => {
    const address = await serving((_, response) => {
      response.writeHead(200);
      response.write('[');
    });
    const cancelling = new AbortController();
    const fetched = fetching(address, cancelling.signal);
    setTimeout(() => cancelling.abort(), 50);
    await expect(fetched).rejects.toThrow();
  });

  test('that pushes events stands for the items that its first events bring', async () => {
    const address = await serving((_, response) => {
      response.writeHead(200, { 'content-type': 'text/event-stream' });
      response.write('data: [{"id":"a"}]\n\nevent: added\ndata: {"id":"b"}\n\n');
    });
    const fetched = await fetching(address);
    if (!fetched.ok) throw new Error(fetched.error.message);
    expect(JSON.parse(await fetched.value.file.text())).toEqual([{ id: 'a' }, { id: 'b' }]);
    expect(fetched.value.follow).toEqual({ events: address });
  });

  test('that pushes events without items says so', async () => {
    const address = await serving((_, response) => {
      response.writeHead(200, { 'content-type': 'text/event-stream' }).write(': nothing yet\n\n');
    });
    expect(await refusal(address)).toMatchObject({ code: 'address-silent' });
  });
});

test.each([
  ['</b?page=2>; rel="next"', 'https://wool.example/b?page=2'],
  [
    '<?page=1>; rel="first", <?page=3>; title="a, b"; rel="prefetch next"',
    'https://wool.example/a?page=3',
  ],
  ['<https://wool.example/z>; rel=next; type="x"', 'https://wool.example/z'],
  ['</b>; rel="prev"', undefined],
  [null, undefined],
])('the Link header %s names as next %s', (header, next) => {
  expect(nextInLink(header, 'https://wool.example/a')).toBe(next);
});
