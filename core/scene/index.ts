export { compose } from "./compose";
export {
  scenePictures,
  type GlyphsItem,
  type Paint,
  type PathItem,
  type Stroke,
  type PictureItem,
  type Scene,
  type SceneGlyph,
  type SceneItem,
  type SceneRun,
  type Shadow,
  type Turn,
} from "./scene";
