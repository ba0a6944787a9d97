import type { Look, Project } from '../../../core/project';

/** The looks that choices differ by; the one that there is without any has no name. */
export const looksIn = ({ looks }: Project): readonly (Look | undefined)[] => looks ?? [undefined];
