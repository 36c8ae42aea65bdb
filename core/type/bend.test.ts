import { expect } from "chai";
import { demoPieces, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { contains } from "../geometry";
import type { Piece } from "../piece";
import { catalogue, frameOf, placementById } from "../placements";
import type { PathItem } from "../scene";
import { bendOf } from "./bend";

const line = { width: 600, ascent: 80, descent: 20 };

describe("a line along a circle", () => {
  it("spans the arc that it was given, by the geometry of circles", () => {
    const half = bendOf(line, 180);
    // A baseline of 600 over half a circle: its radius is 600 / π.
    expect(half.radius).to.be.closeTo(600 / Math.PI, 1e-9);
    expect(half.width).to.be.closeTo(2 * (half.radius + 80), 1e-9);
    expect(half.height).to.be.closeTo(half.radius + 80, 1e-9);
    const whole = bendOf(line, 360);
    expect(whole.width).to.be.closeTo(whole.height, 1e-9);
    const flat = bendOf(line, 10);
    // The sagitta of a flat arc, 2 R sin²(θ/4), and the chord of its outer edge.
    const radians = (10 * Math.PI) / 180;
    const sagitta = 2 * flat.radius * Math.sin(radians / 4) ** 2;
    expect(flat.height).to.be.closeTo(80 + 20 + sagitta, 0.2);
    expect(flat.width).to.be.closeTo(2 * (flat.radius + 80) * Math.sin(radians / 2), 1e-9);
  });

  it("hangs in a bowl as it stands on an arch, and never runs into its own middle", () => {
    const [up, down] = [bendOf(line, 40), bendOf(line, -40)];
    expect(down.inside).to.equal(true);
    expect(down.radius).to.equal(up.radius);
    expect(down.centre.y).to.be.below(0);
    expect(bendOf({ ...line, width: 100 }, -360).radius).to.equal(1.6 * 80);
  });

  it("has every letter on the circle, on every size where it is bent, and is whole in the frame", async () => {
    const sources = await demoSources();
    const { piece, brand } = demoPieces().find((one) => one.piece.id === "opening-announcement")!;
    let bentOn = 0;
    for (const arc of [120, -90]) {
      const bent: Piece = {
        ...piece,
        arrangement: piece.arrangement.map((node) =>
          node.id === "kicker" ? { ...node, style: { ...node.style, arc } } : node,
        ),
      };
      for (const { id } of catalogue.placements) {
        const { layout, scene } = makeScene(bent, brand, placementById(id), sources);
        const placed = layout.placed.find(({ node }) => node.id === "kicker");
        const circle = placed?.text?.bent;
        if (!circle) continue;
        bentOn++;
        expect(contains(frameOf(layout.placement), placed!.box), id).to.equal(true);
        const items = scene.items.filter((item): item is PathItem => item.node === "kicker");
        const { set } = placed!.text!;
        const [least, most] = circle.inside
          ? [circle.radius - 1.1 * set.ascent, circle.radius + 0.4 * set.size]
          : [circle.radius - 0.4 * set.size, circle.radius + 1.1 * set.ascent];
        for (const { d } of items)
          for (const [, x, y] of d.matchAll(/M\s*(-?[\d.]+)[ ,](-?[\d.]+)/g)) {
            const far = Math.hypot(Number(x) - circle.about.x, Number(y) - circle.about.y);
            expect(far, id).to.be.within(least, most);
          }
      }
    }
    expect(bentOn).to.be.above(20);
  });
});
