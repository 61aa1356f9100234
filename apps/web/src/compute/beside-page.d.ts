declare module '*.worker.ts?beside-page' {
  /** The address of the worker's code. */
  const address: string
  export default address
}
