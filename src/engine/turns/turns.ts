export class Cancelled extends Error {}

/** Pauses of one piece of work: each lets waiting messages be answered; after `cancel` they reject. */
export function turns(): { readonly pause: () => Promise<void>; readonly cancel: () => void } {
  let isCancelled = false;
  return {
    // A message to oneself is a task of its own and, unlike a timer, is not held back.
    pause: () =>
      new Promise((resolve, reject) => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => {
          port1.close();
          if (isCancelled) reject(new Cancelled());
          else resolve();
        };
        port2.postMessage(null);
      }),
    cancel() {
      isCancelled = true;
    },
  };
}
