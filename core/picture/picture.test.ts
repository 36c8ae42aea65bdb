import { expect } from "chai";
import fc from "fast-check";
import { box, contains, type Box } from "../geometry";
import { cropTo, movedIn, readTones, seenInFrame, shareShown, toneOf, type Subject } from "./index";

const side = fc.integer({ min: 1, max: 4000 });
/** One thing that is whole or out. */
const one = (b: Box): Subject => ({
  box: b,
  parts: [{ kind: "thing", box: b, weight: 1, certain: true }],
});
const share = fc.double({ min: 0, max: 1, noNaN: true });

describe("cropTo", () => {
  it("fills the frame without stretching, inside the picture", () => {
    fc.assert(
      fc.property(side, side, side, side, share, share, (pw, ph, fw, fh, x, y) => {
        const picture = { width: pw, height: ph };
        const focus = box(x * pw * 0.9, y * ph * 0.9, pw * 0.1, ph * 0.1);
        const crop = cropTo(picture, { width: fw, height: fh }, one(focus));
        expect(contains(box(0, 0, pw, ph), crop)).to.equal(true);
        expect(crop.width / crop.height / (fw / fh)).to.be.closeTo(1, 1e-6);
      }),
    );
  });

  it("shows a subject that fits, wherever it stands", () => {
    fc.assert(
      fc.property(share, (x) => {
        const focus = box(x * 800, 100, 200, 400);
        const crop = cropTo({ width: 1000, height: 600 }, { width: 300, height: 400 }, one(focus));
        expect(shareShown(crop, focus)).to.be.closeTo(1, 1e-9);
        const frame = box(50, 50, 300, 400);
        expect(contains(frame, seenInFrame(crop, focus, frame))).to.equal(true);
      }),
    );
  });
});

describe("a group that does not fit its frame", () => {
  const picture = { width: 1200, height: 400 };
  const group = (...starts: number[]): Subject => {
    const parts = starts.map((x) => ({
      kind: "face" as const,
      box: box(x, 100, 100, 120),
      weight: 1,
      certain: true,
    }));
    const last = Math.max(...starts) + 100;
    return { box: box(Math.min(...starts), 100, last - Math.min(...starts), 120), parts };
  };
  const heads = (subject: Subject, width: number) => {
    const crop = cropTo(picture, { width, height: 400 }, subject);
    return subject.parts.map((part) => shareShown(crop, part.box));
  };

  it("shows as many whole as it can, and cuts through none", () => {
    // Two stand together at the left, one far at the right.
    expect(heads(group(50, 180, 1000), 400)).to.deep.equal([1, 1, 0]);
    // Of three at even distances two fit.
    const seen = heads(group(100, 350, 600), 450);
    expect(seen.filter((shown) => shown === 1)).to.have.lengthOf(2);
  });

  it("is never a slice of one where a whole one can be had, wherever they stand", () => {
    const starts = fc.uniqueArray(fc.integer({ min: 0, max: 10 }), {
      minLength: 2,
      maxLength: 5,
    });
    fc.assert(
      fc.property(starts, fc.integer({ min: 160, max: 1000 }), (places, width) => {
        const seen = heads(group(...places.map((at) => at * 110)), width);
        expect(seen.filter((shown) => shown > 0.999).length).to.be.above(0);
      }),
    );
  });
});

describe("a picture that is moved in its frame", () => {
  it("shows what it was moved to, and never less than its frame", () => {
    const by = fc.integer({ min: -400, max: 400 });
    const zoom = fc.double({ min: 1, max: 3, noNaN: true });
    fc.assert(
      fc.property(side, side, side, side, by, by, zoom, (pw, ph, fw, fh, x, y, times) => {
        const [picture, frame] = [
          { width: pw, height: ph },
          { width: fw, height: fh },
        ];
        const focus = one(box(0.4 * pw, 0.4 * ph, 0.2 * pw, 0.2 * ph));
        const as = { zoom: times, panX: 0, panY: 0, turn: 0 };
        const before = cropTo(picture, frame, focus, as);
        const after = cropTo(
          picture,
          frame,
          focus,
          movedIn(picture, frame, focus, before, { x, y }),
        );
        expect(contains(box(0, 0, pw, ph), after)).to.equal(true);
        expect(after.width).to.be.closeTo(before.width, 1e-6 * pw);
        const shown = Math.min(Math.max(0, before.x - x), pw - before.width);
        expect(after.x).to.be.closeTo(shown, 1e-6 * pw + 1e-6);
      }),
    );
  });
});

describe("tones", () => {
  /** Left half flat white, right half a chequer of black and white. */
  const grey = Uint8Array.from({ length: 80 * 40 }, (_, i) => {
    const [x, y] = [i % 80, Math.floor(i / 80)];
    return x < 40 ? 255 : (x + y) % 2 === 0 ? 0 : 255;
  });
  const picture = {
    id: "0".repeat(64),
    name: "half",
    mime: "image/png",
    width: 800,
    height: 400,
    vector: false,
    tones: readTones(grey, 80, 40),
  };

  it("tell calm from busy and light from dark", () => {
    const left = toneOf(picture, box(0, 0, 380, 400), {});
    const right = toneOf(picture, box(420, 0, 380, 400), {});
    expect(left.busy).to.be.closeTo(0, 1e-6);
    expect(left.darkest).to.be.closeTo(1, 1e-6);
    expect(right.busy).to.be.greaterThan(0.4);
  });

  it("are those of the adjusted picture", () => {
    const ink = { duotone: { dark: "#000000", light: "#808080" } };
    const tone = toneOf(picture, box(0, 0, 380, 400), ink);
    // #808080 has relative luminance 0.2159 (WCAG 2.2 definition).
    expect(tone.mean).to.be.closeTo(0.2159, 1e-3);
  });
});
