import { defineStore } from "pinia";
import { computed, ref, shallowRef } from "vue";
import type { PieceAnswer } from "../../core/api";
import { applyEdit, joinEdits, type Edit, type Piece } from "../../core/piece";
import { api, RequestError } from "../api/client";
import { byChannel } from "../wall/packing";
import { EditQueue } from "./edit-queue";
import { useLibrary } from "./library";
import { useToasts } from "./toasts";

const SAVE_AFTER = 300;
const RETRY_AFTER = 3000;

export type SaveState = "saved" | "saving" | "waiting" | "conflict";

/**
 * The piece that is open. Every change goes through `change`: it shows at once and is saved in order.
 * The server keeps the history; undo and redo ask it, so they also work after a reload.
 */
export const usePiece = defineStore("piece", () => {
  const library = useLibrary();
  const toasts = useToasts();
  const piece = shallowRef<Piece>();
  const crate = ref({ id: "", name: "" });
  const revision = ref(0);
  const canUndo = ref(false);
  const canRedo = ref(false);
  const saveState = ref<SaveState>("saved");
  const conflict = shallowRef<{ edit: Edit; message: string }>();
  const failure = ref("");
  /** How the sizes are laid out on this screen; the wall says so. */
  const shown = shallowRef<Record<string, string>>({});
  /** The piece before the last change that was made here, to look back at. */
  const before = shallowRef<Piece>();
  let lastEdit: Edit | undefined;
  let queue = new EditQueue(localStorage, "unsaved");
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending = false;
  let saving: Promise<void> = Promise.resolve();
  let events: EventSource | undefined;

  const placementOfSize = (id: string) => piece.value && library.placementOf(piece.value, id);
  /** Where the piece goes, by channel, in the order of the wall. */
  const groups = computed(() => {
    const sizes = piece.value?.sizes ?? [];
    return byChannel(
      sizes.flatMap((size) => placementOfSize(size.placement) ?? []),
      piece.value?.lead,
    );
  });
  const placements = computed(() => groups.value.flatMap((group) => group.placements));
  const brand = computed(() => library.brandById.get(piece.value?.brand ?? ""));

  async function open(id: string): Promise<void> {
    close();
    piece.value = undefined;
    before.value = undefined;
    lastEdit = undefined;
    failure.value = "";
    queue = new EditQueue(localStorage, `unsaved:${id}`);
    if (queue.first) saveState.value = "saving";
    try {
      take(await api.piece(id));
    } catch (error) {
      failure.value = (error as Error).message;
      return;
    }
    listen(id);
    if (queue.first) void save();
  }

  function close(): void {
    clearTimeout(timer);
    events?.close();
    events = undefined;
    conflict.value = undefined;
    saveState.value = "saved";
  }

  /** Other windows' changes come in here; what waits to be saved is put on top of them. */
  function listen(id: string): void {
    events = new EventSource(`/api/pieces/${id}/events`);
    events.onmessage = async (message) => {
      if (Number(message.data) <= revision.value || sending) return;
      const answer = await api.piece(id).catch(() => undefined);
      if (!answer || piece.value?.id !== id || answer.revision <= revision.value) return;
      take(answer);
      toasts.tell("This piece was changed in another window; it is up to date here now.");
    };
  }

  function take(answer: PieceAnswer): void {
    crate.value = answer.crate;
    revision.value = answer.revision;
    canUndo.value = answer.canUndo;
    canRedo.value = answer.canRedo;
    piece.value = queue.edits.reduce(applyWhereItFits, answer.piece);
  }

  /** Shows the change now and saves it soon. */
  function change(edit: Edit): void {
    if (!piece.value) return;
    const was = piece.value;
    try {
      piece.value = applyEdit(was, edit);
    } catch (error) {
      toasts.fail(error);
      return;
    }
    if (!(lastEdit && joinEdits(lastEdit, edit))) before.value = was;
    lastEdit = edit;
    queue.add(edit, sending);
    canUndo.value = true;
    canRedo.value = false;
    if (saveState.value !== "conflict") saveState.value = "saving";
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_AFTER);
  }

  /** Answers when what waits has been sent, or cannot be sent now; whoever asks meanwhile waits for the same. */
  function save(force = false): Promise<void> {
    clearTimeout(timer);
    if (sending) return saving;
    if (conflict.value && !force) return Promise.resolve();
    saving = send(force);
    return saving;
  }

  async function send(force: boolean): Promise<void> {
    sending = true;
    try {
      while (queue.first && piece.value) {
        saveState.value = "saving";
        const answer = await api.edit(piece.value.id, queue.first, { force, shown: shown.value });
        force = false;
        conflict.value = undefined;
        queue.done();
        take(answer);
      }
      saveState.value = "saved";
    } catch (error) {
      stumbled(error);
    } finally {
      sending = false;
    }
  }

  function stumbled(error: unknown): void {
    const edit = queue.first;
    if (error instanceof RequestError && error.code === "edit-conflict" && edit) {
      conflict.value = { edit, message: error.message };
      saveState.value = "conflict";
    } else if (error instanceof RequestError && error.code === "unreachable") {
      saveState.value = "waiting";
      timer = setTimeout(() => void save(), RETRY_AFTER);
    } else {
      // The server refused it and always will: take it back and say why.
      queue.done();
      toasts.fail(error);
      saveState.value = "saved";
      void reload();
    }
  }

  const keepMine = () => save(true);

  async function takeTheirs(): Promise<void> {
    queue.done();
    conflict.value = undefined;
    await reload();
    await save();
  }

  async function reload(): Promise<void> {
    if (piece.value) take(await api.piece(piece.value.id));
  }

  async function step(ask: (id: string) => Promise<PieceAnswer>): Promise<void> {
    await save();
    if (!piece.value || queue.first) return;
    before.value = piece.value;
    lastEdit = undefined;
    try {
      take(await ask(piece.value.id));
    } catch (error) {
      toasts.fail(error);
    }
  }

  return {
    piece,
    groups,
    placements,
    brand,
    crate,
    canUndo,
    canRedo,
    saveState,
    conflict,
    failure,
    shown,
    before,
    open,
    close,
    change,
    save,
    keepMine,
    takeTheirs,
    undo: () => step(api.undo),
    redo: () => step(api.redo),
  };
});

/** A waiting edit may name what another window has taken away; the server will say so. */
function applyWhereItFits(piece: Piece, edit: Edit): Piece {
  try {
    return applyEdit(piece, edit);
  } catch {
    return piece;
  }
}
