/*
 * What browsers and Node have alike beside the language itself (Encoding Standard; HTML Standard, § 2.7), for core, which
 * sees nothing else of either.
 */
declare class TextEncoder {
  encode(text?: string): Uint8Array<ArrayBuffer>;
}
declare function structuredClone<T>(value: T): T;
