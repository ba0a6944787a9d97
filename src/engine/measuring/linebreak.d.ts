// The part of linebreak that is used; it comes without types.
declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}
