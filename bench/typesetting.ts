import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { createCanvas, GlobalFonts } from "@napi-rs/canvas";
import { shelfTypeface, shippedFonts } from "../core/shelf";
import { setToFit, Typesetter, type TypeStyle } from "../core/type";
import { fontFolder } from "../tests/support/demo";
import { styled } from "../tests/support/type";
import { quantile, table } from "./figures";

const FAMILY = "eb-garamond";
const ROOM = { width: 880, height: 520, min: 24, max: 400, mostLines: 8 };
const WORDS =
  "boats at rest in the old harbour photographs of light and still water where nobody has been for years a quiet fleet".split(
    " ",
  );
/** 12 words, another text for each number. */
const headline = (n: number): string =>
  Array.from({ length: 12 }, (_, i) => WORDS[(n * 7 + i * (3 + (n % 5))) % WORDS.length]).join(
    " ",
  ) + ` ${n}`;

/**
 * Setting a headline into a box. Baseline in the same run: the usual way on a canvas, which tries sizes
 * (halving the interval to a pixel), measures word by word and fills lines greedily.
 */
export async function benchTypesetting(): Promise<void> {
  const faces = shelfTypeface(FAMILY)!.faces;
  const bytes = await Promise.all(
    faces.map(({ file }) => readFile(join(fontFolder, shippedFonts.get(file)!))),
  );
  const cold = faces.map(() => coldFace(bytes[0]!));

  const typesetter = new Typesetter();
  faces.forEach(({ file }, i) => typesetter.addFont(file, bytes[i]!));
  const style = styled(typesetter.chain(shelfTypeface(FAMILY)!, 700, "display"), { leading: 0.95 });
  for (let n = 2000; n < 2100; n++) setToFit(typesetter.paragraph(headline(n), style), ROOM);
  const own = timed(1000, (n) => setToFit(typesetter.paragraph(headline(n), style), ROOM));

  GlobalFonts.register(bytes[1]!, "bench");
  const plain = timed(200, (n) => fitByTrying(headline(n)));
  const again = timed(1, () =>
    timed(1000, (n) => setToFit(typesetter.paragraph(headline(n + 5000), style), ROOM)),
  );
  table("Setting a 12-word headline into a box", [
    ["with fitting, median", `${quantile(own, 0.5).toFixed(3)} ms`],
    ["1 000 different headlines", `${again[0]!.toFixed(0)} ms`],
    ["a cold face: opened, and its first headline set", `${quantile(cold, 0.5).toFixed(1)} ms`],
    ["by trying sizes on a canvas, median", `${quantile(plain, 0.5).toFixed(3)} ms`],
    ["ratio of the medians", `${(quantile(plain, 0.5) / quantile(own, 0.5)).toFixed(1)} ×`],
  ]);
}

function timed(count: number, run: (n: number) => unknown): number[] {
  return Array.from({ length: count }, (_, n) => {
    const start = performance.now();
    run(n);
    return performance.now() - start;
  });
}

function coldFace(bytes: Uint8Array): number {
  const start = performance.now();
  const typesetter = new Typesetter();
  const typeface = shelfTypeface(FAMILY)!;
  typesetter.addFont(typeface.faces[0]!.file, bytes);
  const style: TypeStyle = styled(typesetter.chain(typeface, 400, "display"));
  setToFit(typesetter.paragraph(headline(1), style), ROOM);
  return performance.now() - start;
}

const context = createCanvas(10, 10).getContext("2d");

function fitByTrying(text: string): number {
  let [low, high] = [ROOM.min, ROOM.max];
  while (high - low > 1) {
    const size = (low + high) / 2;
    context.font = `${size}px bench`;
    if (linesAt(text) * size * 0.95 <= ROOM.height) low = size;
    else high = size;
  }
  return low;
}

function linesAt(text: string): number {
  let [lines, line] = [1, ""];
  for (const word of text.split(" ")) {
    const longer = line ? `${line} ${word}` : word;
    if (context.measureText(longer).width > ROOM.width) {
      lines += 1;
      line = word;
    } else line = longer;
  }
  return lines;
}
