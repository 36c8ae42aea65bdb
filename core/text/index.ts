export { avoided } from "./avoid";
export { featureValues, TypeFeature, type FeatureValue } from "./features";
export { hanLanguage } from "./han";
export { toggleMark, type Selection } from "./mark";
export { markedRuns, type Run } from "./marked";
export {
  MARKS,
  plainText,
  readMarks,
  type Emphasis,
  type EmphasisKind,
  type PlainText,
} from "./markup";
export { isProse } from "./prose";
export { withQuotes } from "./quotes";
export { isJoined, NEEDS_DICTIONARY, PLAIN, RIGHT_TO_LEFT, scriptOf, scriptsOf } from "./script";
