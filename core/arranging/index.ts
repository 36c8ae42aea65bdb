export {
  ADDED_SHAPES,
  withCode,
  withIcon,
  withPictures,
  withShape,
  withWords,
  type Added,
  type AddedShape,
  type Lead,
} from "./add";
export { aligned, distributed, equalled, fittedInto, movedBy, type Side } from "./align";
export { Clip, clipOf, pasted, styleFor } from "./clip";
export { grouped, groupsOf, renamedGroup, ungrouped, withMembers } from "./groups";
export { READY_MADE, withBadge, withReadyMade, type ReadyMade } from "./ready-made";
export { duplicated, freeNodeId, layered, ordered, removed, type Toward } from "./layers";
export {
  changed,
  changedIn,
  givenBack,
  leadBox,
  placedAt,
  textSized,
  type Boxes,
  type NodeChange,
  type StylePart,
} from "./place";
export { resized, turnedBy, type Handle } from "./resize";
export {
  distancesOf,
  snapped,
  touchedBy,
  type Distance,
  type Guide,
  type SnapTargets,
} from "./snap";
export { readSum } from "./sum";
