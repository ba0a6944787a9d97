import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Scroller } from './scroller';

const limitPx = 4_000_000;
const windowPx = 600;

/** A scrolling box as a browser has one: it goes no further than its content, in whole px. */
function boxOf(contentPx: number) {
  let top = 0;
  const sizer = { style: { height: '' } };
  const host = {
    get scrollTop() {
      return top;
    },
    set scrollTop(next) {
      const maxTop = Number.parseFloat(sizer.style.height) - windowPx;
      top = Math.max(0, Math.min(Math.round(next), maxTop));
    },
  };
  const scroller = new Scroller(host, sizer);
  scroller.setHeight(windowPx);
  scroller.setContent(contentPx);
  const scrollBy = (px: number) => {
    host.scrollTop += px;
    scroller.moved();
  };
  const dragTo = (share: number) => {
    host.scrollTop = share * (Number.parseFloat(sizer.style.height) - windowPx);
    scroller.moved();
  };
  return { host, sizer, scroller, scrollBy, dragTo };
}

const content = fc.oneof(
  fc.integer({ min: windowPx, max: limitPx }),
  fc.integer({ min: limitPx + 1, max: 200_000_000 }),
);

describe('a scrolling box', () => {
  test('is as high as its content, and no higher than places are exact', () => {
    expect(boxOf(5_000).sizer.style.height).toBe('5000px');
    const { sizer, scroller } = boxOf(70_000_000);
    expect([sizer.style.height, scroller.isScaled]).toEqual([`${limitPx}px`, true]);
  });

  test('moves by as much as the wheel does, however high the content', () => {
    fc.assert(
      fc.property(
        content,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.array(fc.integer({ min: -1_000, max: 1_000 }), { maxLength: 40 }),
        (contentPx, share, moves) => {
          const { scroller, scrollBy, host } = boxOf(contentPx);
          scroller.scrollTo(Math.round(share * (contentPx - windowPx)));
          for (const by of moves) {
            const [before, top] = [scroller.offset, host.scrollTop];
            scrollBy(by);
            const isAtEnd = host.scrollTop !== top + by || scroller.offset === 0;
            if (isAtEnd || scroller.offset === contentPx - windowPx) return;
            expect(scroller.offset).toBeCloseTo(before + by, 6);
          }
        },
      ),
    );
  });

  test('reaches both ends by its thumb, and any place between by number', () => {
    fc.assert(
      fc.property(content, fc.double({ min: 0, max: 1, noNaN: true }), (contentPx, share) => {
        const { scroller, dragTo } = boxOf(contentPx);
        dragTo(1);
        expect(scroller.offset).toBe(contentPx - windowPx);
        dragTo(0);
        expect(scroller.offset).toBe(0);
        const wanted = Math.round(share * (contentPx - windowPx));
        scroller.scrollTo(wanted);
        expect(scroller.offset).toBe(wanted);
      }),
    );
  });

  test('after any way, once it rests, goes on to both ends by the wheel alone', () => {
    const { scroller, scrollBy, dragTo } = boxOf(9_000_000);
    dragTo(0.9999);
    scroller.rest();
    for (let step = 0; step < 3_000; step += 1) {
      scrollBy(900);
      scroller.rest();
    }
    expect(scroller.offset).toBe(9_000_000 - windowPx);
  });

  test('puts what is near where it is seen, and what is far away near the edge', () => {
    fc.assert(
      fc.property(
        content,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: -900, max: 900 }),
        (contentPx, share, by) => {
          const { scroller, host } = boxOf(contentPx);
          scroller.scrollTo(Math.round(share * (contentPx - windowPx)));
          const y = scroller.offset + by;
          fc.pre(y >= 0 && y <= contentPx);
          const place = scroller.near(y);
          if (place < limitPx - 1) expect(place - host.scrollTop).toBeCloseTo(by, 6);
          expect(scroller.near(0)).toBeGreaterThanOrEqual(-100_000);
          expect(scroller.near(contentPx)).toBeLessThan(limitPx + 1);
        },
      ),
    );
  });

  test('a move that was not heard of yet is not taken back when the thumb is centred', () => {
    const { host, scroller, scrollBy, dragTo } = boxOf(10_400_000);
    dragTo(0.5);
    scrollBy(520);
    host.scrollTop = limitPx;
    scroller.rest();
    expect(scroller.offset).toBe(10_400_000 - windowPx);
    expect(host.scrollTop).toBe(limitPx - windowPx);
  });

  test('tells who asks whether somebody scrolled it meanwhile, and not that it did so itself', () => {
    const { host, scroller } = boxOf(6_000);
    scroller.scrollTo(300);
    expect([scroller.catchUp(), scroller.offset]).toEqual([false, 300]);
    host.scrollTop = 480;
    expect([scroller.catchUp(), scroller.offset]).toEqual([true, 480]);
    expect(scroller.catchUp()).toBe(false);
  });
});
