export { offer, type Offer } from "./offer";
export { inOrder } from "./order";
