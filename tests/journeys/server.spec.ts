import { request as ask } from 'node:http';
import { expect, test } from '@playwright/test';

/** What a request gets, byte for byte as it is asked: no client tidies the address up before. */
function answerTo(
  base: string | undefined,
  path: string,
  { method = 'GET', headers = {} }: { method?: string; headers?: Record<string, string> } = {},
): Promise<{ status: number; headers: Record<string, unknown>; body: string }> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(base ?? '');
    const asked = ask({ hostname, port, path, method, headers }, (response) => {
      let body = '';
      response.on('data', (chunk) => {
        body += chunk;
      });
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, headers: response.headers, body }),
      );
    });
    asked.on('error', reject);
    asked.end();
  });
}

test('every answer carries the policy, and none may be framed', async ({ baseURL }) => {
  const { body } = await answerTo(baseURL, '/');
  const script = /\/_astro\/[\w.-]+\.js/.exec(body)?.[0] ?? '';
  for (const [path, status] of [
    ['/', 200],
    ['/docs', 200],
    ['/docs/expressions/', 200],
    ['/p/anything/data', 200],
    ['/p/a/b/c/d', 200],
    ['/mark.svg?x', 200],
    [script, 200],
    [`${script}?again`, 200],
    ['/nothing', 404],
    ['/404', 404],
    ['/_image?href=/mark.svg&f=svg', 404],
    ['//_image', 404],
    ['/_astro/none.js?x', 404],
    ['/../../etc/passwd', 404],
    ['/..%2f..%2fetc/passwd', 404],
    ['/%00', 400],
    ['/%E0%A4%A', 400],
    ['/p/x/data?a=%ff', 400],
    [`/${'x'.repeat(8_000)}`, 404],
  ] as const) {
    const answer = await answerTo(baseURL, path);
    expect([path, answer.status]).toEqual([path, status]);
    const policy = String(answer.headers['content-security-policy']);
    expect(policy, path).toContain("frame-ancestors 'none'");
    expect(policy, path).toContain("default-src 'self'");
    expect(policy, path).toContain("object-src 'none'");
    expect(policy, path).not.toMatch(/unsafe-eval'(?<!wasm-unsafe-eval')|unsafe-inline/);
  }
});

test('pages are only read, ranges that cannot be met are refused, no request is a fault', async ({
  baseURL,
}) => {
  for (const path of ['/', '/docs', '/p/x/data', '/mark.svg', '/nothing'])
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE'])
      expect((await answerTo(baseURL, path, { method })).status).toBe(405);
  const ranged = async (path: string, range: string) =>
    (await answerTo(baseURL, path, { headers: { range } })).status;
  for (const [range, status] of [
    ['bytes=0-10', 206],
    ['bytes=-5', 206],
    ['bytes=0-1,5-6', 200],
    ['bytes=999999-', 416],
    ['bytes=-0', 416],
    ['bytes=5-2', 200],
    ['bytes=x', 200],
    ['lines=1-2', 200],
  ] as const)
    expect([range, await ranged('/mark.svg', range)]).toEqual([range, status]);
  for (const path of ['/', '/docs', '/p/x/data'])
    expect(await ranged(path, 'bytes=999999-')).toBe(200);
});
