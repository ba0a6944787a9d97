/**
 * Item types as others know them: JSON Schema 2020-12 in and out, components of OpenAPI 3.1 in,
 * declarations out. It reads and writes shapes; what the items really hold is inference's.
 */
export { declarations } from './declarations';
export { dataClasses, type Language, languages } from './languages';
export { looksLikeSchema, readSchema, type SchemaRead } from './read';
export { type Seen, seenIn } from './seen';
export { itemsSchema, type TypeShape } from './write';
