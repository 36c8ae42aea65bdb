export { attentionIn, attentionOf, ATTENTION_SIDE, type Attention } from "./attention";
export { CosineTransform } from "./dct";
export { shrink, type Pixels } from "./shrink";
