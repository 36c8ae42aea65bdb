export { Block, plainBlocks } from "./block";
export { cutArticle, type Cut, type CutOptions } from "./cut";
