import type { Box } from "../geometry";
import { adjust, adjustKey, type Adjust } from "./adjust";
import { levelFor, pixelBox, wholeWidth } from "./levels";
import { sample, type Raster, type View } from "./raster";

/** A picture to paint: the part of it that fills a box, turned, flipped and adjusted. `view` is in picture pixels. */
export interface Shown {
  box: Box;
  view: View;
  adjust: Adjust;
}

interface Whole {
  id: string;
  width: number;
  vector: boolean;
}

/** What has to be done to paint a picture, and a name for what comes of it. */
export interface Developing {
  key: string;
  /** Width of the copy to sample from. */
  level: number;
  /** Where it is painted, in output pixels. */
  at: Box;
  /** Makes the pixels from the copy at that level. */
  from: (copy: Raster) => Raster;
}

/** The way from a stored picture to the pixels that are painted, the same in the browser and on the server. */
export function develop(picture: Whole, shown: Shown, scale: number): Developing {
  const { view, box } = shown;
  const level = levelFor(picture, wholeWidth(picture, view.crop, box, scale));
  const at = pixelBox(box, scale);
  const by = level / picture.width;
  const { x, y, width, height } = view.crop;
  const crop = { x: x * by, y: y * by, width: width * by, height: height * by };
  const numbers = [
    level,
    crop.x,
    crop.y,
    crop.width,
    crop.height,
    view.turn,
    at.width,
    at.height,
    scale,
  ];
  const flips = `${view.flipH}${view.flipV}`;
  return {
    key: [picture.id, ...numbers, flips, adjustKey(shown.adjust)].join("|"),
    level,
    at,
    from: (copy) => {
      const part = partOf(at);
      const [wide, high] = [Math.round(at.width * part), Math.round(at.height * part)];
      const pixels = sample(copy, { ...view, crop }, wide, high);
      adjust(pixels, shown.adjust, scale * part);
      return pixels;
    },
  };
}

/** Hardly a photograph has more pixels to show; on a sheet that is larger, its own are enlarged where they are painted. */
const MOST_PIXELS = 16_000_000;

/** How much of its width and height on the output a picture is developed with. */
const partOf = ({ width, height }: Box): number =>
  Math.min(1, Math.sqrt(MOST_PIXELS / (width * height)));
