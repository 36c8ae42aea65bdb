import { expect } from "chai";
import fc from "fast-check";
import { editTo, setting } from "../../core/edit";
import { same } from "../../core/same";
import { Memory } from "../../tests/support/browser-storage";
import { typed } from "../../tests/support/edits";
import { otherwise } from "../../tests/support/random-piece";
import { full, headline, MadeUp, noAnswer, page, type Fate } from "../../tests/support/session";
import { randomFrom } from "../../tests/support/torture";

describe("a session with a piece", () => {
  it("shows a change at once and saves it soon, once for what is typed in one go", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    for (const text of ["A", "Ab", "Abc"]) type(text);
    expect(headline(seen.state.piece)).to.equal("Abc");
    expect(seen.state).to.include({ saving: "saving", undo: "headline" });
    await pass();
    expect(headline(server.piece_)).to.equal("Abc");
    expect(seen.state.saving).to.equal("saved");
    expect(server.asked).to.have.lengthOf(2);
  });

  it("has nothing painted again by an answer or a step that leaves it as it is", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    type("Boats");
    const shown = seen.state.piece!;
    await pass();
    // The server's answer is another object; what is in it is what was there.
    expect(seen.state.piece!.message).to.equal(shown.message);
    expect(seen.state.piece!.arrangement).to.equal(shown.arrangement);
    await session.undo();
    expect(headline(seen.state.piece)).to.equal(headline(server.piece_));
    expect(seen.state.piece!.message).to.not.equal(shown.message);
    expect(seen.state.piece!.arrangement).to.equal(shown.arrangement);
  });

  it("is not touched by the one before it, which sends what was typed in it", async () => {
    const server = new MadeUp();
    const [first, second] = [page(server), page(new MadeUp())];
    await first.session.open();
    first.type("Written first");
    const release = server.slow();
    const left = first.session.close();
    await second.session.open();
    second.type("Written second");
    release();
    await left;
    await second.pass();
    expect(headline(server.piece_)).to.equal("Written first");
    expect(headline(second.server.piece_)).to.equal("Written second");
    expect(headline(second.seen.state.piece)).to.equal("Written second");
    expect(server.streams.size).to.equal(0);
  });

  it("leaves no stream behind when it is closed before it was opened", async () => {
    const { server, session } = page();
    const release = server.slow();
    const opened = session.open();
    const closed = session.close();
    release();
    await Promise.all([opened, closed]);
    expect(server.streams.size).to.equal(0);
  });

  for (const fate of ["lost", "full", "answer lost"] as const)
    it(`keeps what cannot be saved (${fate}), says so, and saves it when that is over`, async () => {
      const { server, session, seen, pass, type } = page();
      await session.open();
      server.fates = [fate, fate];
      type("Kept");
      await pass();
      expect(seen.state.saving).to.equal("waiting");
      expect(seen.state.waitsFor).to.equal((fate === "full" ? full() : noAnswer()).message);
      type("Kept and more");
      await pass();
      await pass();
      expect(headline(server.piece_)).to.equal("Kept and more");
      expect(seen.state).to.include({ saving: "saved", waitsFor: "" });
      expect(seen.state.stuck).to.equal(undefined);
    });

  it("keeps what was refused in sight until it is sent again, written over or let go", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    const was = headline(server.piece_);
    server.refuses = ({ changes }) => String(changes[0]!.to).length > 8;
    type("Far too long");
    await pass();
    expect(seen.state.saving).to.equal("stuck");
    expect(seen.state.stuck).to.deep.include({ why: "refused", message: "It is too long." });
    expect(headline(seen.state.piece)).to.equal("Far too long");
    await session.keepMine();
    expect(seen.state.saving).to.equal("stuck");
    // However long that takes.
    seen.clock += 60_000;
    type("Short");
    await pass();
    expect(headline(server.piece_)).to.equal("Short");
    type("Too long again");
    await pass();
    await session.takeTheirs();
    expect(headline(seen.state.piece)).to.equal("Short");
    expect(seen.state.saving).to.equal("saved");
    expect(was).not.to.equal("Short");
  });

  it("lets a person choose between two windows' words", async () => {
    for (const mine of [true, false]) {
      const { server, session, seen, pass, type } = page();
      await session.open();
      server.streams.clear();
      server.keep(typed("Theirs", headline(server.piece_)));
      type("Mine");
      await pass();
      expect(seen.state.stuck).to.deep.include({ why: "conflict", message: "Changed elsewhere." });
      type("Mine, longer");
      expect(seen.state.stuck?.edit.changes[0]!.to).to.equal("Mine, longer");
      await (mine ? session.keepMine() : session.takeTheirs());
      const wanted = mine ? "Mine, longer" : "Theirs";
      expect(headline(server.piece_)).to.equal(wanted);
      expect(headline(seen.state.piece)).to.equal(wanted);
      expect(seen.state.saving).to.equal("saved");
    }
  });

  it("does not let go of what is stuck before it knows what the server has", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    server.refuses = () => true;
    type("Refused");
    await pass();
    server.fates = ["lost"];
    await session.takeTheirs();
    expect(seen.state.stuck?.edit.changes[0]!.to).to.equal("Refused");
    expect(headline(seen.state.piece)).to.equal("Refused");
    expect(seen.heard.at(-1)).to.equal(noAnswer().message);
    await session.takeTheirs();
    expect(headline(seen.state.piece)).to.equal(headline(server.piece_));
    expect(seen.state.saving).to.equal("saved");
  });

  it("shows another window's change, with what is not saved yet on top of it", async () => {
    const { server, session, seen, type } = page();
    await session.open();
    type("Mine");
    server.keep(setting(server.piece_, ["title"], "Renamed"));
    await new Promise((resolve) => setTimeout(resolve));
    expect(seen.state.piece!.title).to.equal("Renamed");
    expect(headline(seen.state.piece)).to.equal("Mine");
    expect(seen.heard).to.have.lengthOf(1);
  });

  it("is there again after a reload that came before it was saved", async () => {
    const before = page();
    await before.session.open();
    before.type("Typed, then reloaded");
    const after = page(before.server, before.storage);
    await after.session.open();
    expect(headline(before.server.piece_)).to.equal("Typed, then reloaded");
    expect(after.seen.state.saving).to.equal("saved");
  });

  it("saves before it goes a step back, and does not go back what is not saved", async () => {
    const { server, session, seen, type } = page();
    await session.open();
    const was = headline(server.piece_);
    type("Typed");
    await session.undo();
    expect(headline(seen.state.piece)).to.equal(was);
    type("Typed again");
    server.fates = ["lost"];
    await session.undo();
    expect(headline(seen.state.piece)).to.equal("Typed again");
    expect(seen.heard.at(-1)).to.contain("not saved yet");
  });

  it("shows a step back and forth before the server has answered, and what is typed meanwhile on top", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    const was = headline(server.piece_);
    type("First");
    await pass();
    seen.clock += 60_000;
    type("Second");
    await pass();
    const release = server.slow();
    const steps = [session.undo()];
    expect(headline(seen.state.piece)).to.equal("First");
    steps.push(session.undo());
    expect(headline(seen.state.piece)).to.equal(was);
    expect(seen.state).to.include({ redo: "headline", undo: undefined });
    steps.push(session.redo());
    expect(headline(seen.state.piece)).to.equal("First");
    seen.clock += 60_000;
    type("Third");
    expect(headline(seen.state.piece)).to.equal("Third");
    release();
    await Promise.all(steps);
    await pass();
    expect(headline(server.piece_)).to.equal("Third");
    expect(headline(seen.state.piece)).to.equal("Third");
    await session.undo();
    expect(headline(server.piece_)).to.equal("First");
  });

  it("takes a step back only when what was changed before it is saved", async () => {
    const { server, session, seen, type } = page();
    await session.open();
    const was = headline(server.piece_);
    const release = server.slow();
    type("On its way");
    const stepped = session.undo();
    expect(headline(seen.state.piece)).to.equal(was);
    type("And more");
    expect(headline(seen.state.piece)).to.equal("And more");
    release();
    await stepped;
    await session.save();
    expect(server.asked.length).to.equal(4);
    expect(headline(server.piece_)).to.equal("And more");
  });

  it("shows what the server has where a step cannot be made", async () => {
    const { server, session, seen, pass, type } = page();
    await session.open();
    type("Kept");
    await pass();
    server.fates = ["lost"];
    await session.undo();
    expect(headline(seen.state.piece)).to.equal("Kept");
    expect(headline(server.piece_)).to.equal("Kept");
    expect(seen.heard.at(-1)).to.equal(noAnswer().message);
  });

  it("never drops a letter, whatever the server does and however often the page is loaded anew", async () => {
    const event = fc.oneof(
      { weight: 4, arbitrary: fc.record({ type: fc.string({ minLength: 1, maxLength: 3 }) }) },
      {
        weight: 3,
        arbitrary: fc.record({ fate: fc.constantFrom<Fate>("lost", "answer lost", "full") }),
      },
      { weight: 2, arbitrary: fc.constant("pass" as const) },
      { weight: 1, arbitrary: fc.constant("reload" as const) },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(event, { maxLength: 40 }), async (events) => {
        const [server, storage] = [new MadeUp(), new Memory()];
        let now = page(server, storage);
        await now.session.open();
        let text = headline(server.piece_);
        for (const one of events) {
          if (one === "pass") await now.pass();
          else if (one === "reload") {
            server.fates = [];
            server.streams.clear();
            now = page(server, storage);
            await now.session.open();
          } else if ("fate" in one) server.fates.push(one.fate);
          else now.type((text += one.type));
          expect(headline(now.seen.state.piece)).to.equal(text);
        }
        server.fates = [];
        await now.pass();
        expect(headline(server.piece_)).to.equal(text);
        expect(now.seen.state.saving).to.equal("saved");
      }),
      { numRuns: 200 },
    );
  });

  it("comes to the same piece as another window and the server, whatever both do in turn", async () => {
    for (let seed = 1; seed <= 25; seed++) {
      const random = randomFrom(seed);
      const server = new MadeUp();
      const windows = [page(server), page(server)];
      for (const { session } of windows) await session.open();
      for (let turn = 0; turn < 30; turn++) {
        const window = windows[random() < 0.5 ? 0 : 1]!;
        const { piece, stuck } = window.seen.state;
        if (stuck) await (random() < 0.5 ? window.session.keepMine() : window.session.takeTheirs());
        else {
          const edit = editTo(piece!, otherwise(piece!, random));
          if (edit) window.session.change(edit);
        }
        if (random() < 0.6) await window.pass();
      }
      for (let round = 0; round < 60; round++)
        for (const window of windows) {
          await (window.seen.state.stuck ? window.session.takeTheirs() : window.pass());
          await new Promise((resolve) => setTimeout(resolve));
        }
      for (const { seen } of windows) {
        expect(seen.state.saving, `seed ${seed}`).to.equal("saved");
        expect(same(seen.state.piece, server.piece_), `seed ${seed}`).to.equal(true);
      }
    }
  });
});
