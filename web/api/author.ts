const KEY = "zest.author";

/** Who works in this browser: a name that means nothing, so that each takes back what they did themselves. */
export function author(storage: Storage): string {
  const known = storage.getItem(KEY);
  if (known) return known;
  const made = crypto.randomUUID();
  try {
    storage.setItem(KEY, made);
  } catch {
    // A browser without room is somebody else after the next reload.
  }
  return made;
}
