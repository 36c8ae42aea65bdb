declare module "wawoff2" {
  const wawoff: {
    decompress(bytes: Uint8Array): Promise<Uint8Array>;
    compress(bytes: Uint8Array): Promise<Uint8Array>;
  };
  export default wawoff;
}
