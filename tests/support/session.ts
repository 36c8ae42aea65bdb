import type { PieceAnswer } from "../../core/api";
import { applyEdit, conflictsIn, invertEdit, isMade, rebased, type Edit } from "../../core/edit";
import type { Piece } from "../../core/piece";
import { Problem } from "../../core/problem";
import { nameOf } from "../../core/wording/edits";
import { RequestError } from "../../web/api/request-error";
import { NOTHING_OPEN, type PieceServer, type SessionState } from "../../web/session/context";
import { EditQueue } from "../../web/session/edit-queue";
import { Session } from "../../web/session/session";
import { Memory } from "./browser-storage";
import { demoPiece } from "./demo";
import { typed } from "./edits";

export const headline = (piece: Piece | undefined): string => {
  const filling = piece?.message.headline;
  return filling && "text" in filling ? filling.text : "";
};
export const noAnswer = () => new RequestError("unreachable", "The server does not answer.", 0);
export const full = () => new RequestError("store-full", "The disk is full.", 507);
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
export type Fate = "answered" | "lost" | "answer lost" | "full";

/** A server that keeps pieces as the real one does, and answers when, and as, it is heard to. */
export class MadeUp implements PieceServer {
  piece_ = demoPiece("quillmere", "opening-announcement");
  revision = 0;
  fates: Fate[] = [];
  refuses: ((edit: Edit) => boolean) | undefined;
  readonly streams = new Set<(revision: number) => void>();
  readonly asked: string[] = [];
  private readonly done: Edit[] = [];
  private readonly undone: Edit[] = [];
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
      if (!last) return;
      this.undone.push(last);
      this.keep(invertEdit(last));
    });
  redo = async (id: string) =>
    this.answered(id, () => {
      const next = this.undone.pop();
      if (!next) return;
      this.done.push(next);
      this.keep(next);
    });
  edit = async (id: string, edit: Edit, { force }: { force: boolean }) =>
    this.answered(id, () => {
      if (this.refuses?.(edit)) throw tooLong();
      if (isMade(this.piece_, edit)) return;
      if (conflictsIn(this.piece_, edit).length > 0 && !force)
        throw new RequestError("edit-conflict", "Changed elsewhere.", 409);
      const made = rebased(this.piece_, edit);
      this.keep(made);
      this.undone.length = 0;
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
export function page(server = new MadeUp(), storage = new Memory()) {
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
