export { compose } from "./compose";
export {
  scenePictures,
  type GlyphsItem,
  type Paint,
  type PathItem,
  type Pen,
  type PictureItem,
  type Scene,
  type SceneGlyph,
  type SceneItem,
  type SceneRun,
  type Shade,
  type Turn,
} from "./scene";
