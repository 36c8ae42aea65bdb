import type { Brand } from "../brand";
import type { Box } from "../geometry";
import type { Layout } from "../refit";
import { codeItems, iconItem, logoItems, pictureItems, shapeItems } from "./figures";
import type { Scene, SceneItem } from "./scene";
import type { Setting } from "./setting";
import { textItems } from "./text";
import { veilItems } from "./veil";

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

function itemsOf(setting: Setting, { defaults }: Brand): SceneItem[] {
  const { node, box, also } = setting.placed;
  switch (node.type) {
    case "text":
      return textItems(setting, node);
    case "picture":
      return [...pictureItems(setting, node), ...veilItems(setting)];
    case "logo":
      return logoItems(setting, defaults.corner);
    case "shape":
      return [box, also]
        .filter((part): part is Box => part !== undefined)
        .flatMap((part) =>
          shapeItems({ ...setting, placed: { ...setting.placed, box: part } }, node),
        );
    case "icon":
      return [iconItem(setting, node)];
    case "code":
      return codeItems(setting, node);
  }
}
