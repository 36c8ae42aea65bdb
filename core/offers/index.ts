export { offer, type Offer } from "./offer";
export { offerStrip } from "./strip";
export { inOrder } from "./order";
