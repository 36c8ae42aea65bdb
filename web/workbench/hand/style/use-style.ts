import { computed, type ComputedRef } from "vue";
import type { StylePart } from "../../../../core/arranging";
import { paletteOf, resolveColour, type Palette } from "../../../../core/brand";
import { contrastNeeded, luminance, luminanceContrast, type Hex } from "../../../../core/colour";
import { cssPerPixel } from "../../../../core/placements";
import type { Node, Style } from "../../../../core/piece";
import { roleStyles } from "../../../../core/resolve";
import { usePiece } from "../../piece";
import { useHand } from "../hand";

interface HandStyle {
  /** What the first of the selected has on this size: its own, or the composition’s. */
  style: ComputedRef<Style>;
  set(part: StylePart): void;
  kinds: ComputedRef<ReadonlySet<Node["kind"]>>;
  isText: ComputedRef<boolean>;
  palette: ComputedRef<Palette | undefined>;
  /** The colour that a token stands for in this piece. */
  hexOf(token: string): Hex | undefined;
  /** How words of a colour would stand out from what is behind the first of the selected; undefined for what is no text. */
  contrastOf(hex: Hex): number | undefined;
  /** The contrast that those words need. */
  needed: ComputedRef<number>;
}

/** How what is selected looks, as the ledger shows and changes it. */
export function useHandStyle(): HandStyle {
  const hand = useHand();
  const open = usePiece();

  const first = computed(() => hand.chosen[0]);
  const kinds = computed(() => new Set(hand.chosen.map(({ node }) => node.kind)));
  const style = computed((): Style => {
    const one = first.value;
    if (!one) return {};
    const size = open.piece?.sizes.find(({ placement }) => placement === hand.placement?.id);
    const own = hand.isLead ? undefined : size?.changes[one.id];
    // What nobody has said is as the role has it.
    const { colour, type, weight } = roleStyles[one.node.role];
    return { colour, type, weight, ...one.node.style, ...own?.style };
  });
  const palette = computed(
    () => open.brand && open.piece && paletteOf(open.brand, open.piece.spread),
  );

  return {
    style,
    set: (part) => hand.change({ style: part }),
    kinds,
    isText: computed(() => kinds.value.size === 1 && kinds.value.has("text")),
    palette,
    hexOf: (token) =>
      open.brand && palette.value ? resolveColour(token, open.brand, palette.value).hex : undefined,
    contrastOf(hex) {
      const ground = first.value?.report.ground;
      const own = luminance(hex);
      return ground && Math.min(...ground.map((one) => luminanceContrast(own, one)));
    },
    needed: computed(() => {
      const { report, node } = first.value ?? {};
      const size = (report?.fontSize ?? 0) * (hand.placement ? cssPerPixel(hand.placement) : 1);
      return contrastNeeded(size, node?.style.weight ?? 400);
    }),
  };
}
