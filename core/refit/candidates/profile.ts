import type { LayoutId } from "../../piece";
import { luminance } from "../../colour";
import { between, bottom, box, centre, inset, right, type Box } from "../../geometry";
import { signIn } from "../words/logo";
import type { Placed } from "../layout";
import { isEmblem, ornamentIn } from "./ornament";
import type { Stage } from "../structure/stage";

/** How a profile picture is laid out that shows the sign alone. */
export const SIGN_ALONE: LayoutId = { kind: "sign-alone" };

/** Of a profile picture's kept area, what the sign leaves free on every side: it is seen at the size of a thumbnail. */
const AIR = 0.02;

/**
 * A profile picture is no place for a message: the brand's sign in its middle, as large as the crop allows. A word
 * mark leaves most of it bare; there the piece's ornament stands below.
 */
export function signAlone(stage: Stage): Placed[] | undefined {
  if (stage.placement.use !== "profile") return undefined;
  const sign = signWithin(stage, stage.kept);
  if (!sign) return undefined;
  const { width, height } = sign.box;
  const isWide = width > SLIM * height;
  const over = isWide ? signOverOrnament(stage) : undefined;
  return over ?? (isWide || height > SLIM * width ? signOnEmblem(stage, sign.placed) : sign.placed);
}

/** A sign so much longer than it is wide or high leaves a square bare. By eye. */
const SLIM = 2.2;

function signWithin(stage: Stage, region: Box): { box: Box; placed: Placed[] } | undefined {
  const { logo } = stage.parts;
  if (!logo) return undefined;
  const room = inset(region, AIR * Math.min(region.width, region.height));
  const sign = signIn(stage, logo, luminance(stage.resolved.palette.backdrop), room);
  if (!sign) return undefined;
  const { x, y } = centre(region);
  const [left, top] = [x - sign.width / 2, y - sign.height / 2];
  return { box: box(left, top, sign.width, sign.height), placed: sign.place(left, top) };
}

/** Of the frame's sides, what a mark behind the sign takes: it is cut by the channel's circle nowhere. By eye. */
const ROUND = 0.88;

/** Where the piece has the brand's mark behind its words, the sign stands on it here. */
function signOnEmblem({ parts, frame }: Stage, sign: Placed[]): Placed[] {
  const { ornament } = parts;
  // The same mark twice would be one too many.
  if (!ornament || !isEmblem(ornament) || ornament.emblem) return sign;
  const side = ROUND * Math.min(frame.width, frame.height);
  const { x, y } = centre(frame);
  const behind = box(x - side / 2, y - side / 2, side, side);
  return [{ node: ornament, box: behind, turn: ornament.turn }, ...sign];
}

/** Of the kept area's height, what is left to the sign above an ornament. By eye. */
const ABOVE_ORNAMENT = 0.66;

function signOverOrnament(stage: Stage): Placed[] | undefined {
  const { kept, frame, parts } = stage;
  const { ornament } = parts;
  if (!ornament || isEmblem(ornament)) return undefined;
  const sign = signWithin(stage, { ...kept, height: ABOVE_ORNAMENT * kept.height });
  if (!sign) return undefined;
  const below = between(0, kept.y + ABOVE_ORNAMENT * kept.height, right(frame), bottom(frame));
  const at = ornamentIn(stage, ornament, below);
  return [{ node: ornament, box: at, turn: ornament.turn }, ...sign.placed];
}
