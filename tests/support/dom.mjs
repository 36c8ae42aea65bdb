// Parts of the page are mounted in a document that is only imagined; a .vue file is compiled as the build compiles it.
import { register } from "node:module";
import { GlobalRegistrator } from "@happy-dom/global-registrator";

GlobalRegistrator.register({ url: "http://localhost/", width: 1280, height: 800 });
register("./vue-hooks.mjs", import.meta.url);
