import { inject, type InjectionKey } from "vue";
import type { Wall } from "./use-wall";

export const wallKey: InjectionKey<Wall> = Symbol("wall");

/** The workbench's wall, for the parts inside it. */
export function useSharedWall(): Wall {
  const wall = inject(wallKey);
  if (!wall) throw new Error("There is no wall around this part.");
  return wall;
}
