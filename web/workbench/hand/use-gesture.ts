import { ref, type Ref } from "vue";
import {
  distancesOf,
  fittedInto,
  movedBy,
  resized,
  snapped,
  touchedBy,
  turnedBy,
  type Boxes,
  type Handle,
} from "../../../core/arranging";
import { box, centre, hullOf, type Box, type Point } from "../../../core/geometry";
import { useHand, type HandNode } from "./hand";

/** A hand that moves less than this has pressed, not dragged; and what is nearer than this is snapped to. CSS pixels. */
const STILL = 3;
const NEAR = 6;
const TURN_STEP = 15;
/** No box becomes narrower or lower, in output pixels. */
const LEAST = 8;

type Held =
  | { kind: "move"; pressed: string | undefined }
  | { kind: "resize"; handle: Handle }
  | { kind: "turn" }
  | { kind: "area" };

interface Gesture {
  /** The rectangle that is drawn around nodes. */
  area: Ref<Box | undefined>;
  press(event: PointerEvent, kind: Held): void;
  move(event: PointerEvent): void;
  end(): void;
  callOff(): void;
}

interface Options {
  /** Where a pointer is, in output pixels. */
  pointAt(event: PointerEvent): Point;
  /** CSS pixels for each output pixel. */
  scale(): number;
}

/** What a pointer does on the size that is worked on: moves, resizes and turns what is selected, or draws around nodes. */
export function useGesture({ pointAt, scale }: Options): Gesture {
  const hand = useHand();
  const area = ref<Box>();
  let held: (Held & { from: Point; boxes: Boxes; nodes: HandNode[]; turn: number }) | undefined;
  let dragged = false;

  function press(event: PointerEvent, kind: Held): void {
    (event.currentTarget as Element).setPointerCapture?.(event.pointerId);
    dragged = false;
    held = {
      ...kind,
      from: pointAt(event),
      boxes: hand.boxes,
      nodes: hand.movable,
      turn: hand.movable[0]?.node.style.turn ?? 0,
    };
  }

  /** Once a frame, however often the pointer tells where it is. */
  let newest: PointerEvent | undefined;
  function moveSoon(event: PointerEvent): void {
    if (!held) return;
    if (!newest) requestAnimationFrame(moveNow);
    newest = event;
  }
  function moveNow(): void {
    const event = newest;
    newest = undefined;
    if (event) move(event);
  }

  function move(event: PointerEvent): void {
    if (!held) return;
    const to = pointAt(event);
    const by = { x: to.x - held.from.x, y: to.y - held.from.y };
    if (!dragged && Math.hypot(by.x, by.y) * scale() < STILL) return;
    dragged = true;
    if (held.kind === "area") return drawAround(held.from, to);
    if (held.boxes.size === 0) return;
    if (held.kind === "move") drag(by, event);
    else if (held.kind === "resize") pull(held.handle, by, event);
    else turn(to);
  }

  function drawAround(from: Point, to: Point): void {
    const [x, y] = [Math.min(from.x, to.x), Math.min(from.y, to.y)];
    area.value = box(x, y, Math.abs(to.x - from.x), Math.abs(to.y - from.y));
    const free = hand.nodes.filter(({ node }) => !node.locked && node.role !== "backdrop");
    const touched = touchedBy(
      area.value,
      free.map(({ id, report }) => ({ id, box: report.box })),
    );
    hand.select(touched.map(({ id }) => id));
  }

  /** To a whole pixel, or to what is near. With Shift along one axis; with Ctrl without snapping. */
  function drag(by: Point, event: PointerEvent): void {
    const straight = event.shiftKey
      ? Math.abs(by.x) > Math.abs(by.y)
        ? { x: by.x, y: 0 }
        : { x: 0, y: by.y }
      : by;
    const hull = hullOf([...held!.boxes.values()]);
    const [x, y] = [Math.round(hull.x + straight.x), Math.round(hull.y + straight.y)];
    const moved = { ...hull, x, y };
    const { by: on, guides } = snapTo(moved, event, {}, baselineAt(y - hull.y));
    hand.guides = guides;
    if (hand.targets)
      hand.distances = distancesOf({ ...hull, x: x + on.x, y: y + on.y }, hand.targets);
    hand.preview(movedBy(held!.boxes, x + on.x - hull.x, y + on.y - hull.y));
  }

  /** Corners of words scale them; elsewhere Shift keeps the proportion, and Alt pulls about the middle. */
  function pull(handle: Handle, by: Point, event: PointerEvent): void {
    const { boxes, nodes } = held!;
    const hull = hullOf([...boxes.values()]);
    const isCorner = handle.x !== 0 && handle.y !== 0;
    const words = nodes.filter(({ report }) => report.fontSize !== undefined);
    const proportional = event.shiftKey || (isCorner && words.length > 0);
    const options = { proportional, fromCentre: event.altKey, least: LEAST };
    const edges = { x: edgeOf(handle.x), y: edgeOf(handle.y) } as const;
    const first = resized(hull, handle, by, options);
    const { by: on, guides } = proportional
      ? { by: { x: 0, y: 0 }, guides: [] }
      : snapTo(first, event, edges);
    const to = resized(hull, handle, { x: by.x + on.x, y: by.y + on.y }, options);
    hand.guides = guides;
    const factor = to.width / hull.width;
    const sizes = isCorner
      ? words.map(({ id, report }) => [id, report.fontSize! * factor] as const)
      : [];
    hand.preview(fittedInto(boxes, hull, to), new Map(sizes));
  }

  /** Where the words that are dragged alone stand, moved down by so much. */
  function baselineAt(down: number): number | undefined {
    const [only, ...more] = held!.nodes;
    const baseline = more.length > 0 ? undefined : only?.report.type?.baseline;
    return baseline === undefined ? undefined : baseline + down;
  }

  const snapTo = (moved: Box, event: PointerEvent, edges = {}, baseline?: number) =>
    event.ctrlKey || !hand.targets
      ? { by: { x: 0, y: 0 }, guides: [] }
      : snapped(moved, hand.targets, NEAR / scale(), edges, baseline);

  function turn(to: Point): void {
    const { boxes, from, turn: start, nodes } = held!;
    const about = centre(hullOf([...boxes.values()]));
    const degrees = turnedBy(about, from, to, start, TURN_STEP);
    hand.previewTurn(
      nodes.map(({ id }) => id),
      Math.round(degrees * 10) / 10,
    );
  }

  /** A press without a drag on what is selected takes what lies below it. */
  function end(): void {
    moveNow();
    if (dragged && held?.kind !== "area") hand.keep();
    else if (held?.kind === "move" && held.pressed !== undefined) hand.select([held.pressed]);
    area.value = undefined;
    held = undefined;
  }

  return {
    area,
    press,
    move: moveSoon,
    end,
    callOff() {
      if (!held) return;
      held = undefined;
      area.value = undefined;
      hand.callOff();
    },
  };
}

const edgeOf = (side: -1 | 0 | 1) => (["start", "none", "end"] as const)[side + 1]!;
