/**
 * Shapes: what a value from outside must be like, said once as data, with the TypeScript type that
 * such a value has. A Yup schema and a JSON Schema are made of it. Nothing of the project is known
 * here; whoever reads files says the shapes.
 */
export { toJsonSchema } from './json-schema';
export {
  boolean,
  byKey,
  byKind,
  byMember,
  id,
  list,
  type Members,
  mapOf,
  named,
  nullable,
  number,
  type Optional,
  oneOf,
  optional,
  record,
  recordOf,
  type Shape,
  text,
} from './shape';
export { holdTo } from './to-yup';
