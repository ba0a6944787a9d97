/** What is handed off: the sample's rows in every setting, and the files that are made of them. */

export { listPicture } from './list-picture';
export { expectedOf, type PackTask, packOf } from './pack';
export type { DrawPorts, PackMeasures, PackPorts } from './ports';
export { type PartBox, partBoxes, rowSolver } from './row-boxes';
