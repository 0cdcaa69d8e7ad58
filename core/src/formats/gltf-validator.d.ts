/** The format's own validator, which ships without types. */
declare module 'gltf-validator' {
  const validator: { readonly validateBytes: (bytes: Uint8Array) => Promise<unknown> };
  export default validator;
}
