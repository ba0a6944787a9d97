// Debian's Chromium for the browser tests, installed if it is missing.
import { existsSync } from 'node:fs';
import { run } from './setup.mjs';

export const chromiumPath = '/usr/bin/chromium';

export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export function ensureChromium() {
  if (existsSync(chromiumPath)) return;
  console.log('Installing Chromium …');
  const quiet = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  run('apt-get', ['update', '-qq'], quiet);
  run('apt-get', ['install', '-y', '-qq', 'chromium'], quiet);
  if (existsSync(chromiumPath)) return;
  console.error(
    'The browser tests need Debian’s Chromium. Install it as root: apt-get install chromium',
  );
  process.exit(1);
}
