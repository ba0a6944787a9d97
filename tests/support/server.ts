import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach } from 'vitest';

const servers: Server[] = [];

afterEach(stopServing);

/** An address on this machine that answers so, until the test is over. */
export async function serving(answer: RequestListener, path = '/stock.json'): Promise<string> {
  const server = createServer(answer);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;
}

export function stopServing(): void {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
}
