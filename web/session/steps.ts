import { applyEdit, invertEdit, isVoid, joinEdits, type Edit } from "../../core/edit";
import type { Piece } from "../../core/piece";
import { nameOf } from "../../core/wording/edits";

/** What the next step back and the next forward are called; undefined where none is known. */
interface StepNames {
  undo: string | undefined;
  redo: string | undefined;
}

/**
 * The steps that were made on this page, as the server keeps them: so that a step back is seen before the server has
 * answered. What was made before the page was opened is not known here.
 */
export class Steps {
  private done: Edit[] = [];
  private undone: Edit[] = [];

  made(edit: Edit): void {
    this.undone = [];
    const last = this.done.at(-1);
    const joined = last && joinEdits(last, edit);
    if (joined) this.done.pop();
    if (!joined || !isVoid(joined)) this.done.push(joined ?? edit);
  }

  /** What takes the last step back. */
  back(): Edit | undefined {
    const edit = this.done.pop();
    if (edit) this.undone.push(edit);
    return edit && invertEdit(edit);
  }

  /** What makes the step again that was taken back last. */
  forth(): Edit | undefined {
    const edit = this.undone.pop();
    if (edit) this.done.push(edit);
    return edit;
  }

  forget(): void {
    this.done = this.undone = [];
  }

  get names(): StepNames {
    const [undo, redo] = [this.done.at(-1), this.undone.at(-1)];
    return { undo: undo && nameOf(undo), redo: redo && nameOf(redo) };
  }
}

/** A step of the history that was asked for, after so many of the edits that wait; what it changes, where that is known. */
export interface StepAhead {
  forward: boolean;
  after: number;
  before: Piece;
  edit?: Edit;
}

/** Steps that the server has not made yet, in their order among the edits that wait to be saved. */
export class StepsAhead {
  private steps: StepAhead[] = [];

  get isEmpty(): boolean {
    return this.steps.length === 0;
  }

  /** The next one, when everything that comes before it is saved. */
  get due(): StepAhead | undefined {
    const [first] = this.steps;
    return first?.after === 0 ? first : undefined;
  }

  add(step: StepAhead): void {
    this.steps.push(step);
  }

  /** The first of the edits that waited is saved. */
  saved(): void {
    for (const step of this.steps) step.after--;
  }

  /** The first step is made. */
  done(): void {
    this.steps.shift();
  }

  forget(): void {
    this.steps = [];
  }

  /** A piece with the edits that wait and the steps between them. */
  composed(base: Piece, edits: readonly Edit[]): Piece {
    let made = 0;
    const upTo = this.steps.reduce((piece, { after, edit }) => {
      const before = edits.slice(made, after).reduce(applyWhereItFits, piece);
      made = after;
      return edit ? applyWhereItFits(before, edit) : before;
    }, base);
    return edits.slice(made).reduce(applyWhereItFits, upTo);
  }
}

/** A waiting edit may name what another window has taken away; the server will say so. */
function applyWhereItFits(piece: Piece, edit: Edit): Piece {
  try {
    return applyEdit(piece, edit);
  } catch {
    return piece;
  }
}
