import { expect } from "chai";
import { CORAL, isIn, painted, SAND, TIDE } from "../../tests/support/painted";
import { shrink, type Pixels } from "../attention";
import { box } from "../geometry";
import { balanceOf, clutterOf } from "./composition";
import { bitsApart, coloursApart, fromHex, lookOf } from "./look";

describe("how a picture is composed", () => {
  const plain = (picture: Pixels) => shrink(picture, 96, 96);

  it("is balanced about the middle, and less the further off", () => {
    const at = (x: number) =>
      balanceOf(
        plain(painted(480, 480, (px, py) => (isIn(box(x, 200, 80, 80), px, py) ? TIDE : SAND))),
      );
    expect(at(200)).to.be.closeTo(1, 0.01);
    expect(at(120)).to.be.below(at(200));
    expect(at(0)).to.be.below(at(120));
    // The centre of mass of a mark at the edge, by hand: 200 of the 339 px to a corner.
    expect(at(0)).to.be.closeTo(1 - 200 / (480 * Math.SQRT1_2), 0.01);
    expect(balanceOf(plain(painted(320, 50, () => SAND)))).to.equal(1);
  });

  it("is fuller the more edges there are", () => {
    const stripes = (width: number) =>
      clutterOf(plain(painted(480, 480, (x) => (Math.floor(x / width) % 2 ? TIDE : SAND))));
    expect(stripes(480)).to.equal(0);
    expect(stripes(120)).to.be.within(0.01, stripes(30));
    expect(stripes(30)).to.be.above(0.3);
  });
});

describe("whether two pictures look alike", () => {
  const look = (picture: Pixels) => lookOf(shrink(picture, 32, 32));
  const scene = (shift: number, ground = SAND) =>
    painted(480, 600, (x, y) =>
      isIn(box(80 + shift, 120, 200, 60), x, y)
        ? TIDE
        : isIn(box(120, 320, 240, 200), x, y)
          ? CORAL
          : ground,
    );

  it("says near for the same a little moved, and far for another arrangement or another colour", () => {
    const [a, near, far, tinted] = [scene(0), scene(4), scene(160), scene(0, [200, 214, 235])].map(
      look,
    );
    const colours = (one: typeof a) =>
      coloursApart(fromHex(a!.colours), fromHex(one!.colours)).mean;
    expect(bitsApart(a!.hash, a!.hash)).to.equal(0);
    expect(bitsApart(a!.hash, near!.hash)).to.be.at.most(6);
    expect(bitsApart(a!.hash, far!.hash)).to.be.above(10);
    expect(colours(near)).to.be.below(2);
    expect(colours(tinted)).to.be.above(8);
    expect(a!.hash).to.match(/^[0-9a-f]{16}$/);
  });

  it("stops counting once it is far enough", () => {
    const [a, b] = [scene(0), scene(0, TIDE)].map((one) => fromHex(look(one).colours));
    const { mean, most } = coloursApart(a!, b!);
    expect(mean).to.be.above(20);
    expect(most).to.be.above(mean);
    const early = coloursApart(a!, b!, 1);
    expect(early.mean).to.be.within(1, mean);
    expect(early.most).to.equal(Infinity);
  });
});
