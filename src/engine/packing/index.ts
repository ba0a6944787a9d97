/** What is handed off: the sample's rows in every setting, and the files that are made of them. */
export { expectedOf, type PackTask, packOf } from './pack';
export type { PackMeasures, PackPorts } from './ports';
export { type PartBox, partBoxes, rowSolver } from './row-boxes';
