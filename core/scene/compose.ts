import type { Brand } from "../brand";
import type { Box } from "../geometry";
import type { Layout } from "../refit";
import { codeItems, faceItems, iconItem, logoItems, pictureItems, shapeItems } from "./figures";
import type { Scene, SceneItem } from "./scene";
import type { NodeMeasures } from "./measures";
import { textItems } from "./text";
import { scrimItems } from "./scrim";

/** Turns a layout into the list of what is painted. Nothing is decided here that refit has not decided. */
export function compose(layout: Layout): Scene {
  const { width, height } = layout.placement;
  const extent = Math.sqrt(width * height);
  return {
    width,
    height,
    ground: layout.resolved.palette.backdrop,
    items: layout.placed.flatMap((placed) =>
      itemsOf({ placed, unit: layout.leadScale, extent }, layout.resolved.brand),
    ),
  };
}

function itemsOf(measures: NodeMeasures, { defaults }: Brand): SceneItem[] {
  const { node, box, also } = measures.placed;
  switch (node.type) {
    case "text":
      return [...textItems(measures, node), ...faceItems(measures, node.portrait)];
    case "picture":
      return [...pictureItems(measures, node), ...scrimItems(measures)];
    case "logo":
      return logoItems(measures, defaults.corner);
    case "shape":
      return [box, also]
        .filter((part): part is Box => part !== undefined)
        .flatMap((part) =>
          shapeItems({ ...measures, placed: { ...measures.placed, box: part } }, node),
        );
    case "icon":
      return [iconItem(measures, node)];
    case "code":
      return codeItems(measures, node);
  }
}
