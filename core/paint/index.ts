export { paint, pathCache, type Bitmap, type Context, type Materials } from "./canvas";
export { paintSvg, type SvgMaterials, type SvgPicture } from "./svg";
