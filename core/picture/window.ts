/** A stretch of one axis. */
export interface Stretch {
  start: number;
  length: number;
}

/** A stretch with what it is worth to be seen whole. */
interface Weighed extends Stretch {
  weight: number;
}

/** What a stretch that is cut costs, in times of what it is worth whole: half a head is worse than none. By eye. */
const CUT = 2;
const HAIR = 1e-6;

/**
 * Where a window stands on one axis, 0 … whole − window: about the middle of `all` where that fits. Where it does not,
 * there where the most of its parts are whole and none is cut, as far as that can be had.
 */
export function windowOn(
  whole: number,
  window: number,
  all: Stretch,
  parts: readonly Weighed[],
): number {
  const room = Math.max(0, whole - window);
  const within = (start: number) => Math.min(Math.max(0, start), room);
  const centred = within(all.start + (all.length - window) / 2);
  if (all.length <= window + HAIR || parts.length === 0) return centred;
  const starts = [centred, ...parts.flatMap((part) => startsFor(part, window)).map(within)];
  return starts.reduce((best, start) =>
    worth(start, window, parts) > worth(best, window, parts) + HAIR ? start : best,
  );
}

/** Windows that begin or end with a part, or have it in their middle. */
const startsFor = ({ start, length }: Stretch, window: number): number[] => [
  start,
  start + length - window,
  start + (length - window) / 2,
];

function worth(from: number, window: number, parts: readonly Weighed[]): number {
  const to = from + window;
  return parts.reduce((sum, { start, length, weight }) => {
    const seen = Math.min(to, start + length) - Math.max(from, start);
    if (seen <= HAIR) return sum;
    return sum + (seen >= length - HAIR ? weight : -CUT * weight * Math.min(1, length / window));
  }, 0);
}
