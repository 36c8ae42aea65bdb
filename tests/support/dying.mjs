import workerpool from "workerpool";

/** A reading process that is busy for a second and then dies, as one does that runs out of memory. */
workerpool.worker({
  table() {
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 1000);
    process.exit(1);
  },
});
