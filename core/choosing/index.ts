export { CRITERIA, Criterion, type Marks } from "./criteria";
export {
  byCriterion,
  frontRunners,
  scores,
  sharedCriteria,
  whyFirst,
  type Ranked,
  type Weights,
} from "./ranking";
export { Repeat, repeatedLooks, repeatedWords, type Looking, type Worded } from "./repeats";
