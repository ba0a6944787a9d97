/**
 * Reading documents: files, pasted words, addresses with their pages, databases. Items come out;
 * what becomes of them is decided elsewhere.
 */
export { type SourceDocument, strictDecoder } from './document';
export { type EventBatch, listenTo } from './fetch-events';
export { goesOn, type ItemsKnown, Reading } from './reading';
export { largestSchemaBytes, schemaIn } from './schema-in';
export { sqliteFrom } from './sqlite';
