import { useTimeoutFn } from "@vueuse/core";
import { defineStore } from "pinia";
import { computed, ref, shallowRef, watch } from "vue";
import {
  aligned,
  changed,
  changedIn,
  distributed,
  equalled,
  givenBack,
  leadBox,
  movedBy,
  placedAt,
  removed,
  textSized,
  type Boxes,
  type Distance,
  type Guide,
  type Side,
  type SnapTargets,
  type Added,
  type Lead,
  type NodeChange,
} from "../../../core/arranging";
import { hullOf, inset, type Box } from "../../../core/geometry";
import type { Node, Piece } from "../../../core/piece";
import { frameOf, safeArea } from "../../../core/placements";
import type { LayoutReport, NodeReport } from "../../../core/preflight";
import { withHung, withSlide } from "../../../core/strip";
import { nodeName } from "../../../core/wording/nodes";
import { useToasts } from "../../common/toasts";
import { useBench } from "../bench";
import { usePiece } from "../piece";
import { useComposing, type Change } from "./composing";
import { useCopies } from "./copies";
import { useLayers } from "./layers";
import type { Work } from "./work";

/** A node as it stands on the size that is worked on; `start` is the box that it is moved by. */
export interface HandNode {
  id: string;
  name: string;
  node: Node;
  report: NodeReport;
  start: Box;
  /** This size has something of its own of it. */
  local: boolean;
}

/** The other sizes follow when a hand has rested this long, in milliseconds. */
const REST = 50;
/** A copy stands aside by this share of the frame's width. */
const ASIDE = 0.03;

/**
 * Work by hand on the size that is looked at large. On the lead the composition changes, and all sizes follow; on another
 * size it is a change of that size. While something is dragged it is a draft, and one step of the history when it is let go.
 */
