/** The project of an engine as it runs: its templates made ready, once for what they are made of. */
export { CompiledTemplates } from './compiled-templates';
