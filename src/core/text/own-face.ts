/** What a font of the project's own is called in style sheets, by the id of its content. */
export const ownFace = (content: string): string => `Own ${content.replace(/[^a-z0-9]/gi, '')}`;
