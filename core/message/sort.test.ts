import { expect } from "chai";
import { sortMessage, wordsOf } from "./index";

const slots = (typed: string) => wordsOf(sortMessage(typed));

describe("a message that is typed", () => {
  it("is sorted into slots by the form of its lines", () => {
    expect(
      slots(
        "EXHIBITION\nBoats at rest\nHarbour photographs from the attic\nSaturday 14 March, 18:00\nat the Old Customs House\n€ 9\nBook a quiet hour\n@quillmere\nquillmere.example",
      ),
    ).to.deep.equal({
      kicker: "EXHIBITION",
      headline: "Boats at rest",
      support: "Harbour photographs from the attic",
      date: "Saturday 14 March, 18:00",
      place: "at the Old Customs House",
      price: "€ 9",
      "call-to-action": "Book a quiet hour",
      handle: "@quillmere",
      site: "quillmere.example",
    });
  });

  it("keeps a quote with its author, and a list together", () => {
    expect(slots("“The water was cold.”\n— Rosa, a member\nJoin us")).to.deep.equal({
      quote: "“The water was cold.”",
      author: "Rosa, a member",
      "call-to-action": "Join us",
    });
    expect(slots("Pack for the night train\n- A scarf\n- A book\n3. Thick socks")).to.deep.equal({
      headline: "Pack for the night train",
      list: "- A scarf\n- A book\n3. Thick socks",
    });
  });

  it("parts one paragraph at its first sentence, and loses nothing of a long one", () => {
    expect(slots("The pool is warm. Come before lunch and stay for soup.")).to.deep.equal({
      headline: "The pool is warm",
      support: "Come before lunch and stay for soup.",
    });
    const long = ["First", "Second", "Third", "Fourth", "Fifth"].join("\n");
    expect(slots(long)).to.deep.equal({
      headline: "First",
      support: "Second",
      body: "Third\nFourth\nFifth",
    });
    expect(slots("")).to.deep.equal({});
  });

  it("does not take every number for a price, nor every verb for a button", () => {
    expect(
      slots("Open until ten\nSee how our grandparents photographed a whole harbour on Sundays"),
    ) //
      .to.deep.equal({
        headline: "Open until ten",
        support: "See how our grandparents photographed a whole harbour on Sundays",
      });
    expect(slots("73 %\nof our guests come back")).to.deep.equal({
      figure: "73 %",
      headline: "of our guests come back",
    });
  });
});
