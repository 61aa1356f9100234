declare module '*.ttf?woff2' {
  /** The address of the face as WOFF2. */
  const address: string
  export default address
}

declare module 'wawoff2' {
  export function compress(font: Uint8Array): Promise<Uint8Array>
}
