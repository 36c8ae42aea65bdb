import { slotName } from "../message";
import type { Node } from "../piece";

/** What a node is called in a list: by the words or the picture that it shows, else by what it does. */
export function nodeName({ id, slot, role }: Pick<Node, "id" | "slot" | "role">): string {
  if (slot !== undefined) return slotName(slot);
  const number = /-(\d+)$/.exec(id)?.[1];
  const name = ROLES[role] ?? role.replace("-", " ");
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}${number ? ` ${number}` : ""}`;
}

const ROLES: Partial<Record<Node["role"], string>> = {
  backdrop: "ground",
  cta: "button",
  photo: "picture",
};
