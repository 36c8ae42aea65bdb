import type { PieceAnswer } from "../../core/api";
import { addressKey, applyEdit, type Edit } from "../../core/edit";
import { nameOf } from "../../core/wording/edits";
import type { Piece } from "../../core/piece";
import { same } from "../../core/same";
import { RequestError } from "../api/request-error";
import { NOTHING_OPEN, type SessionContext, type SessionState, type Stuck } from "./context";
import { Steps, StepsAhead, type StepAhead } from "./steps";

/** What is typed is sent this long after the last letter, and again so long after the server gave no answer; in milliseconds. */
const SAVE_AFTER = 300;
const RETRY_AFTER = 3000;
const MOST_RETRY_AFTER = 30_000;
/** Changes of the same thing within this time are one gesture, in milliseconds. */
const ONE_GESTURE = 2000;

/**
 * One piece that is open on a page, from its opening until it is closed, with all that belongs to it: what waits to be
 * saved, the stream of others' changes, its timers. A change shows at once and is saved in order; what cannot be saved is
 * kept, shown and sent again. The server keeps the history, so undo and redo also work after a reload.
 */
export class Session {
  private state = NOTHING_OPEN;
  /** The piece as the server last had it. */
  private base: Piece | undefined;
  private readonly steps = new Steps();
  /** Steps back and forth that the server has not made yet. */
  private readonly ahead = new StepsAhead();
  private revision = -1;
  private last: { edit: Edit; at: number } | undefined;
  private closed = false;
  private tries = 0;
  private sending: Promise<void> | undefined;
  private callOff: () => void = () => undefined;
  private endStream: () => void = () => undefined;

  constructor(
    readonly id: string,
    private readonly context: SessionContext,
  ) {}

  async open(): Promise<void> {
    const { server, queue } = this.context;
    this.set({ failure: "", saving: queue.first ? "saving" : "saved" });
    try {
      this.take(await server.piece(this.id));
    } catch (error) {
      this.set({ failure: sentence(error) });
      return;
    }
    if (this.closed) return;
    this.endStream();
    this.endStream = server.listen(this.id, (revision) => void this.changedElsewhere(revision));
    await this.save();
  }

  /** The page has turned to something else. What is unsaved is still sent; answers when that is over or cannot be. */
  async close(): Promise<void> {
    this.closed = true;
    this.callOff();
    this.endStream();
    await this.save();
    this.callOff();
  }

  /** Shows a change now and saves it soon. Throws when it does not fit the piece. */
  change(made: Edit): void {
    const { queue, now } = this.context;
    const was = this.state.piece;
    if (!was || this.closed) return;
    const piece = applyEdit(was, made);
    const edit = { ...made, gesture: this.gestureOf(made) };
    const goesOn = this.last?.edit.gesture === edit.gesture;
    this.last = { edit, at: now() };
    const before = queue.first;
    queue.add(edit);
    this.steps.made(edit);
    const stuck = this.stillStuck(before);
    this.set({
      piece,
      stuck,
      ...(goesOn ? {} : { before: was }),
      undo: nameOf(edit),
      redo: undefined,
      saving: stuck ? "stuck" : "saving",
    });
    this.saveIn(SAVE_AFTER);
  }

  /** Its own, or that of the edit before when the same was changed just now: typing goes into one step. */
  private gestureOf(edit: Edit): string {
    const { now, newGesture } = this.context;
    if (edit.gesture !== undefined) return edit.gesture;
    const { last } = this;
    // Whoever writes over what is stuck puts it in its place.
    const { stuck } = this.state;
    if (stuck?.edit.gesture && isOfTheSame(stuck.edit, edit)) return stuck.edit.gesture;
    const goesOn = last && now() - last.at < ONE_GESTURE && isOfTheSame(last.edit, edit);
    return (goesOn && last.edit.gesture) || newGesture();
  }

  /** Answers when what waits has been sent, or cannot be sent now; whoever asks meanwhile waits for the same. */
  save(): Promise<void> {
    return this.state.stuck ? Promise.resolve() : this.send(false);
  }

  /** Sends again what is stuck; over another window's change, which stays in the history. */
  keepMine(): Promise<void> {
    return this.send(this.state.stuck?.why === "conflict");
  }

  /** Lets go of what is stuck: the piece is as the server has it, with what waits behind on top. */
  async takeTheirs(): Promise<void> {
    const { server, queue, tell } = this.context;
    try {
      const answer = await server.piece(this.id);
      if (!this.state.stuck) return;
      queue.done();
      this.steps.forget();
      this.set({ stuck: undefined });
      this.take(answer);
    } catch (error) {
      // It stays as it is shown: what the server has is not known.
      return tell(sentence(error));
    }
    await this.save();
  }

  undo(): Promise<void> {
    return this.step(false);
  }

  redo(): Promise<void> {
    return this.step(true);
  }

  /** Shown at once where the step is known here; the server makes it when it has what was changed before it. */
  private async step(forward: boolean): Promise<void> {
    const { queue, tell } = this.context;
    const { piece, stuck } = this.state;
    if (!piece) return;
    if (stuck) return tell(NOT_SAVED);
    const edit = forward ? this.steps.forth() : this.steps.back();
    this.ahead.add({
      forward,
      after: queue.edits.length,
      before: piece,
      ...(edit ? { edit } : {}),
    });
    this.last = undefined;
    if (edit) this.set({ piece: this.composed(this.base), before: piece, ...this.steps.names });
    await this.save();
  }

