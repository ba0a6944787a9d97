import type { APIRoute } from 'astro';
import { standInEvent } from '../../../core/items';
import { wished } from './_wishes';

export const prerender = false;

const longestMs = 600_000;

/** What happens to the items, pushed one by one; who was cut off goes on after what it heard last. */
export const GET: APIRoute = async ({ request }) => {
  const own = await wished(request);
  if (own instanceof Response) return own;
  const heard = Number(request.headers.get('last-event-id') ?? Number.NaN);
  const from = Number.isInteger(heard) && heard >= 0 ? heard : own.after;
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const encoder = new TextEncoder();
      const began = Date.now();
      let sent = 0;
      controller.enqueue(encoder.encode('retry: 500\n\n'));
      timer = setInterval(() => {
        const isOver = (own.drop > 0 && sent >= own.drop) || Date.now() - began > longestMs;
        if (isOver) {
          stop();
          controller.close();
          return;
        }
        sent += 1;
        const number = from + sent;
        const { name, data } = standInEvent(own, number);
        controller.enqueue(encoder.encode(`id: ${number}\nevent: ${name}\ndata: ${data}\n\n`));
      }, own.every);
      request.signal.addEventListener('abort', stop);
    },
    cancel: stop,
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' },
  });
};
