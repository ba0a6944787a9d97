import type { Locator, Page } from '@playwright/test';

export interface Stepper {
  readonly steps: readonly string[];
  press(what: string, locator: Locator): Promise<void>;
  drag(
    what: string,
    from: Locator,
    to: Locator,
    at: { readonly x: number; readonly y: number },
  ): Promise<void>;
  key(key: string): Promise<void>;
  type(text: string): Promise<void>;
}

export function freshItems(seed: number): readonly Record<string, unknown>[];
export function rowIsThere(page: Page): Promise<void>;
export function stepper(page: Page): Stepper;
export const tries: readonly {
  readonly name: string;
  readonly max: number;
  run(page: Page, does: Stepper): Promise<void>;
}[];
