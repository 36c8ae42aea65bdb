import { joinEdits, type Edit } from "../../core/piece";

/** Edits that are made but not yet saved, in order; kept in the browser so that a reload does not lose them. */
export class EditQueue {
  private readonly waiting: Edit[];

  constructor(
    private readonly storage: Storage,
    private readonly key: string,
  ) {
    this.waiting = restore(storage, key);
  }

  get edits(): readonly Edit[] {
    return this.waiting;
  }

  get first(): Edit | undefined {
    return this.waiting[0];
  }

  /** `sending`: the first one is on its way and can no longer be joined with what is typed now. */
  add(edit: Edit, sending: boolean): void {
    const last = this.waiting.at(-1);
    const free = last && !(sending && this.waiting.length === 1);
    const joined = free ? joinEdits(last, edit) : undefined;
    if (joined) this.waiting[this.waiting.length - 1] = joined;
    else this.waiting.push(edit);
    this.keep();
  }

  done(): void {
    this.waiting.shift();
    this.keep();
  }

  private keep(): void {
    if (this.waiting.length === 0) this.storage.removeItem(this.key);
    else this.storage.setItem(this.key, JSON.stringify(this.waiting));
  }
}

function restore(storage: Storage, key: string): Edit[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(key) ?? "[]");
    return Array.isArray(kept) ? (kept as Edit[]) : [];
  } catch {
    return [];
  }
}
