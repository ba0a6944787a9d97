import { expect, test } from 'vitest';
import { yarncard } from './support/command-line';
import { demoFile, demoLocales, demoLooks, referenceOf } from './support/demo-words';

/** Made anew by `npx vitest run tests/demo-words.test.ts -u`. */
test.each(demoLooks.flatMap((look) => demoLocales.map((locale) => [look, locale] as const)))(
  'every entry of the demo says in the look %s in %s what it said before',
  async (look, locale) => {
    const asked = ['resolve', demoFile, '--look', look, '--locale', locale];
    const { stdout, stderr, status } = await yarncard(asked);
    expect([status, stderr]).toEqual([0, '']);
    await expect(stdout).toMatchFileSnapshot(referenceOf(look, locale));
  },
);
