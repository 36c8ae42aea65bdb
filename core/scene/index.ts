export { compose } from "./compose";
export {
  scenePictures,
  type GlyphsItem,
  type PathItem,
  type PictureItem,
  type Scene,
  type SceneItem,
} from "./scene";
