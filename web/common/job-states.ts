import type { JobState } from "../../core/api";

/** How a job's state is said. */
export const JOB_STATES: Record<JobState, string> = {
  queued: "waiting for its turn",
  running: "being made",
  paused: "paused",
  done: "done",
  cancelled: "cancelled",
  failed: "failed",
};

/** What a person can do about a batch, by the word for it on a button. */
export const BATCH_TURNS = { pause: "Pause", resume: "Go on", cancel: "Cancel" };
export type BatchTurn = keyof typeof BATCH_TURNS;

export const batchTurns = (state: JobState): BatchTurn[] =>
  state === "paused"
    ? ["resume", "cancel"]
    : jobTurn(state) === "cancel"
      ? ["pause", "cancel"]
      : state === "done"
        ? []
        : ["resume"];

/** What a person can do about a job: stop it, or have it made again. */
export const jobTurn = (state: JobState): "cancel" | "resume" | undefined =>
  state === "queued" || state === "running" ? "cancel" : state === "done" ? undefined : "resume";
