import { useEventListener } from "@vueuse/core";
import type { Point } from "../../../core/geometry";
import { useHand } from "./hand";

const ARROWS: Record<string, Point> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** What keys do to what is selected: `key` on the size that is worked on; all but walking and moving also from beside it. */
export function useKeys({ all, leave }: { all: () => void; leave: () => void }): {
  key: (event: KeyboardEvent) => void;
} {
  const hand = useHand();

  /** Tab walks through the nodes, and leaves at either end. */
  function walk(back: boolean): boolean {
    const nodes = hand.nodes.filter(({ node }) => node.role !== "backdrop");
    const at = nodes.findIndex(({ id }) => id === hand.selected.at(-1));
    const next = at < 0 ? (back ? nodes.length - 1 : 0) : at + (back ? -1 : 1);
    hand.select(nodes[next] ? [nodes[next].id] : []);
    return nodes[next] !== undefined;
  }

  const plain: Record<string, () => void> = {
    Delete: () => hand.remove(),
    Backspace: () => hand.remove(),
    "[": () => hand.layer("backward"),
    "]": () => hand.layer("forward"),
  };
  const withCtrl: Record<string, () => void> = {
    a: all,
    c: () => hand.copy(),
    d: () => hand.duplicate(),
    v: () => hand.paste(),
    g: () => hand.group(),
    "Shift g": () => hand.ungroup(),
    "Alt c": () => hand.copyStyle(),
    "Alt v": () => hand.pasteStyle(),
  };

  function actOf({ key, altKey, shiftKey, ctrlKey, metaKey }: KeyboardEvent) {
    if (key === "Escape") return leave;
    if (ctrlKey || metaKey)
      return withCtrl[`${altKey ? "Alt " : ""}${shiftKey ? "Shift " : ""}${key.toLowerCase()}`];
    if (hand.selected.length === 0) return undefined;
    const arrow = ARROWS[key];
    const by = shiftKey ? 10 : 1;
    return arrow ? () => hand.nudge(arrow.x * by, arrow.y * by) : plain[key];
  }

  function key(event: KeyboardEvent): void {
    if (event.key === "Tab") {
      if (!walk(event.shiftKey)) return;
    } else {
      const act = actOf(event);
      if (!act) return;
      act();
    }
    event.preventDefault();
    event.stopPropagation();
  }

  /** After a press on a button beside; arrows and Tab stay with that, and words that are marked on the page are copied. */
  function keyBeside(event: KeyboardEvent): void {
    const { target, key: name } = event;
    const isBeside =
      target === document.body ||
      (target instanceof Element && target.matches("button") && !target.closest("[role=dialog]"));
    const isForNodes = hand.selected.length > 0 && getSelection()?.type !== "Range";
    if (isBeside && isForNodes && name !== "Tab" && !ARROWS[name]) key(event);
  }
  useEventListener(document, "keydown", keyBeside);

  return { key };
}
