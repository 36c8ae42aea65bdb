import { defineStore } from "pinia";
import { computed, ref, shallowRef } from "vue";
import {
  applyEdit,
  editTo,
  setting,
  type Address,
  type Edit,
  type EditName,
} from "../../core/edit";
import type { LayoutId, Piece } from "../../core/piece";
import { isStrip, slideCount, slideOf, withSlide } from "../../core/strip";
import { api } from "../api/client";
import { NOTHING_OPEN, type PieceServer, type SessionState } from "../session/context";
import { Session } from "../session/session";
import { Unsaved } from "../session/unsaved";
import { byChannel } from "../wall/packing";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";

const server: PieceServer = {
  piece: api.piece,
  edit: api.edit,
  undo: api.undo,
  redo: api.redo,
  listen(id, changed) {
    const events = new EventSource(`/api/pieces/${id}/events`);
    events.onmessage = (message) => changed(Number(message.data));
    return () => events.close();
  },
};

function later(call: () => void, ms: number): () => void {
  const timer = setTimeout(call, ms);
  return () => clearTimeout(timer);
}

/** The piece that is open, as the page sees it. Every change goes through `change`. */
export const usePiece = defineStore("piece", () => {
  const library = useLibrary();
  const toasts = useToasts();
  const unsaved = new Unsaved(localStorage, navigator.locks, crypto.randomUUID());
  const state = shallowRef<SessionState>(NOTHING_OPEN);
  /** How the sizes are laid out on this screen; the wall says so. */
  const shown = shallowRef<Record<string, LayoutId>>({});
  let session: Session | undefined;
  /** Which opening is the newest: a slower one before it is given up. */
  let opening = 0;
  /** Sessions that were left and still send what was typed in them. */
  const leaving = new Map<string, Promise<void>>();

  /** The document; of a strip, with all its slides. */
  const whole = computed(() => state.value.piece);
  const wanted = ref(0);
  /** Which slide is worked on; 0 for the first, and for a piece that is no strip. */
  const slide = computed({
    get: () => Math.min(wanted.value, whole.value ? slideCount(whole.value) - 1 : 0),
    set: (index) => (wanted.value = index),
  });
  const ofSlide = (of: Piece | undefined): Piece | undefined => of && slideOf(of, slide.value);
  /** What is worked on: the piece, or one slide of the strip, which is a piece as well. */
  const piece = computed(() => ofSlide(whole.value));
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

  /** Opens a piece in place of the one that is open. */
  async function open(id: string): Promise<void> {
    close();
    const mine = opening;
    await leaving.get(id);
    const queue = await unsaved.queueOf(id);
    if (opening !== mine) return;
    const own = new Session(id, {
      server,
      later,
      now: Date.now,
      newGesture: () => crypto.randomUUID(),
      queue,
      // How the first slide is laid out is kept; the others are laid out as they come.
      shown: () => (slide.value === 0 ? shown.value : whole.value?.shown),
      tell: toasts.tell,
      show: (now) => {
        if (session === own) state.value = now;
      },
    });
    session = own;
    await own.open();
  }

  function close(): void {
    opening++;
    wanted.value = 0;
    const left = session;
    session = undefined;
    state.value = NOTHING_OPEN;
    if (!left) return;
    const { id } = left;
    const gone = left.close().finally(() => leaving.get(id) === gone && leaving.delete(id));
    leaving.set(id, gone);
  }

  function change(edit: Edit | undefined): void {
    try {
      if (edit) session?.change(edit);
    } catch (error) {
      toasts.fail(error);
    }
  }

  /** Puts one thing of the piece otherwise. */
  function set(at: Address, to: unknown): void {
    try {
      if (!piece.value || !whole.value) return;
      const edit = setting(piece.value, at, to);
      if (isStrip(whole.value)) become(applyEdit(piece.value, edit));
      else change(edit);
    } catch (error) {
      toasts.fail(error);
    }
  }

  /** Makes of the piece what it is given, in one step. */
  function become(to: Piece, name?: EditName): void {
    if (whole.value) becomeWhole(withSlide(whole.value, slide.value, to), name);
  }

  /** Makes of the whole strip what it is given. */
  function becomeWhole(to: Piece, name?: EditName): void {
    if (whole.value) change(editTo(whole.value, to, name));
  }

  const nothing = Promise.resolve();

  return {
    whole,
    slide,
    piece,
    groups,
    placements,
    brand,
    crate: computed(() => state.value.crate),
    variation: computed(() => state.value.variation),
    undoes: computed(() => state.value.undo),
    redoes: computed(() => state.value.redo),
    saving: computed(() => state.value.saving),
    waitsFor: computed(() => state.value.waitsFor),
    stuck: computed(() => state.value.stuck),
    failure: computed(() => state.value.failure),
    before: computed(() => ofSlide(state.value.before)),
    shown,
    open,
    close,
    set,
    become,
    becomeWhole,
    save: () => session?.save() ?? nothing,
    keepMine: () => session?.keepMine() ?? nothing,
    takeTheirs: () => session?.takeTheirs() ?? nothing,
    undo: () => session?.undo() ?? nothing,
    redo: () => session?.redo() ?? nothing,
  };
});
