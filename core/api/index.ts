export * from "./schemas";
export { altText } from "./alt";
