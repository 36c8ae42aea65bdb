import { fromOlderEdit, joinEdits, type Edit } from "../../core/edit";

/** Edits that are made but not yet saved, in order; kept in the browser so that a reload does not lose them. */
export class EditQueue {
  private readonly waiting: Edit[];
  /** The first was handed to the server, which may have it although no answer came: it has to stay as it was sent. */
  private handed: boolean;

  constructor(
    private readonly storage: Storage,
    private readonly key: string,
    adopted: readonly Edit[] = [],
  ) {
    this.waiting = [...adopted, ...restoreEdits(storage, key)];
    this.handed = this.waiting.length > 0;
    this.keep();
  }

  get edits(): readonly Edit[] {
    return this.waiting;
  }

  get first(): Edit | undefined {
    return this.waiting[0];
  }

  /** Joins what is typed with what was typed before it, where the server cannot have that yet. */
  add(edit: Edit): void {
    const last = this.waiting.at(-1);
    const free = last && !(this.handed && this.waiting.length === 1);
    const joined = free ? joinEdits(last, edit) : undefined;
    if (joined) this.waiting[this.waiting.length - 1] = joined;
    else this.waiting.push(edit);
    this.keep();
  }

  /** The first, on its way to the server. */
  hand(): Edit | undefined {
    this.handed = true;
    return this.first;
  }

  /** The server said that it did not take the first. */
  refused(): void {
    this.handed = false;
  }

  /** The first is saved, or let go. */
  done(): void {
    this.waiting.shift();
    this.handed = false;
    this.keep();
  }

  private keep(): void {
    try {
      if (this.waiting.length === 0) this.storage.removeItem(this.key);
      else this.storage.setItem(this.key, JSON.stringify(this.waiting));
    } catch {
      // A browser without room keeps it as long as the page is open.
    }
  }
}

export function restoreEdits(storage: Storage, key: string): Edit[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(key) ?? "[]");
    return Array.isArray(kept) ? kept.flatMap((one) => fromOlderEdit(one) ?? []) : [];
  } catch {
    return [];
  }
}
