// Lets a worker thread run the TypeScript sources, as the tests do.
import { register } from "tsx/esm/api";

register();
