import { defineConfig } from 'vite'

/** The server as plain JavaScript: the project's own packages in it, everything from npm beside it. */
export default defineConfig({
  ssr: { noExternal: [/^@lemmata\//] },
  build: {
    ssr: true,
    target: 'node20',
    sourcemap: true,
    rolldownOptions: {
      input: { main: 'src/main.ts', 'print-worker': 'src/sheets/print-worker.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
})
