import { luminance } from "../colour";
import { centre, inset } from "../geometry";
import { signIn } from "./logo";
import type { Placed } from "./layout";
import type { Stage } from "./stage";

/** How a profile picture is laid out that shows the sign alone. */
export const SIGN_ALONE = "sign alone";

/** Of a profile picture's kept area, what the sign leaves free on every side: it is seen at the size of a thumbnail. */
const AIR = 0.02;

/** A profile picture is no place for a message: the brand's sign in its middle, as large as the crop allows. */
export function signAlone(stage: Stage): Placed[] | undefined {
  const { logo } = stage.parts;
  if (stage.placement.use !== "profile" || !logo) return undefined;
  const { width, height } = stage.kept;
  const room = inset(stage.kept, AIR * Math.min(width, height));
  const sign = signIn(stage, logo, luminance(stage.resolved.palette.backdrop), room);
  const { x, y } = centre(stage.kept);
  return sign?.place(x - sign.width / 2, y - sign.height / 2);
}
