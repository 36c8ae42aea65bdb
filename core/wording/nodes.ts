import { slotName } from "../message";
import type { Node } from "../piece";

/** What a node is called in a list: by the words or the picture that it shows, else by what it is or does. */
export function nodeName(node: Pick<Node, "id" | "slot" | "role"> & Partial<Node>): string {
  const { id, slot, part = "figure" } = node;
  if (slot !== undefined)
    return part === "figure" ? slotName(slot) : `Words ${part} the ${slotName(slot).toLowerCase()}`;
  const number = /-(\d+)$/.exec(id)?.[1];
  const name = figureName(node) ?? ROLES[node.role] ?? node.role.replace("-", " ");
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}${number ? ` ${number}` : ""}`;
}

const ROLES: Partial<Record<Node["role"], string>> = {
  backdrop: "ground",
  cta: "button",
  photo: "picture",
};

/** What decorates is called by its shape. */
function figureName({ role, kind, style }: Pick<Node, "role"> & Partial<Node>): string | undefined {
  if (role !== "ornament" && !(role === "badge" && kind === "shape")) return undefined;
  if (kind === "icon") return style?.icon?.replaceAll("-", " ") ?? "icon";
  return style?.shape && shapeName(style.shape);
}

/** A shape as a person calls it. */
export const shapeName = (shape: string): string =>
  shape === "ellipse" ? "circle" : shape.replace("-", " ");
