import { answering } from './answering';
import { database, type KeptHandOff } from './database';

/** Keeps what was handed off of a project, in the place of what was before. */
export async function keepHandOff(handOff: KeptHandOff): Promise<void> {
  await answering(database.handOffs.put(handOff));
}

/** What was handed off of a project last; undefined: nothing was, from this browser. */
export async function lastHandOff(project: string): Promise<KeptHandOff | undefined> {
  return answering(database.handOffs.get(project));
}
