import type { Runtime } from '../core/handoff';
import type { Engine } from './engine';
import { browserFace, type LateMeasures } from './measuring';
import { packOf } from './packing';
import type { PackingProtocol } from './protocol';
import { Cancelled, turns } from './turns';

async function runtime(): Promise<Runtime> {
  const answer = await fetch('/pack/runtime.json');
  if (!answer.ok) throw new Error(`The runtime is not there: ${answer.status}.`);
  return answer.json();
}

/** Only the newest is wanted. */
let underWay = turns();

/** The worker's answers about what is handed off. */
export const packingProtocol = (engine: Engine, measures: LateMeasures): PackingProtocol => ({
  async pack(project, contents) {
    underWay.cancel();
    const own = turns();
    underWay = own;
    const texts = {
      measures,
      more: () => new Promise<void>((done) => setTimeout(done, 50)),
      pause: own.pause,
      runtime,
      face: browserFace,
      fonts: measures.fonts,
    };
    try {
      return await packOf({ project, items: engine.itemsOf(project), contents }, texts);
    } catch (error) {
      if (error instanceof Cancelled) return undefined;
      throw error;
    }
  },
});
