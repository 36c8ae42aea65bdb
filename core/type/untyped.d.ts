declare module "bidi-js" {
  interface EmbeddingLevels {
    levels: Uint8Array;
    paragraphs: { start: number; end: number; level: number }[];
  }
  interface Bidi {
    getEmbeddingLevels(text: string, direction?: "ltr" | "rtl" | "auto"): EmbeddingLevels;
    getReorderedIndices(text: string, embedding: EmbeddingLevels): number[];
  }
  export default function createBidi(): Bidi;
}

declare module "hyphen/*" {
  const patterns: {
    hyphenateSync(text: string, options: { hyphenChar: string; minWordLength: number }): string;
  };
  export default patterns;
}

declare module "linebreak" {
  interface Break {
    position: number;
    required: boolean;
  }
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): Break | null;
  }
}
