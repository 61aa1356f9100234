/** Short names for what something was made from: the same things in the same order have the same name. */

/** Sixty-four figures; null where the browser digests nothing, as on pages that did not come by a safe way. */
export async function digestOf(...from: readonly unknown[]): Promise<string | null> {
  const digest = (globalThis as { readonly crypto?: { readonly subtle?: SubtleCrypto } }).crypto?.subtle
  if (!digest) return null
  const bytes = await digest.digest('SHA-256', new TextEncoder().encode(JSON.stringify(from)))
  return [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}
