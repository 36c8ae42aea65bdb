export { withShape, withWords, type AddedShape } from "./add";
export { aligned, distributed, equalled, fittedInto, movedBy, type Side } from "./align";
export { Clip, clipOf, pasted, styleFor } from "./clip";
export { duplicated, freeNodeId, layered, removed, type Toward } from "./layers";
export { changed, changedIn, givenBack, leadBox, placedAt, textSized, type Boxes } from "./place";
export { resized, turnedBy, type Handle } from "./resize";
export { snapped, touchedBy, type Guide, type SnapTargets } from "./snap";
export { readSum } from "./sum";
