// Serves the built application. Scripts and workers get the same policy as pages: without a
// header of its own, a worker may do what the page may not.
import { createServer } from 'node:http';
import { root } from './setup.mjs';

const assetPolicy = [
  "default-src 'self'",
  "script-src 'self' 'wasm-unsafe-eval'",
  "img-src 'self' data: blob: http: https:",
  "connect-src 'self' http: https:",
  "object-src 'none'",
  "base-uri 'none'",
].join('; ');

export async function serve({ host, port }) {
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  const { handler } = await import(new URL('dist/server/entry.mjs', `file://${root}`));
  const server = createServer((request, response) => {
    response.setHeader('X-Content-Type-Options', 'nosniff');
    response.setHeader('Referrer-Policy', 'no-referrer');
    response.setHeader('Cross-Origin-Opener-Policy', 'same-origin');
    const path = request.url ?? '/';
    if (path.startsWith('/_astro/') || path.endsWith('.js'))
      response.setHeader('Content-Security-Policy', assetPolicy);
    handler(request, response);
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve(server));
  });
}
