export { CRITERIA, Criterion, type Marks } from "./criteria";
export { commonPixels } from "./difference";
export {
  byCriterion,
  frontRunners,
  scores,
  sharedCriteria,
  whyFirst,
  type Ranked,
  type Weights,
} from "./ranking";
export {
  compared,
  Repeat,
  repeatedLooks,
  repeatedWords,
  type Compared,
  type Looking,
  type Worded,
} from "./repeats";
