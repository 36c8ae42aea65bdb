import type { PieceAnswer } from "../../core/api";
import type { Edit } from "../../core/edit";
import type { Piece } from "../../core/piece";
import type { EditQueue } from "./edit-queue";

/** What a session asks of the server. */
export interface PieceServer {
  piece(id: string): Promise<PieceAnswer>;
  edit(
    id: string,
    edit: Edit,
    options: { force: boolean; shown: Piece["shown"] },
  ): Promise<PieceAnswer>;
  undo(id: string): Promise<PieceAnswer>;
  redo(id: string): Promise<PieceAnswer>;
  /** Tells the piece's revision each time that it changes; answers what ends it. */
  listen(id: string, changed: (revision: number) => void): () => void;
}

export interface SessionContext {
  server: PieceServer;
  /** What waits to be saved; it outlives the page. */
  queue: EditQueue;
  /** How the sizes are laid out on this screen; it goes along with each edit. */
  shown(): Piece["shown"];
  /** In milliseconds. */
  now(): number;
  newGesture(): string;
  /** Calls later, and answers what calls that off. */
  later(call: () => void, ms: number): () => void;
  /** Tells the person something in passing. */
  tell(text: string): void;
  /** What the page shows has changed. */
  show(state: SessionState): void;
}

/** `waiting`: the server cannot save now, and is asked again; `stuck`: a person has to decide. */
export type SaveState = "saved" | "saving" | "waiting" | "stuck";

/** An edit that the server did not take: another window changed the same, or it can never be so. */
export interface Stuck {
  edit: Edit;
  message: string;
  why: "conflict" | "refused";
}

export interface SessionState {
  /** Undefined until it has been read. */
  piece?: Piece;
  crate: { id: string; name: string };
  /** The variation of a batch that it is, opened to be changed by hand. */
  variation?: { batch: string; name: string };
  /** What the next step back and the next forward are called; undefined where there is none. */
  undo?: string;
  redo?: string;
  saving: SaveState;
  /** Why it waits, in a sentence. */
  waitsFor: string;
  stuck?: Stuck;
  /** Why the piece could not be opened. */
  failure: string;
  /** The piece before the last change that was made here, to look back at. */
  before?: Piece;
}

export const NOTHING_OPEN: SessionState = {
  crate: { id: "", name: "" },
  saving: "saved",
  waitsFor: "",
  failure: "",
};