export const useHand = defineStore("hand", () => {
  const open = usePiece();
  const bench = useBench();
  const toasts = useToasts();

  const selected = ref<string[]>([]);
  const guides = shallowRef<Guide[]>([]);
  /** How far what is dragged is from its neighbours. */
  const distances = shallowRef<Distance[]>([]);
  /** How the large size came out when nothing is being dragged; told by whoever paints it. */
  const report = shallowRef<LayoutReport>();
  /** Where what is dragged stands now. */
  const dragged = shallowRef<Boxes>();
  const draft = shallowRef<Piece>();
  /** The draft as the other sizes have it. */
  const rested = shallowRef<Piece>();
  const { start: restSoon } = useTimeoutFn(() => (rested.value = draft.value), REST, {
    immediate: false,
  });

  const placement = computed(() => bench.largeOne);
  const isLead = computed(() => placement.value?.id === open.piece?.lead);
  /** Of which size a change is; undefined for one of the composition. */
  const on = computed(() => (isLead.value ? undefined : placement.value?.id));

  const { base, isComposed, make, forget } = useComposing(placement, isLead, report);

  const nodes = computed((): HandNode[] => {
    // What is selected stays so while a lead is composed.
    const piece = base.value ?? open.piece;
    const at = placement.value;
    if (!piece || !at || report.value?.placement !== at.id) return [];
    const local = new Set(on.value ? changedIn(piece, on.value) : []);
    const byId = new Map(piece.arrangement.map((node) => [node.id, node]));
    return report.value.nodes.flatMap((found) => {
      const node = byId.get(found.id);
      if (!node) return [];
      const start = isLead.value && isComposed.value ? leadBox(piece, at, node) : found.room;
      return [
        {
          id: node.id,
          name: nodeName(node),
          node,
          report: found,
          start,
          local: local.has(node.id),
        },
      ];
    });
  });
  const chosen = computed(() => nodes.value.filter(({ id }) => selected.value.includes(id)));
  const movable = computed(() => chosen.value.filter(({ node }) => !node.locked));
  const boxes = computed((): Boxes => new Map(movable.value.map(({ id, start }) => [id, start])));
  /** Where what is selected stands, also while it is dragged. */
  const outlines = computed(
    (): Boxes =>
      new Map(chosen.value.map(({ id, start }) => [id, dragged.value?.get(id) ?? start])),
  );
  const hull = computed(() =>
    outlines.value.size > 0 ? hullOf([...outlines.value.values()]) : undefined,
  );

  const targets = computed((): SnapTargets | undefined => {
    const at = placement.value;
    if (!at) return undefined;
    const frame = frameOf(at);
    const others = nodes.value.filter(
      ({ id, node }) => !selected.value.includes(id) && node.role !== "backdrop",
    );
    return {
      frame,
      margin: inset(frame, at.margin),
      safe: safeArea(at),
      others: others.map(({ start }) => start),
      baselines: others.flatMap(({ report }) => report.type?.baseline ?? []),
    };
  });

  function tell(now: LayoutReport | undefined): void {
    if (!draft.value) report.value = now;
  }

  function select(ids: readonly string[]): void {
    selected.value = [...ids];
  }

  function toggle(id: string): void {
    const without = selected.value.filter((one) => one !== id);
    selected.value = without.length < selected.value.length ? without : [...without, id];
  }

  /** What the drag comes to that is under way. */
  let underWay: Change | undefined;

  /** Shows nodes at other boxes, with words of other sizes, until it is kept or called off. */
  function preview(to: Boxes, sizes: ReadonlyMap<string, number> = new Map()): void {
    dragged.value = to;
    show((piece, at) => textSized(placedAt(piece, at, to), at, sizes));
  }

  function previewTurn(ids: readonly string[], turn: number): void {
    const size = on.value;
    show((piece) => changed(piece, ids, { style: { turn } }, size));
  }

  /** While a lead is being composed only the outlines follow. */
  function show(change: Change): void {
    underWay = change;
    const [piece, at] = [base.value, placement.value];
    if (!piece || !at) return;
    draft.value = change(piece, at);
    restSoon();
  }

  function keep(): void {
    const change = underWay;
    callOff();
    if (change) make(change);
  }

  function callOff(): void {
    underWay = undefined;
    guides.value = distances.value = [];
    draft.value = rested.value = dragged.value = undefined;
  }

  const put = (to: Boxes): void => make((piece, at) => placedAt(piece, at, to));
  const nudge = (x: number, y: number): void => put(movedBy(boxes.value, x, y));
  const change = (what: NodeChange): void =>
    make((piece) => changed(piece, selected.value, what, on.value));

  /** Words of other sizes, in output pixels; their boxes grow and shrink with them. */
  function resizeText(sizes: ReadonlyMap<string, number>): void {
    const grown = chosen.value.flatMap(({ id, start, report: { fontSize } }) => {
      const size = sizes.get(id);
      if (size === undefined || !fontSize) return [];
      const by = size / fontSize;
      return [[id, { ...start, width: start.width * by, height: start.height * by }] as const];
    });
    make((piece, at) => textSized(placedAt(piece, at, new Map(grown)), at, sizes));
  }

  /** On this size; on the lead, everywhere. */
  function setHidden(id: string, hidden: boolean): void {
    const size = on.value;
    make((piece) => changed(piece, [id], { hidden }, size));
    if (hidden) select(selected.value.filter((one) => one !== id));
  }

  /** Among themselves; a single one in the margins. */
  function align(side: Side): void {
    const { margin } = targets.value ?? {};
    put(boxes.value.size > 1 ? aligned(boxes.value, side) : aligned(boxes.value, side, margin));
  }

  /** Takes what has come into the composition, and selects it. */
  function comes({ piece, ids }: { piece: Piece; ids: readonly string[] }): void {
    open.become(piece);
    select(ids);
  }

  const work: Work = {
    base: () => base.value,
    selected: () => selected.value,
    movable: () => movable.value,
    on: () => on.value,
    aside: () => ASIDE * (placement.value?.width ?? 0),
    comes,
    make,
    select,
    tell: toasts.tell,
  };
  const copies = useCopies(work);
  const layers = useLayers(work);

  /** Something new in a free place of the composition; selected at once. */
  function add(how: (piece: Piece, lead: Lead) => Added | undefined): void {
    const [piece, at] = [base.value, placement.value];
    if (!piece || !at) return;
    const isSeen = isLead.value && report.value?.placement === at.id;
    const shown = report.value?.nodes.filter(({ role }) => role !== "backdrop") ?? [];
    const made = how(piece, isSeen ? { ...at, seen: shown.map(({ box }) => box) } : at);
    if (made) comes(made);
  }

  /** From the composition with its words; on another size it is only not shown there. */
  function remove(): void {
    const gone = movable.value.map(({ id }) => id);
    if (gone.length === 0) return;
    make((piece) =>
      on.value ? changed(piece, gone, { hidden: true }, on.value) : removed(piece, gone),
    );
    select([]);
  }

  /** What is selected runs on over the fold of its slide. */
  function hang(): void {
    const [piece, [id]] = [base.value, selected.value];
    if (!piece || !open.whole || id === undefined) return;
    open.becomeWhole(withHung(withSlide(open.whole, open.slide, piece), open.slide, id));
    select([]);
  }

  function giveBack(): void {
    const size = on.value;
    if (size) make((piece) => givenBack(piece, selected.value, size));
  }

  function reset(): void {
    callOff();
    select([]);
    forget();
    report.value = undefined;
  }
  watch(() => placement.value?.id, reset);

  return {
    selected,
    guides,
    distances,
    tell,
    draft,
    rested,
    placement,
    isLead,
    nodes,
    chosen,
    movable,
    boxes,
    outlines,
    hull,
    targets,
    select,
    toggle,
    preview,
    previewTurn,
    keep,
    callOff,
    put,
    nudge,
    change,
    align,
    distribute: (axis: "x" | "y") => put(distributed(boxes.value, axis)),
    equal: (length: "width" | "height") => put(equalled(boxes.value, length)),
    resizeText,
    hide: (id: string) => setHidden(id, true),
    unhide: (id: string) => setHidden(id, false),
    ...layers,
    ...copies,
    add,
    remove,
    hang,
    giveBack,
  };
});
