// Rules that ask for types need a program of all sources. Left to itself the parser makes it anew for each component,
// which takes as long as all the rest; here it is made once, and a component stands in it as its script.
import { readFileSync } from "node:fs";
import typescript from "typescript";
import ts from "typescript-eslint";
import * as vue from "vue-eslint-parser";

const { sys, ScriptKind } = typescript;

/** A parser whose files know their types. `configFile` names the sources. */
export function typedParser(configFile) {
  const program = programOf(configFile);
  return {
    ...ts.parser,
    parseForESLint(code, options) {
      // Of a component, parts are asked for too: each is read by itself.
      const whole = program.getSourceFile(options.filePath)?.text === code;
      return ts.parser.parseForESLint(code, whole ? { ...options, programs: [program] } : options);
    },
  };
}

function programOf(configFile) {
  const { fileNames, options } = typescript.getParsedCommandLineOfConfigFile(
    configFile,
    { allowNonTsExtensions: true },
    { ...sys, onUnRecoverableConfigFileDiagnostic: fail },
    undefined,
    undefined,
    [{ extension: "vue", isMixedContent: false, scriptKind: ScriptKind.Deferred }],
  );
  const host = typescript.createCompilerHost(options, true);
  const plain = host.getSourceFile;
  host.getSourceFile = (name, language, ...rest) =>
    name.endsWith(".vue")
      ? typescript.createSourceFile(name, scriptOf(name), language, true, ScriptKind.TS)
      : plain(name, language, ...rest);
  return typescript.createProgram(fileNames, options, host);
}

/** The script of a component as the linter's parser puts it together, which is what it asks for last. */
function scriptOf(name) {
  let script = "";
  const parser = {
    parseForESLint(code, options) {
      script = code;
      return ts.parser.parseForESLint(code, options);
    },
  };
  vue.parseForESLint(readFileSync(name, "utf8"), {
    parser,
    filePath: name,
    sourceType: "module",
    vueFeatures: { filter: false },
    template: false,
  });
  return script;
}

function fail(found) {
  throw new Error(typescript.flattenDiagnosticMessageText(found.messageText, "\n"));
}
