// `npm start`: installs and builds what is missing, then serves. PORT and HOST are honoured.
import { ensureBuilt, ensureInstalled } from './setup.mjs';

ensureInstalled();
ensureBuilt();
const { serve } = await import('./serve.mjs');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4321);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`PORT is "${process.env.PORT}"; it has to be a number from 0 to 65535.`);
  process.exit(2);
}
try {
  const server = await serve({ host, port });
  console.log(
    `Yarn Card is at http://${host.includes(':') ? `[${host}]` : host}:${server.address().port}/`,
  );
} catch (error) {
  const reasons = {
    EADDRINUSE: `Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm start`,
    EACCES: `Port ${port} may not be used by this user. Choose one above 1023: PORT=4321 npm start`,
    EADDRNOTAVAIL: `The address ${host} is not one of this machine's. Set HOST to one that is, such as 127.0.0.1.`,
  };
  console.error(reasons[error.code] ?? String(error));
  process.exit(1);
}
