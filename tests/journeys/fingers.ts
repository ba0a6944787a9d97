import type { CDPSession } from '@playwright/test';

/** What touches rows, by real events of the browser. */
export interface Finger {
  down(x: number, y: number): Promise<void>;
  move(x: number, y: number): Promise<void>;
  up(): Promise<void>;
}

export const touch = (session: CDPSession): Finger => {
  const send = (
    type: 'touchStart' | 'touchMove' | 'touchEnd',
    points: { x: number; y: number }[],
  ) => session.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  return {
    down: async (x, y) => void (await send('touchStart', [{ x, y }])),
    move: async (x, y) => void (await send('touchMove', [{ x, y }])),
    up: async () => void (await send('touchEnd', [])),
  };
};

export const pointer = (session: CDPSession, pointerType: 'mouse' | 'pen'): Finger => {
  let at = { x: 0, y: 0 };
  const send = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', buttons: number) =>
    session.send('Input.dispatchMouseEvent', {
      ...{ type, ...at, pointerType, button: 'left', buttons, clickCount: 1 },
    });
  return {
    async down(x, y) {
      at = { x, y };
      await send('mousePressed', 1);
    },
    async move(x, y) {
      at = { x, y };
      await send('mouseMoved', 1);
    },
    up: async () => void (await send('mouseReleased', 0)),
  };
};