  private async takeStep({ forward, before }: StepAhead): Promise<void> {
    const { server, tell } = this.context;
    try {
      const answer = await (forward ? server.redo(this.id) : server.undo(this.id));
      this.ahead.done();
      this.set({ before });
      this.take(answer);
      if (answer.note) tell(answer.note);
    } catch (error) {
      this.callOffSteps(sentence(error));
    }
  }

  private callOffSteps(why: string): void {
    if (this.ahead.isEmpty) return;
    this.ahead.forget();
    this.steps.forget();
    this.set({ piece: this.composed(this.base) });
    this.context.tell(why);
  }

  /** Whoever writes over what was refused has decided; a conflict stays one until it is settled. */
  private stillStuck(before: Edit | undefined): Stuck | undefined {
    const { stuck } = this.state;
    const { first } = this.context.queue;
    if (!stuck || !first) return undefined;
    return first === before || stuck.why === "conflict" ? { ...stuck, edit: first } : undefined;
  }

  private send(force: boolean): Promise<void> {
    this.callOff();
    this.sending ??= this.sendAll(force).finally(() => (this.sending = undefined));
    return this.sending;
  }

  private async sendAll(force: boolean): Promise<void> {
    const { server, queue } = this.context;
    let forced = force;
    try {
      for (;;) {
        const step = this.ahead.due;
        if (step) {
          await this.takeStep(step);
          continue;
        }
        if (!queue.first) break;
        this.set({ saving: "saving" });
        const options = { force: forced, shown: this.context.shown() };
        const answer = await server.edit(this.id, queue.hand()!, options);
        forced = false;
        this.tries = 0;
        queue.done();
        this.ahead.saved();
        this.set({ stuck: undefined });
        this.take(answer);
      }
      this.set({ saving: "saved", waitsFor: "" });
    } catch (error) {
      this.stumbled(error);
    }
  }

  private stumbled(error: unknown): void {
    const { queue } = this.context;
    const edit = queue.first;
    this.callOffSteps(NOT_SAVED);
    if (!(error instanceof RequestError && error.isRefusal) || !edit) return this.wait(error);
    queue.refused();
    this.steps.forget();
    const why = error.code === "edit-conflict" ? "conflict" : "refused";
    this.set({ saving: "stuck", stuck: { edit, message: error.message, why } });
  }

  /** Anything but a refusal may be over soon: no answer, a full disk, an error of the server's own. */
  private wait(error: unknown): void {
    this.set({ saving: "waiting", waitsFor: sentence(error) });
    this.saveIn(Math.min(MOST_RETRY_AFTER, RETRY_AFTER * 2 ** this.tries++));
  }

  /** A piece that was left is not asked for again: what is unsaved is sent when it is opened next. */
  private saveIn(ms: number): void {
    this.callOff();
    if (!this.closed) this.callOff = this.context.later(() => void this.save(), ms);
  }

  /** Another window's change comes in; what waits to be saved is put on top of it. */
  private async changedElsewhere(revision: number): Promise<void> {
    // What is being sent brings the newest along.
    if (revision <= this.revision || this.sending) return;
    const answer = await this.context.server.piece(this.id).catch(() => undefined);
    if (!answer || answer.revision <= this.revision || this.closed) return;
    this.take(answer);
    this.context.tell("This piece was changed in another window; it is up to date here now.");
  }

  private take(answer: PieceAnswer): void {
    const { piece, crate, variation, undo, redo, revision } = answer;
    const last = this.context.queue.edits.at(-1);
    this.revision = revision;
    this.base = piece;
    const names = !this.ahead.isEmpty
      ? this.steps.names
      : { undo: last ? nameOf(last) : undo, redo };
    this.set({ piece: this.composed(piece), crate, variation, ...names });
  }

  /** What the server has, with what it has not yet. */
  private composed(base: Piece | undefined): Piece | undefined {
    return base && this.ahead.composed(base, this.context.queue.edits);
  }

  private set(change: Partial<SessionState>): void {
    const piece = change.piece && withKept(this.state.piece, change.piece);
    this.state = { ...this.state, ...change, ...(piece ? { piece } : {}) };
    if (!this.closed) this.context.show(this.state);
  }
}

/** A piece with those parts of what it was that are as they were: what the server answers is mostly what is shown already. */
function withKept(was: Piece | undefined, now: Piece): Piece {
  if (!was || was === now) return now;
  const parts = Object.entries(now).map(([key, part]): [string, unknown] => {
    const before = was[key as keyof Piece];
    return [key, before !== part && same(before, part) ? before : part];
  });
  const isAsItWas =
    parts.length === Object.keys(was).length &&
    parts.every(([key, part]) => part === was[key as keyof Piece]);
  return isAsItWas ? was : (Object.fromEntries(parts) as Piece);
}

const NOT_SAVED = "Your last changes are not saved yet; undo works when they are.";

const sentence = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

/** Whether two edits are about the same one thing. */
const isOfTheSame = ({ changes: [a, ...more] }: Edit, { changes: [b, ...others] }: Edit): boolean =>
  more.length + others.length === 0 && addressKey(a!.at) === addressKey(b!.at);
