/*
 * What browsers and Node have alike beside the language itself (Encoding Standard; HTML Standard, § 2.7), for core, which
 * sees nothing else of either.
 */
declare class TextEncoder {
  encode(text?: string): Uint8Array<ArrayBuffer>;
}
declare function structuredClone<T>(value: T): T;
/** WebAssembly JavaScript Interface, as much of it as core uses. */
declare namespace WebAssembly {
  class Module {
    constructor(bytes: Uint8Array<ArrayBuffer>);
  }
  class Instance {
    constructor(module: Module);
    readonly exports: Record<string, unknown>;
  }
  class Memory {
    readonly buffer: ArrayBuffer;
    grow(pages: number): number;
  }
}
