import { shippedPlacement } from "../placements";

/*
 * Where a local change put a node was once kept as a box in the pixels of its placement, and so was wrong when the
 * placement was corrected. This makes shares of the frame of it where it still comes in.
 */

interface Frame {
  width: number;
  height: number;
}

/** The frame of a placement; undefined for one that is not known, of which the place is left out. */
export type FrameOf = (placement: string) => Frame | undefined;

/** A stored document, or an edit of one, with places for boxes. */
export function withPlaces(value: unknown, frameOf: FrameOf = shippedPlacement): unknown {
  if (Array.isArray(value)) return value.map((one) => withPlaces(one, frameOf));
  if (!isRecord(value)) return value;
  if (Array.isArray(value.at)) return changeWithPlace(value, frameOf);
  if (typeof value.placement === "string" && isRecord(value.changes)) {
    const frame = isRecord(value.own) ? (value.own as object as Frame) : frameOf(value.placement);
    const changes = Object.entries(value.changes).map(([id, one]) => [id, withPlace(one, frame)]);
    return { ...value, changes: Object.fromEntries(changes) };
  }
  const parts = Object.entries(value).map(([key, part]) => [key, withPlaces(part, frameOf)]);
  return Object.fromEntries(parts);
}

/** A change of the box that one size has of its own, or of more. */
function changeWithPlace(change: Record<string, unknown>, frameOf: FrameOf): unknown {
  const at = change.at as unknown[];
  const isBox = at[0] === "sizes" && at[2] === "changes" && at[4] === "box";
  const frame = isBox ? frameOf(String(at[1])) : undefined;
  const side = (value: unknown) => (isBox ? shares(value, frame) : withPlaces(value, frameOf));
  return {
    ...change,
    at: isBox ? at.with(4, "place") : at,
    to: side(change.to),
    was: side(change.was),
  };
}

function withPlace(change: unknown, frame: Frame | undefined): unknown {
  if (!isRecord(change) || !("box" in change)) return change;
  const { box, ...rest } = change;
  const place = shares(box, frame);
  return place === null ? rest : { ...rest, place };
}

function shares(box: unknown, frame: Frame | undefined): unknown {
  if (!isRecord(box) || !frame) return null;
  const { x, y, width, height } = box as Record<string, number>;
  return {
    x: x! / frame.width,
    y: y! / frame.height,
    width: width! / frame.width,
    height: height! / frame.height,
  };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === "object" && !Array.isArray(value);
