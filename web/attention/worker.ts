import { ATTENTION_SIDE, attentionOf, shrink, type Pixels } from "../../core/attention";

/** Where a picture is likely to be looked at, off the page's own thread. */
addEventListener("message", ({ data }: MessageEvent<Pixels>) => {
  postMessage(attentionOf(shrink(data, ATTENTION_SIDE, ATTENTION_SIDE)));
});
