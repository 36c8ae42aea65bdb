import type { Stage } from "./stage";

/**
 * All gaps come from one scale, in sizes of the text: inside a group at most half of what is between groups.
 * Common practice: near means together.
 */
export const GAP = {
  /** Between a headline and the line that belongs to it. */
  tight: 0.5,
  /** Between unlike things of one group. */
  within: 1,
  /** Between columns. */
  gutter: 2,
} as const;

/** Lower than so many lines of text, a frame has half the room between groups, so that more of them can be had. */
const LOW = 11;
const isLow = ({ kept, unit }: Stage): boolean => kept.height < LOW * unit;

interface Room {
  stage: Stage;
  /** Of the text. */
  size: number;
}

/** Between groups. */
export const groupGap = ({ stage, size }: Room): number =>
  (stage.tight ? 0.8 : isLow(stage) ? 1 : 2) * size;

/** Under a headline: its size makes a small gap look smaller still, so it keeps more unless there is hardly any room. */
export const headGap = ({ stage, size }: Room): number =>
  stage.tight && !isLow(stage) ? 1.3 * size : groupGap({ stage, size });

/** From baseline to baseline of items of one size: even, whatever letters hang below or stand above. */
export const baselineStep = ({ stage, size }: Room): number =>
  (stage.tight ? 1.32 : isLow(stage) ? 1.4 : 1.5) * size;

/** What stands between unlike things of one column beyond that step, so that near means together. */
export const apartStep = ({ stage, size }: Room): number =>
  (stage.tight ? 0.35 : isLow(stage) ? 0.5 : 0.9) * size;
