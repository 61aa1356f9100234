import { defineConfig } from 'vite'

/** The command as plain JavaScript: begun in a tenth of the time that its source takes. */
export default defineConfig({
  ssr: { noExternal: [/^@lemmata\//] },
  build: { ssr: 'src/main.ts', target: 'node20', sourcemap: true },
})
