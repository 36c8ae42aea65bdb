import { expect } from "chai";
import { fallbackFonts, helpingFor, shippedFonts } from "./index";

const families = (text: string, language?: string): string[] => [
  ...new Set(
    fallbackFonts(text, (point) => point < 0x250, language).map(
      (file) => shippedFonts.get(file)!.split("/")[0]!,
    ),
  ),
];

describe("fonts that help out", () => {
  it("shape Chinese characters as the language does, and are fetched for that one alone", () => {
    expect(families("図書館", "ja")).to.deep.equal(["noto-sans-jp"]);
    expect(families("图书馆", "zh")).to.deep.equal(["noto-sans-sc"]);
    expect(families("圖書館", "zh-Hant")).to.deep.equal(["noto-sans-tc"]);
    expect(families("圖書館", "zh-TW")).to.deep.equal(["noto-sans-tc"]);
    expect(families("도서관 圖書館", "ko")).to.deep.equal(["noto-sans-kr"]);
  });

  it("are guessed from the text where its language is not said", () => {
    expect(families("はじめての陶芸")).to.deep.equal(["noto-sans-jp"]);
    expect(families("纸的夜晚")).to.deep.equal(["noto-sans-sc"]);
    expect(families("歡迎來到", "en")).to.deep.equal(["noto-sans-tc"]);
    expect(families("종이의 밤")).to.deep.equal(["noto-sans-kr"]);
    expect(families("only Latin")).to.deep.equal([]);
  });

  it("have the arrows and signs that a typeface of letters lacks", () => {
    expect(families("Swipe → or ← back, 3 × 4 ≤ 12")).to.deep.equal(["inter"]);
  });

  it("come first that are made for the language", () => {
    expect(helpingFor("zh-Hant")[0]!.id).to.equal("noto-sans-tc");
    expect(helpingFor("ko")[0]!.id).to.equal("noto-sans-kr");
    const all = helpingFor("en").map(({ id }) => id);
    expect(new Set(all).size).to.equal(all.length);
  });
});
