import { shallowRef, watch, type ShallowRef } from "vue";
import { commonPixels } from "../../core/choosing";
import { rasterOf, type Raster } from "../../core/picture";

/** Paper, laid on thickly. */
const VEIL = [246, 242, 234, 224] as const;

/** A veil over what some graphics of one size have in common, read from them once for all; undefined while none is wanted. */
export function useCommon(
  images: () => readonly HTMLImageElement[] | undefined,
): ShallowRef<ImageData | undefined> {
  const veil = shallowRef<ImageData>();
  let newest = 0;
  watch(
    images,
    async (all = []) => {
      veil.value = undefined;
      const mine = ++newest;
      // One that could not be fetched is not compared.
      const found = await Promise.all(all.map((one) => read(one).catch(() => undefined)));
      if (mine === newest) veil.value = veilOver(found.filter((one) => one !== undefined));
    },
    { flush: "post" },
  );
  return veil;
}

async function read(image: HTMLImageElement): Promise<Raster | undefined> {
  await image.decode();
  const { naturalWidth: width, naturalHeight: height } = image;
  const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true });
  context?.drawImage(image, 0, 0);
  const pixels = context?.getImageData(0, 0, width, height);
  return pixels && rasterOf(pixels.data, width, height);
}

function veilOver(rasters: readonly Raster[]): ImageData | undefined {
  const [first] = rasters;
  if (!first) return undefined;
  const veil = new ImageData(first.width, first.height);
  commonPixels(rasters).forEach((isCommon, at) => isCommon && veil.data.set(VEIL, 4 * at));
  return veil;
}
