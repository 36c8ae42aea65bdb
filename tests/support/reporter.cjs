// The usual listing, and a closing line that scripts/test.mjs adds up.
const { reporters, Runner } = require("mocha");

module.exports = class Counting extends reporters.Dot {
  constructor(runner, options) {
    super(runner, options);
    runner.once(Runner.constants.EVENT_RUN_END, () => {
      const { passes, failures } = this.stats;
      console.log(`tests: ${passes} passed, ${failures} failed`);
    });
  }
};
