// Serves the built application. Every answer carries the security policy: pages the one that was
// built into them, scripts and workers the same (without a header of its own, a worker may do what
// the page may not), all else the strictest.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { root } from './setup.mjs';

const framing = "frame-ancestors 'none'";
const assetPolicy = [
  "default-src 'self'",
  "script-src 'self' 'wasm-unsafe-eval'",
  "img-src 'self' data: blob: http: https:",
  "connect-src 'self' http: https:",
  "object-src 'none'",
  "base-uri 'none'",
  framing,
].join('; ');

export async function serve({ host, port }) {
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  const { handler } = await import(new URL('dist/server/entry.mjs', `file://${root}`));
  const site = join(root, 'dist/client');
  const policies = pagePolicies(site);
  const server = createServer((request, response) => {
    response.setHeader('X-Content-Type-Options', 'nosniff');
    response.setHeader('Referrer-Policy', 'no-referrer');
    response.setHeader('Cross-Origin-Opener-Policy', 'same-origin');
    response.setHeader('X-Frame-Options', 'DENY');
    const path = pathOf(request);
    const own = path === undefined ? undefined : policies.get(path.replace(/(?<=.)\/$/, ''));
    response.setHeader('Content-Security-Policy', own ?? assetPolicy);
    const refused =
      path === undefined ? [400, 'This is no address.'] : refusal(request, path, site);
    if (refused !== undefined) return refuse(response, ...refused);
    keepPolicy(response);
    // The page for what is not there has no address of its own.
    if (/^\/+404\/?$/.test(path)) request.url = '/nothing-here';
    handler(request, response);
  });
  // What is no HTTP at all.
  server.on('clientError', (_, socket) => {
    if (socket.writable) socket.end('HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n');
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve(server));
  });
}

/** The path that is asked for, decoded; undefined where it is none. */
function pathOf({ url = '/' }) {
  const [path] = url.split(/[?#]/, 1);
  try {
    const isAddress = !decodeURIComponent(url).includes('\0');
    return isAddress ? decodeURIComponent(path) : undefined;
  } catch {
    return undefined;
  }
}

/** Status, words and headers of what is not answered at all. */
function refusal(request, path, site) {
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return [405, 'This address is only read (GET, HEAD).', { Allow: 'GET, HEAD' }];
  // The framework's image endpoint, which no page needs.
  if (/^\/+_(?:image|server-islands)(?:\/|$)/.test(path)) return [404, 'There is nothing here.'];
  const bytes = sizeOf(site, path);
  const ranges = bytes === undefined ? undefined : rangesIn(request.headers.range);
  // Pages are sent whole, and what is no range is no wish (RFC 9110, 14.2).
  if (ranges === undefined) delete request.headers.range;
  else if (!ranges.some(({ from, last }) => (from === undefined ? last > 0 : from < bytes)))
    return [416, `There are ${bytes} bytes.`, { 'Content-Range': `bytes */${bytes}` }];
  return undefined;
}

function refuse(response, status, words, headers = {}) {
  response.writeHead(status, { ...headers, 'Content-Type': 'text/plain; charset=utf-8' });
  response.end(`${words}\n`);
}

/** The ranges that are asked for; undefined where they are none. Without `from`: the last bytes. */
function rangesIn(header = '') {
  const found = (/^bytes=(.+)$/.exec(header.trim())?.[1] ?? '').split(',').map((each) => {
    const [, from, last] = /^\s*(\d*)\s*-\s*(\d*)\s*$/.exec(each) ?? [];
    if (from === undefined || (from === '' && last === '')) return undefined;
    if (from === '') return { last: Number(last) };
    return last !== '' && Number(last) < Number(from) ? undefined : { from: Number(from) };
  });
  return found.includes(undefined) ? undefined : found;
}

function sizeOf(site, path) {
  try {
    const stat = statSync(join(site, join('/', path)));
    return stat.isFile() ? stat.size : undefined;
  } catch {
    // Not there, or no name that a file can have.
    return undefined;
  }
}

/** By path, the policy that a page carries in itself: as a header it also says who may frame it. */
function pagePolicies(site) {
  const policies = new Map();
  const pages = readdirSync(site, { recursive: true }).filter((file) => file.endsWith('.html'));
  for (const file of pages) {
    const html = readFileSync(join(site, file), 'utf8');
    const found = /<meta http-equiv="content-security-policy" content="([^"]*)"/i.exec(html)?.[1];
    const path = `/${file}`.replaceAll('\\', '/').replace(/\/?(?:index)?\.html$/, '');
    if (found !== undefined)
      policies.set(path === '' ? '/' : path, `${unescaped(found)}; ${framing}`);
  }
  return policies;
}

const unescaped = (text) =>
  text.replaceAll('&#39;', "'").replaceAll('&quot;', '"').replaceAll('&amp;', '&');

/** A page that is made now has its own policy, which does not say who may frame it. */
function keepPolicy(response) {
  const writeHead = response.writeHead.bind(response);
  response.writeHead = (status, ...rest) => {
    const headers = rest.find((each) => typeof each === 'object' && each !== null);
    if (headers === undefined || Array.isArray(headers)) return writeHead(status, ...rest);
    const name = Object.keys(headers).find((each) => /^content-security-policy$/i.test(each));
    if (name !== undefined) headers[name] = `${headers[name]}; ${framing}`;
    return writeHead(status, ...rest);
  };
}
