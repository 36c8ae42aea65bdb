import { expose } from "comlink";
import {
  ATTENTION_SIDE,
  attentionOf,
  shrink,
  type Attention,
  type Pixels,
} from "../../core/attention";

const predict = (pixels: Pixels): Attention =>
  attentionOf(shrink(pixels, ATTENTION_SIDE, ATTENTION_SIDE));

export type Predict = typeof predict;

/** Where pictures are likely to be looked at, off the page's own thread. */
expose(predict);
