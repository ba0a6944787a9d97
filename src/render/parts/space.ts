import { block, drawsOfBlocks } from './block';
import type { PartView } from './part-view';

/** Room that nothing takes. */
export const space: PartView = { element: () => block('space'), draws: drawsOfBlocks };
