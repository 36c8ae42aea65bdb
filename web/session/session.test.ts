import { expect } from "chai";
import fc from "fast-check";
import type { PieceAnswer } from "../../core/api";
import {
  applyEdit,
  conflictsIn,
  editTo,
  invertEdit,
  isMade,
  rebased,
  setting,
  type Edit,
} from "../../core/edit";
import { nameOf } from "../../core/wording/edits";
import type { Piece } from "../../core/piece";
import { Problem } from "../../core/problem";
import { same } from "../../core/same";
import { Memory } from "../../tests/support/browser-storage";
import { demoPiece } from "../../tests/support/demo";
import { typed } from "../../tests/support/edits";
import { otherwise } from "../../tests/support/random-piece";
import { randomFrom } from "../../tests/support/torture";
import { RequestError } from "../api/request-error";
import { EditQueue } from "./edit-queue";
import { NOTHING_OPEN, Session, type PieceServer, type SessionState } from "./session";

const headline = (piece: Piece | undefined): string => {
  const filling = piece?.message.headline;
  return filling && "text" in filling ? filling.text : "";
};
const noAnswer = () => new RequestError("unreachable", "The server does not answer.", 0);
const full = () => new RequestError("store-full", "The disk is full.", 507);
const tooLong = () => new RequestError("request-invalid", "It is too long.", 400);

/** What an edit cannot be made of comes over the wire as a refusal. */
function asRefusal(act: () => void): void {
  try {
    act();
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    throw new RequestError(error.code, error.message, 400);
  }
}

/** What becomes of a request: it fails before it arrives, or on the way back. */
type Fate = "answered" | "lost" | "answer lost" | "full";

/** A server that keeps pieces as the real one does, and answers when, and as, it is heard to. */
class MadeUp implements PieceServer {
  piece_ = demoPiece("quillmere", "opening-announcement");
  revision = 0;
  fates: Fate[] = [];
  refuses: ((edit: Edit) => boolean) | undefined;
  readonly streams = new Set<(revision: number) => void>();
  readonly asked: string[] = [];
  private readonly done: Edit[] = [];
  private hold: Promise<void> = Promise.resolve();

  /** From now on nothing is answered until the function that it gives is called. */
  slow(): () => void {
    let release = () => {};
    this.hold = new Promise((resolve) => (release = resolve));
    return release;
  }

  piece = async (id: string) => this.answered(id, () => undefined);
  undo = async (id: string) =>
    this.answered(id, () => {
      const last = this.done.pop();
      if (last) this.keep(invertEdit(last));
    });
  redo = this.undo;
  edit = async (id: string, edit: Edit, { force }: { force: boolean }) =>
    this.answered(id, () => {
      if (this.refuses?.(edit)) throw tooLong();
      if (isMade(this.piece_, edit)) return;
      if (conflictsIn(this.piece_, edit).length > 0 && !force)
        throw new RequestError("edit-conflict", "Changed elsewhere.", 409);
      const made = rebased(this.piece_, edit);
      this.keep(made);
      this.done.push(made);
    });

  listen(_id: string, changed: (revision: number) => void): () => void {
    this.streams.add(changed);
    return () => this.streams.delete(changed);
  }

  /** Another window's edit. */
  keep(edit: Edit): void {
    this.piece_ = applyEdit(this.piece_, edit);
    this.revision++;
    for (const tell of this.streams) tell(this.revision);
  }

  private async answered(id: string, act: () => void): Promise<PieceAnswer> {
    this.asked.push(id);
    const fate = this.fates.shift() ?? "answered";
    await this.hold;
    if (fate === "lost") throw noAnswer();
    if (fate === "full") throw full();
    asRefusal(act);
    const { revision } = this;
    const piece = this.piece_;
    if (fate === "answer lost") throw noAnswer();
    const last = this.done.at(-1);
    const undo = last ? { undo: nameOf(last) } : {};
    return { piece, crate: { id: "c", name: "C" }, revision, ...undo };
  }
}

/** A page with one session: what it shows, and its timers, which go when they are heard to. */
function page(server = new MadeUp(), storage = new Memory()) {
  const timers = new Map<number, () => void>();
  const heard: string[] = [];
  const seen = { state: NOTHING_OPEN as SessionState, timers, heard, clock: 0 };
  let last = 0;
  const session = new Session("a", {
    server,
    queue: new EditQueue(storage, "k"),
    shown: () => ({}),
    now: () => seen.clock,
    newGesture: () => `gesture ${++last}`,
    later(call) {
      const id = ++last;
      timers.set(id, call);
      return () => timers.delete(id);
    },
    tell: (text) => heard.push(text),
    show: (state) => (seen.state = state),
  });
  /** Time passes: every timer that is set goes off, and what it begins comes to its end. */
  async function pass(): Promise<void> {
    const due = [...timers.values()];
    timers.clear();
    due.forEach((call) => call());
    await session.save();
  }
  const type = (to: string) => session.change(typed(to, headline(seen.state.piece)));
  return { server, session, seen, storage, pass, type };
}

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
