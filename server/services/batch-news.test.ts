import { expect } from "chai";
import type { BatchAnswer } from "../../core/api";
import { BatchNews } from "./batch-news";

describe("the news of batches", () => {
  const answer = (id: string, made: number) => ({ id, piece: "p", made }) as BatchAnswer;
  const rest = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

  it("are told a few times, however many files are finished, and only to who listens", async () => {
    let made = 0;
    let asked = 0;
    const news = new BatchNews((id) => {
      asked++;
      return Promise.resolve(answer(id, made));
    });
    news.soon({ id: "b", piece: "p" });
    await rest(260);
    expect(asked).to.equal(0);
    const told: number[] = [];
    const end = news.listen("p", (now) => told.push(now.made));
    for (; made < 50; made++) news.soon({ id: "b", piece: "p" });
    await rest(260);
    expect(told).to.deep.equal([50]);
    end();
    news.soon({ id: "b", piece: "p" });
    await rest(260);
    expect(told).to.deep.equal([50]);
  });

  it("come in the order in which they happened, and leave out what is gone", async () => {
    const slow = [30, 0, 10];
    const news = new BatchNews(async (id) => {
      await rest(slow.shift() ?? 0);
      if (id === "gone") throw new Error("gone");
      return answer(id, Number(id));
    });
    const told: number[] = [];
    news.listen("p", (now) => told.push(now.made));
    await Promise.all([news.now("1"), news.now("gone"), news.now("2")]);
    expect(told).to.deep.equal([1, 2]);
  });
});
