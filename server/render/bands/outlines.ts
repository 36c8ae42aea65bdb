import { Path2D } from "@napi-rs/canvas";
import { between, type Box } from "../../../core/geometry";

export interface Outline {
  /** Another for each path. */
  name: number;
  /** Around its points and those that bend it, in its own units. */
  bounds: Box;
}

const MOST = 20_000;

/** What is known of path data: letters come again and again. */
export class Outlines {
  private readonly known = new Map<string, Outline>();
  private names = 0;

  of(d: string): Outline {
    let outline = this.known.get(d);
    if (outline === undefined) {
      if (this.known.size >= MOST) this.known.clear();
      outline = { name: this.names++, bounds: between(...new Path2D(d).getBounds()) };
      this.known.set(d, outline);
    }
    return outline;
  }
}
