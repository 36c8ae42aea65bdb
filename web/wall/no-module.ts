/** Stands in for Node's `module` in the browser; see vite.config.ts. */
export const createRequire = undefined;
