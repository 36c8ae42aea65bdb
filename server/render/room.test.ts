import { expect } from "chai";
import { RoomFor } from "./room";

describe("room for what is painted", () => {
  it("is never given twice, is given in turn, and to what is larger than it alone", async () => {
    const room = new RoomFor(10);
    let [now, most] = [0, 0];
    const order: number[] = [];
    const weights = [4, 4, 4, 30, 1, 9, 10, 2];
    await Promise.all(
      weights.map((weight, index) =>
        room.use(weight, async () => {
          now += weight;
          most = Math.max(most, weight > 10 ? 0 : now);
          if (weight > 10) expect(now).to.equal(weight);
          order.push(index);
          await new Promise((resolve) => setTimeout(resolve, 2));
          now -= weight;
        }),
      ),
    );
    expect(order).to.deep.equal(weights.map((_, index) => index));
    expect(most).to.be.at.most(10);
  });

  it("is given back by what fails", async () => {
    const room = new RoomFor(1);
    const failed = room.use(1, () => Promise.reject(new Error("no")));
    const next = room.use(1, () => Promise.resolve("in"));
    expect(await failed.catch((error: Error) => error.message)).to.equal("no");
    expect(await next).to.equal("in");
  });
});
