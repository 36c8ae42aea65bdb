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

  it("knows an address of several parts, and no list of things for one", () => {
    const second = (line: string) => sortMessage(`Market day\n${line}`)[1]!.slot;
    for (const address of [
      "Town Hall, 4 Mill Street",
      "The Old Fire Station, 12 Canal Street, Lower Weir",
      "Lange Gasse 7, 10115 Oberdorf",
      "Stadthalle, Oberdorf",
      "Storgatan 14, Nyby",
      "12 Rue Haute, Vieux-Port",
    ])
      expect(second(address), address).to.equal("place");
    for (const other of [
      "Bread, cheese, a whole market",
      "Coffee, cake, and a good library",
      "Soup, 40 loaves, honey",
      "Anna, Ben, and everyone from the mill",
    ])
      expect(second(other), other).to.equal("support");
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

  it("keeps two lines on when together, and tells a day without a date", () => {
    expect(slots("Free swim\nEvery Sunday in June\n10 am – 1 pm\nRiverside Lido")).to.deep.equal({
      headline: "Free swim",
      date: "Every Sunday in June\n10 am – 1 pm",
      place: "Riverside Lido",
    });
    const second = (line: string) => sortMessage(`Jumble sale\n${line}`)[1]!.slot;
    for (const day of [
      "Tonight",
      "This weekend only",
      "Ends tomorrow",
      "Nur heute",
      "Dieses Wochenende",
      "Demain",
      "Este fin de semana",
      "Start in September",
      "Ab Oktober",
    ])
      expect(second(day), day).to.equal("date");
    for (const other of ["Book today", "Come in, we may smile", "Tomorrow is a word for later"])
      expect(second(other), other).not.to.equal("date");
  });

  it("takes what an offer depends on for terms, and what only states for no button", () => {
    const message = (last: string) => sortMessage(`Winter sale\nOn all coats\n${last}`)[2]!.slot;
    for (const terms of [
      "Terms apply",
      "*Selected lines only",
      "While stocks last",
      "Solange der Vorrat reicht",
      "Nicht mit anderen Angeboten kombinierbar",
      "Ne se cumule pas",
      "Dans la limite des stocks disponibles",
      "Hasta fin de existencias",
    ])
      expect(message(terms), terms).to.equal("terms");
    for (const statement of [
      "Sold out",
      "No booking needed",
      "11–4, rain or shine",
      "Weekends only",
      "Walk in, no bookings",
      "Keine Anmeldung",
      "Hier kann man auch Karten kaufen",
    ])
      expect(message(statement), statement).to.equal("body");
    for (const appeal of [
      "Varaa paikkasi",
      "Hemen katıl",
      "Shop the sale",
      "Termin vereinbaren",
      "Plaats reserveren",
    ])
      expect(message(appeal), appeal).to.equal("call-to-action");
  });

  it("knows who said it without a dash, and an address to write to", () => {
    expect(
      slots("“Best soup in years”\nMara, regular since 2011\nsoup@oven.example"),
    ).to.deep.equal({
      quote: "“Best soup in years”",
      author: "Mara, regular since 2011",
      site: "soup@oven.example",
    });
    expect(slots("“Still water” opens on Friday\nJoin us").headline).to.equal(
      "“Still water” opens on Friday",
    );
    expect(slots("「静かな朝」展\n市立美術館").headline).to.equal("「静かな朝」展");
    expect(slots("“Best soup in years”\nJoin us").author).to.equal(undefined);
    expect(slots("“Best soup in years”\nA warm kitchen").author).to.equal(undefined);
  });

  it("has something that rules, also where a list follows what stands over it", () => {
    expect(slots("How to book:\n1. Pick a date\n2. Choose a boat")).to.deep.equal({
      headline: "How to book:",
      list: "1. Pick a date\n2. Choose a boat",
    });
  });
});
