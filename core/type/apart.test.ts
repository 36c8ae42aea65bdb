import { createCanvas, Path2D } from "@napi-rs/canvas";
import { expect } from "chai";
import { shelfTypesetter, styled } from "../../tests/support/type";
import { families, shelfTypeface } from "../shelf";
import { setAt, type SetLine } from "./index";

/** Pixels for each em: fine enough to see a fortieth of it. */
const EM = 100;
const [WIDTH, HEIGHT] = [900, 900];

/** What a line inks, from its outlines, pixel by pixel; `y` is that of its baseline. */
function inkOf({ shaped, x }: SetLine, y: number): Uint8Array {
  const canvas = createCanvas(WIDTH, HEIGHT);
  const context = canvas.getContext("2d");
  for (const { face, glyph, x: dx, y: dy } of shaped.glyphs) {
    const scale = EM / face.unitsPerEm;
    context.setTransform(scale, 0, 0, -scale, 40 + (x + dx) * EM, y - dy * EM);
    context.fill(new Path2D(face.outline(glyph)));
  }
  const { data } = context.getImageData(0, 0, WIDTH, HEIGHT);
  return Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => (data[4 * i + 3]! > 100 ? 1 : 0));
}

/** Whether two inks come within so many pixels of each other, one above the other or beside it. */
function near(a: Uint8Array, b: Uint8Array, by: number): boolean {
  for (let i = 0; i < a.length; i++) {
    if (!a[i]) continue;
    for (let dy = -by; dy <= by; dy++)
      for (const dx of [-by, 0, by]) if (b[i + dy * WIDTH + dx]) return true;
  }
  return false;
}

describe("lines of display type", () => {
  const TAILS = "Ångström gjøgler: Çağrı, jumpy fjords";
  for (const { id } of families)
    it(`never touch, however tight they are asked for: ${id}`, async () => {
      const typesetter = await shelfTypesetter(id, TAILS);
      const chain = typesetter.chain(shelfTypeface(id)!, 700, "display");
      const paragraph = typesetter.paragraph(TAILS, styled(chain, { leading: 0.7 }));
      const set = setAt(paragraph, EM, (paragraph.widest + 1.5) * EM)!;
      expect(set.lines.length).to.be.above(1);
      const inks = set.lines.map((line) => inkOf(line, 60 + line.baseline * EM));
      for (const [i, ink] of inks.slice(1).entries())
        expect(near(inks[i]!, ink, 2)).to.equal(false);
    });

  it("stand as tight as they are asked for where nothing hangs or rises, alike in all lines", async () => {
    const typesetter = await shelfTypesetter("archivo");
    const chain = typesetter.chain(shelfTypeface("archivo")!, 700, "display");
    const steps = (text: string, leading: number) => {
      const paragraph = typesetter.paragraph(text, styled(chain, { leading }));
      const { lines } = setAt(paragraph, EM, (paragraph.widest + 0.2) * EM)!;
      return lines.slice(1).map(({ baseline }, i) => baseline - lines[i]!.baseline);
    };
    expect(Math.max(...steps("now on we are so sure as summer is", 0.85))).to.be.closeTo(
      0.85,
      1e-9,
    );
    const uneven = steps("jumpy Ångström sea one", 0.85);
    expect(Math.min(...uneven)).to.be.above(0.86);
    expect(Math.max(...uneven) - Math.min(...uneven)).to.be.below(1e-9);
  });
});
