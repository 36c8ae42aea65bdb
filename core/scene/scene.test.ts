import { expect } from "chai";
import fc from "fast-check";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { change, layoutOf } from "../../tests/support/layouts";
import { makeScene } from "../engine";
import { area, box, contains, inset, right, bottom } from "../geometry";
import { placementById } from "../placements";
import { reportOf } from "../preflight";
import { scenePictures, type GlyphsItem, type PathItem, type Scene } from "./index";
import { compose } from "./compose";
import { gradientOver } from "./figures";
import { scrimItems } from "./scrim";

const glyphs = (scene: Scene): GlyphsItem[] => scene.items.filter((item) => item.kind === "glyphs");

describe("a scene", () => {
  const places = ["photo-feed-tall", "story", "ad-leaderboard"].map(placementById);
  let made: ReturnType<typeof makeScene>[];
  before(async () => {
    const sources = await demoSources();
    made = demoPieces().flatMap(({ piece, brand }) =>
      places.map((placement) => makeScene(piece, brand, placement, sources)),
    );
  });

  it("paints everything that is placed and nothing else, back to front", () => {
    for (const { layout, scene } of made) {
      const order = layout.placed.map(({ node }) => node.id);
      const painted = scene.items.map(({ node }) => node);
      expect(new Set(painted)).to.deep.equal(new Set(order));
      const at = painted.map((id) => order.indexOf(id));
      expect(at).to.deep.equal([...at].sort((a, b) => a - b));
    }
  });

  it("says each text as it was set, line by line, in letters that stand within the frame", () => {
    for (const { layout, scene } of made) {
      for (const { node, text } of layout.placed) {
        if (!text) continue;
        const lines = glyphs(scene).filter((item) => item.node === node.id);
        const said = [...new Set(lines.map((line) => `${line.baseline}|${line.text}`))];
        expect(said.map((line) => line.split("|")[1])).to.deep.equal(
          text.set.lines.map((line) => line.shaped.text),
        );
        for (const { glyphs: letters, size } of lines)
          for (const { x, y } of letters) {
            expect(x).to.be.within(-size, scene.width + size);
            expect(y).to.be.within(0, scene.height + size);
          }
      }
    }
  });

  it("shows of each picture a part that it has, in the shape of its frame", () => {
    for (const { layout, scene } of made)
      for (const { node, view, box: at } of scenePictures(scene)) {
        const placed = layout.placed.find((item) => item.node.id === node)!;
        if (placed.node.type !== "picture") continue;
        const { width, height } = placed.node.file;
        expect(contains(box(-0.5, -0.5, width + 1, height + 1), view.crop)).to.equal(true);
        const ratio = at.width / at.height / (view.crop.width / view.crop.height);
        expect(ratio).to.be.closeTo(1, 0.01);
      }
  });

  it("is the same for the same layout", () => {
    const [{ layout, scene }] = made as [(typeof made)[0]];
    expect(compose(layout)).to.deep.equal(scene);
  });

  it("lets what is behind show through a plate, and words on it are judged by what is seen", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const { node } = layout.placed.find(({ node: { role } }) => role === "headline")!;
    if (node.type !== "text") throw new Error("no headline");
    const plated = (alpha: number) => {
      const plate = { hex: "#FFFFFF", alpha, padding: 0.2, corner: 0, per: "block" } as const;
      return change(layout, node.id, (item) => ({
        ...item,
        node: { ...node, colour: "#000000", plate },
      }));
    };
    const painted = (alpha: number) =>
      compose(plated(alpha)).items.find((item) => item.node === node.id && item.kind === "path")!;
    expect(painted(1).opacity).to.equal(1);
    expect(painted(0.4).opacity).to.be.closeTo(0.4, 1e-9);
    const contrast = (alpha: number) =>
      reportOf(plated(alpha)).nodes.find(({ id }) => id === node.id)!.contrast!;
    expect(contrast(1)).to.equal(21);
    // White at 40 % over the brand's deep ground is a middle grey: mixed as a painter does, in encoded values.
    expect(contrast(0.4)).to.be.within(4, 9);
    expect(contrast(0)).to.be.below(2);
  });

  it("turns a node about its middle unless it is turned about something else", async () => {
    const layout = await layoutOf("photo-feed-tall");
    const { node, box: at } = layout.placed.find(({ text }) => text)!;
    const turned = compose(change(layout, node.id, (item) => ({ ...item, turn: 12 })));
    for (const item of turned.items.filter((one) => one.node === node.id))
      expect(item.turn).to.deep.equal({
        degrees: 12,
        about: { x: at.x + at.width / 2, y: at.y + at.height / 2 },
      });
    const about = { x: 5, y: 7 };
    const aside = compose(change(layout, node.id, (item) => ({ ...item, turn: 12, about })));
    expect(aside.items.find((one) => one.node === node.id)!.turn!.about).to.equal(about);
  });

  it("scales a shadow of the lead with the size", async () => {
    const shadow = { hex: "#000000", alpha: 0.4, x: 3, y: 10, blur: 20 };
    const layout = await layoutOf("story");
    const photo = layout.placed.find(({ node }) => node.type === "picture")!.node.id;
    const scene = compose(
      change(layout, photo, (item) => ({ ...item, node: { ...item.node, shadow } as never })),
    );
    const cast = scene.items.find((item) => item.node === photo && item.shadow) as PathItem;
    const k = layout.leadScale;
    expect(cast.shadow).to.include({ x: 3 * k, y: 10 * k, blur: 20 * k, alpha: 0.4 });
    expect(scene.items.indexOf(cast)).to.be.lessThan(
      scene.items.findIndex((item) => item.kind === "picture" && item.node === photo),
    );
  });

  it("has a plate for each line that holds its letters, or one for all of them", async () => {
    const layout = await layoutOf("photo-feed-square");
    const headline = layout.placed.find(({ node }) => node.role === "headline")!.node.id;
    const plated = (per: "line" | "block") =>
      compose(
        change(layout, headline, (item) => ({
          ...item,
          node: {
            ...item.node,
            plate: { hex: "#123456", per, padding: 0.2, corner: "square" },
          } as never,
        })),
      ).items.filter((item) => item.kind === "path" && item.node === headline) as PathItem[];
    const lines = layout.placed.find(({ node }) => node.id === headline)!.text!.set.lines;
    expect(plated("block")).to.have.length(1);
    expect(plated("line")).to.have.length(lines.length);
    expect(plated("line")[0]!.fill).to.deep.equal({ kind: "flat", hex: "#123456" });
  });
});

