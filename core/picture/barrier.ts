/**
 * How far each pixel stands out from the edge of the picture: the least that values must spread (most minus least) on any
 * way from the edge to it, the minimum barrier distance. A thing's inside counts like its outline, and a slow gradient
 * across the ground counts for little. Found by passes in turn from the top left and from the bottom right, as in
 * “Minimum Barrier Salient Object Detection at 80 FPS” (IEEE International Conference on Computer Vision, 2015).
 */
export function barrierFromEdge(values: Float64Array, width: number, height: number): Float64Array {
  const most = Float64Array.from(values);
  const least = Float64Array.from(values);
  const distance = new Float64Array(width * height).fill(Infinity);
  for (let x = 0; x < width; x++) distance[x] = distance[(height - 1) * width + x] = 0;
  for (let y = 0; y < height; y++) distance[y * width] = distance[y * width + width - 1] = 0;
  const relax = (at: number, from: number): void => {
    const high = Math.max(most[from]!, values[at]!);
    const low = Math.min(least[from]!, values[at]!);
    if (high - low >= distance[at]!) return;
    distance[at] = high - low;
    most[at] = high;
    least[at] = low;
  };
  for (let pass = 0; pass < PASSES; pass++) {
    const forth = pass % 2 === 0;
    for (let step = 0; step < width * height; step++) {
      const at = forth ? step : width * height - 1 - step;
      const x = at % width;
      if (forth ? x > 0 : x < width - 1) relax(at, forth ? at - 1 : at + 1);
      if (forth ? at >= width : at < width * (height - 1))
        relax(at, forth ? at - width : at + width);
    }
  }
  return distance;
}

/** So many suffice for nearly all pictures; from the source, which takes three. */
const PASSES = 4;
