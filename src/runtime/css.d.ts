/** A style sheet as its text: the bundle of the runtime has it in itself. */
declare module '*.css' {
  const text: string;
  export default text;
}