describe("a gradient", () => {
  const stops = [
    { at: 0, hex: "#FF0000", alpha: 1 },
    { at: 1, hex: "#0000FF", alpha: 1 },
  ];

  /** CSS Images 4, § 3.1.1: abs(width × sin A) + abs(height × cos A), with A clockwise from the top. */
  it("is as long as CSS Images 4 says, through the middle of its box", () => {
    const size = fc.double({ min: 1, max: 4000, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.integer({ min: 0, max: 359 }), (width, height, angle) => {
        const line = gradientOver({ kind: "linear", angle, stops }, box(10, 20, width, height));
        if (line.kind !== "linear") throw new Error("it is linear");
        const length = Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y);
        // Ours is measured clockwise from the right, CSS from the top.
        const css = ((angle + 90) * Math.PI) / 180;
        const wanted = Math.abs(width * Math.sin(css)) + Math.abs(height * Math.cos(css));
        expect(length).to.be.closeTo(wanted, 1e-6 * (1 + wanted));
        expect((line.from.x + line.to.x) / 2).to.be.closeTo(10 + width / 2, 1e-6);
        expect((line.from.y + line.to.y) / 2).to.be.closeTo(20 + height / 2, 1e-6);
      }),
      { numRuns: 200, seed: 7 },
    );
  });

  it("keeps its own colours at its ends", () => {
    const { stops: close } = gradientOver({ kind: "radial", angle: 0, stops }, box(0, 0, 9, 9)) as {
      stops: typeof stops;
    };
    expect([close[0]!, close.at(-1)!].map(({ hex }) => hex.toUpperCase())).to.deep.equal([
      "#FF0000",
      "#0000FF",
    ]);
    expect(close.length).to.be.greaterThan(2);
  });
});

describe("a scrim", () => {
  const at = box(0, 0, 400, 300);
  const scrimOf = (side: "top" | "bottom" | "left" | "right" | "all", solid: typeof at) =>
    scrimItems({
      unit: 1,
      extent: 1,
      placed: {
        node: { id: "photo", opacity: 0.5 } as never,
        box: at,
        turn: 0,
        scrim: { hex: "#101820", alpha: 0.6, solid, side, fade: 50 },
      },
    })[0]!;

  it("fades away from the edge that it begins at, within its picture", () => {
    const item = scrimOf("bottom", box(0, 200, 400, 100));
    const { fill } = item;
    if (fill?.kind !== "linear") throw new Error("it is linear");
    expect(fill.from.y).to.equal(bottom(at));
    expect(fill.to.y).to.equal(150);
    expect(fill.stops[0]!.alpha).to.equal(0.6);
    expect(fill.stops.at(-1)!.alpha).to.equal(0);
    // Whole as far as the solid part goes.
    expect(fill.stops[1]!.at).to.be.closeTo(100 / 150, 1e-9);
    const wide = scrimOf("left", box(0, 0, 380, 300)).fill;
    expect(wide?.kind === "linear" && wide.to.x).to.equal(right(at));
  });

  it("does not fade where it lies over all, nor with its picture's own opacity", () => {
    const item = scrimOf("all", inset(at, 20));
    expect(item).to.deep.include({ fill: { kind: "flat", hex: "#101820" }, opacity: 0.6 });
    expect(area(at)).to.be.greaterThan(0);
  });
});
