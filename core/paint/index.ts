export { paint, pathCache, type Bitmap, type Context, type Materials } from "./canvas";
