export { cropTo, focusInFrame, focusShown } from "./crop";
export { readTones, toneOf, type GroundTone } from "./tones";
export { treat, treatmentKey } from "./treat";
